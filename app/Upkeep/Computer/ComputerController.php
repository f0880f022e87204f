<?php

declare(strict_types=1);

namespace App\Upkeep\Computer;

use App\Contract\Disk;
use App\Machines\Yard;
use App\Upkeep\Backup\Kept;
use App\Upkeep\Backup\Passphrase;
use App\Upkeep\Night\NightRun;
use App\Upkeep\Night\NightWork;
use App\Upkeep\Night\NightWorks;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The computer that the yard is kept on: for monitors, and for its keeper. */
final class ComputerController
{
    /** For whoever watches over it from outside; it tells nothing that a stranger may not know. */
    public function health(): JsonResponse
    {
        $yard = Yard::query()->first();
        $isReckoned = $yard === null || NightRun::lastDone('reckoning')?->began_at->setTimezone($yard->time_zone)->isSameDay($yard->now()) === true;
        $isClockRight = $yard === null || Warnings::clock($yard) === null;

        return new JsonResponse([
            'status' => $isReckoned && $isClockRight && ! Disk::isLow() ? 'ok' : 'wanting',
            'day_reckoned' => $isReckoned,
            'clock_right' => $isClockRight,
            'last_backup' => Kept::newest()?->madeAt->toIso8601String(),
            'disk_free_percent' => Disk::room()['percent'],
        ]);
    }

    public function morning(Yard $yard): JsonResponse
    {
        return new JsonResponse([
            'warnings' => Warnings::of($yard),
            'last_backup' => Kept::newest()?->madeAt->toIso8601String(),
        ]);
    }

    public function show(Yard $yard, Request $request): JsonResponse
    {
        $newest = Kept::newest();
        $seen = ComputerState::now($yard);

        return new JsonResponse([
            'warnings' => Warnings::of($yard),
            'programs' => $seen->programs,
            'night' => array_map(self::night(...), NightWorks::all()),
            'backup' => $newest === null ? null : [
                'made_at' => $newest->madeAt->toIso8601String(),
                'bytes' => $newest->bytes,
                'proved_at' => $newest->provedAt?->toIso8601String(),
                'kept' => count(Kept::all()),
            ],
            'second_folder' => $seen->secondFolder,
            'second_kept' => $seen->secondKept,
            'is_sealed' => Passphrase::isSet(),
            'disk' => Disk::room(),
            'lan' => self::lan($request),
        ]);
    }

    /**
     * Where phones find it: where whoever asks has found it, unless that is the computer itself.
     *
     * @return array{address: string, door: string}|null
     */
    private static function lan(Request $request): ?array
    {
        $lan = config('upkeep.lan');
        if ($lan['address'] === null) {
            return null;
        }
        $isItself = preg_match('/^(localhost|127\.|\[?::1)/', $request->getHost()) === 1;

        return $isItself
            ? ['address' => $lan['address'], 'door' => $lan['door']]
            : ['address' => $request->getSchemeAndHttpHost(), 'door' => "http://{$request->getHost()}:".parse_url($lan['door'], PHP_URL_PORT)];
    }

    /** @return array<string, mixed> */
    private static function night(NightWork $work): array
    {
        $last = NightRun::last($work->name());

        return [
            'work' => $work->name(),
            'title' => $work->title(),
            'began_at' => $last?->began_at->toIso8601String(),
            'succeeded' => $last?->succeeded,
            'says' => $last?->says,
        ];
    }
}
