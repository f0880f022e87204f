<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\YardClock;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\QueryException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Routing\Router;

/**
 * The web application's own page. What its address will ask for first goes with it, and so do the scripts that show it:
 * whoever opens a round in the cold waits for one answer, not for four. Which these are the web says itself.
 */
final readonly class WebPage
{
    /** What each address of the web asks for and is shown by. */
    private const PAGES = 'web/pages.json';

    /** What the page begins with, whatever its address. */
    private const MAIN = 'web/main.tsx';

    public function __construct(private Router $router) {}

    public function __invoke(Request $request): Response
    {
        $pages = self::pages(trim($request->path(), '/'));
        try {
            // The bare address is kept on devices for everybody, and carries nothing.
            $given = $request->user() === null ? [] : $this->given($pages);
        } catch (QueryException) {
            // The page comes all the same, and says what it cannot read.
            $given = [];
        }
        // Nor has what is kept a time of its own.
        $clock = $given === [] ? null : YardClock::read();

        return response()
            ->view('app', ['given' => ['clock' => $clock, 'answers' => $given], 'besides' => self::besides(array_merge(...array_column($pages, 'scripts')))])
            ->header('Cache-Control', 'no-store, private');
    }

    /** @return list<array{asks: list<array{path: string, of: array<string, int>}>, scripts: list<string>}> those that an address means */
    private static function pages(string $address): array
    {
        $pages = [];
        /** @var list<array{address: string, asks?: list<string>, scripts?: list<string>}> $all */
        $all = json_decode((string) file_get_contents(base_path(self::PAGES)), true, flags: JSON_THROW_ON_ERROR);
        foreach ($all as $page) {
            if (preg_match("~{$page['address']}~", $address, $part) === 1) {
                $of = array_map(intval(...), array_filter($part, is_string(...), ARRAY_FILTER_USE_KEY));
                $pages[] = [
                    'asks' => array_map(fn (string $path): array => ['path' => $path, 'of' => $of], $page['asks'] ?? []),
                    'scripts' => $page['scripts'] ?? [],
                ];
            }
        }

        return $pages;
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
        $names = [self::MAIN, ...$scripts];
        while (($name = array_shift($names)) !== null) {
            if (! isset($wanted[$name]) && isset($manifest[$name])) {
                $wanted[$name] = "build/{$manifest[$name]['file']}";
                array_push($names, ...$manifest[$name]['imports'] ?? []);
            }
        }

        return array_values(array_diff_key($wanted, [self::MAIN => true]));
    }

    /**
     * @param  list<array{asks: list<array{path: string, of: array<string, int>}>, scripts: list<string>}>  $pages
     * @return list<array{key: list<mixed>, answer: mixed}> what the page will ask for, by the keys under which it asks:
     *     method, path and what stands in it
     */
    private function given(array $pages): array
    {
        $given = [];
        foreach (array_merge(...array_column($pages, 'asks')) as ['path' => $path, 'of' => $of]) {
            $named = array_filter($of, fn (string $name): bool => str_contains($path, "{{$name}}"), ARRAY_FILTER_USE_KEY);
            $address = str_replace(array_map(fn (string $name): string => "{{$name}}", array_keys($named)), array_map(strval(...), array_values($named)), $path);
            try {
                $given[] = [
                    'key' => ['get', $path, ...$named === [] ? [] : [['params' => ['path' => $named]]]],
                    'answer' => $this->answer($address),
                ];
            } catch (ModelNotFoundException) {
                continue;
            }
        }

        return $given;
    }

    /** What the API answers to whoever is signed in. */
    private function answer(string $path): mixed
    {
        $route = $this->router->getRoutes()->match(Request::create("/api{$path}"));
        $this->router->substituteImplicitBindings($route);
        $response = $route->run();
        assert($response instanceof JsonResponse);

        return $response->getData();
    }
}
