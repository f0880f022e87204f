<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\Machine;
use App\People\Session\SessionController;
use App\Walkaround\WalkController;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/**
 * The web application's own page. What its address will ask for first goes with it, and so do the scripts that show it:
 * whoever opens a round in the cold waits for one answer, not for four.
 */
final class WebPage
{
    /** Which scripts show an address. The bare address is kept on devices for everybody, and carries nothing. */
    private const SCRIPTS = [
        '~^walkaround/\d+/(daily|weekly|before_season|after_wash)$~' => ['web/walkaround/RoundPage.tsx'],
        '~^walkaround/\d+$~' => ['web/walkaround/StartPage.tsx'],
        '~^walkaround$~' => ['web/walkaround/WalkaroundPage.tsx'],
        '~^yard$~' => ['web/yard/YardPage.tsx'],
        '~^machines/\d+$~' => ['web/machine/MachineLeaves.tsx', 'web/machine/NowLeaf.tsx'],
        '~^machines/\d+/fluids$~' => ['web/machine/MachineLeaves.tsx', 'web/fluids/FluidsLeaf.tsx'],
        '~^machines/\d+/plate~' => ['web/machine/MachineLeaves.tsx', 'web/plate/PlateLeaf.tsx'],
    ];

    public function __invoke(Request $request): Response
    {
        $path = trim($request->path(), '/');
        try {
            $given = $this->given($request, $path);
        } catch (QueryException) {
            // The page comes all the same, and says what it cannot read.
            $given = [];
        }

        return response()
            ->view('app', ['given' => $given, 'besides' => self::besides($this->scripts($path))])
            ->header('Cache-Control', 'no-store, private');
    }

    /** @return list<string> */
    private function scripts(string $path): array
    {
        foreach (self::SCRIPTS as $pattern => $scripts) {
            if (preg_match($pattern, $path) === 1) {
                return $scripts;
            }
        }

        return [];
    }

    /**
     * @param  list<string>  $scripts
     * @return list<string> everything that these import and the application itself does not name at once, so that
     *     nothing waits for another to be read
     */
    private static function besides(array $scripts): array
    {
        $manifest = json_decode((string) @file_get_contents(public_path('build/manifest.json')), true) ?? [];
        $wanted = [];
        $names = ['web/main.tsx', ...$scripts];
        while (($name = array_shift($names)) !== null) {
            if (! isset($wanted[$name]) && isset($manifest[$name])) {
                $wanted[$name] = "build/{$manifest[$name]['file']}";
                array_push($names, ...$manifest[$name]['imports'] ?? []);
            }
        }

        return array_values(array_diff_key($wanted, ['web/main.tsx' => true]));
    }

    /**
     * @return list<array{key: list<mixed>, name: string, answer: mixed}> what the page will ask for, by the keys under
     *     which it asks, and the names under which it is kept on the device
     */
    private function given(Request $request, string $path): array
    {
        if ($path === '' || $request->user() === null) {
            return [];
        }
        $given = [
            self::answer(['session'], 'session', app(SessionController::class)->show($request)),
            self::answer(['yard'], 'yard', app(YardController::class)->show()),
        ];
        if (preg_match('~^(walkaround|machines)/(\d+)~', $path, $part) === 1) {
            $machine = Machine::query()->find((int) $part[2]);
            $given[] = match (true) {
                $machine === null => null,
                $part[1] === 'walkaround' => self::answer(
                    ['walk', $machine->id],
                    "walk {$machine->id}",
                    app(WalkController::class)->show($machine),
                ),
                default => self::answer(
                    ['machine', $machine->id],
                    "machine {$machine->id}",
                    app(MachineController::class)->show($machine),
                ),
            };
        }

        return array_values(array_filter($given));
    }

    /**
     * @param  list<mixed>  $key
     * @return array{key: list<mixed>, name: string, answer: mixed}
     */
    private static function answer(array $key, string $name, JsonResponse $response): array
    {
        return ['key' => $key, 'name' => $name, 'answer' => $response->getData()];
    }
}
