<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Entry;
use App\Machines\Yard;
use App\People\Person;
use App\People\Role;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\DatabaseTransactions;
use Illuminate\Foundation\Testing\TestCase as LaravelTestCase;
use Illuminate\Http\JsonResponse;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;

/**
 * Requests to the application on a database of its own, every test in a transaction, every answer held against the
 * contract.
 */
abstract class TestCase extends LaravelTestCase
{
    use DatabaseTransactions;

    /** A Thursday in mowing weather. */
    protected const NOW = '2026-05-14T10:00:00Z';

    public function createApplication(): Application
    {
        if (getenv('JARDINIER_STATE') === false) {
            self::fail('Run these with ./jardinier test http, which starts their database.');
        }
        foreach (['APP_ENV' => 'testing', 'DB_DATABASE' => 'jardinier_http_'.(getenv('TEST_TOKEN') ?: '1'), 'CLOCK_AHEAD_SECONDS' => '0', 'HASH_MEMORY' => '8', 'HASH_TIME' => '1', 'DISK_LOW_PERCENT' => '0', 'DISK_NO_PHOTOS_PERCENT' => '0', 'APP_URL' => 'http://localhost', 'SESSION_DRIVER' => 'array', 'CACHE_STORE' => 'array', 'APP_CONFIG_CACHE' => '/nonexistent/config.php', 'APP_ROUTES_CACHE' => '/nonexistent/routes.php'] as $name => $value) {
            putenv("{$name}={$value}");
            $_ENV[$name] = $_SERVER[$name] = $value;
        }
        $app = require dirname(__DIR__, 2).'/bootstrap/app.php';
        $app->make(Kernel::class)->bootstrap();

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Model::preventLazyLoading();
        $this->travelTo(self::NOW);
        Yard::query()->create(
            ['id' => 1, 'name' => 'Testing yard', 'time_zone' => 'Europe/London', 'distance_unit' => 'km'],
        );
    }

    /**
     * @param  array<string, mixed>  $parameters
     * @param  array<string, mixed>  $cookies
     * @param  array<string, mixed>  $files
     * @param  array<string, mixed>  $server
     */
    public function call(
        $method,
        $uri,
        $parameters = [],
        $cookies = [],
        $files = [],
        $server = [],
        $content = null,
    ): TestResponse {
        $response = parent::call(
            $method,
            $uri,
            $parameters,
            $cookies,
            $files,
            ['HTTP_ORIGIN' => config('app.url'), ...$server],
            $content,
        );
        $path = (string) parse_url($uri, PHP_URL_PATH);
        if (
            str_starts_with($path, '/api/')
            && in_array($method, ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'], true)
            && ! str_contains($path, 'unknown')
        ) {
            $body = $response->baseResponse instanceof \Symfony\Component\HttpFoundation\BinaryFileResponse
                ? ''
                : (string) $response->getContent();
            Contract::read()->holds(
                $method,
                substr($path, 4),
                $response->getStatusCode(),
                $response->headers->get('Content-Type'),
                $body,
            );
        }
        $this->forgetRequest();

        return $response;
    }

    protected function person(Role $role, string $name = ''): Person
    {
        $name = $name === '' ? $role->value : $name;

        return Person::query()->firstOrCreate(
            ['sign_in_name' => $name],
            ['name' => ucfirst($name), 'password' => 'a good password', 'role' => $role],
        );
    }

    /** From here on this person asks. */
    protected function as(Role|Person $who): static
    {
        $this->app['auth']->forgetGuards();

        return $this->actingAs($who instanceof Person ? $who : $this->person($who), 'web');
    }

    /**
     * A machine entered through the API: by default one that came new with an oil change every 100 h.
     *
     * @param  array<string, mixed>  $given
     */
    protected function machine(array $given = []): int
    {
        $this->as(Role::Keeper);

        return $this->postJson('/api/machines', [...[
            'name' => 'Heron',
            'class' => 'zero_turn',
            'place' => 'Arboretum',
            'history' => 'new',
            'at' => '2026-05-01',
            'began_on' => '2026-05-01',
            'meters' => [['unit' => 'h', 'value' => '0']],
            'rules' => [
                ['task' => 'Engine oil', 'kind' => 'replace', 'spots' => ['engine_oil'], 'every' => ['hours' => '100']],
            ],
        ], ...$given])->assertCreated()->json('id');
    }

    /** @param  array<string, mixed>  $more */
    protected function log(int $machine, string $value, array $more = []): TestResponse
    {
        return $this->tell($machine, 'reading', ['value' => $value, ...$more]);
    }

    /**
     * Sends one note, as written just now. Answers as its own door would: created with what became of it and the
     * machine's line, or its problem.
     *
     * @param  array<string, mixed>  $given  its fields; `at` is the day on which it happened
     * @param  array<string, string>  $headers
     */
    protected function tell(?int $machine, string $kind, array $given, array $headers = []): TestResponse
    {
        $told = $this->tellAlone($machine, $kind, $given, $headers);
        $of = $machine ?? $told->json('entry.machine_id');

        return $told->getStatusCode() !== 201 ? $told : TestResponse::fromBaseResponse(new JsonResponse(
            [...$told->json(), 'line' => $of === null ? null : $this->sheet($of)['line']],
            201,
        ));
    }

    /**
     * The same without the machine's line.
     *
     * @param  array<string, mixed>  $given
     * @param  array<string, string>  $headers
     */
    protected function tellAlone(?int $machine, string $kind, array $given, array $headers = []): TestResponse
    {
        $given['on'] ??= $given['at'] ?? null;
        $note = [
            'id' => (string) Str::uuid(),
            'kind' => $kind,
            ...$given,
            'at' => now()->format('Y-m-d\TH:i:s\Z'),
            'machine_id' => $machine,
        ];
        $sent = $this->postJson('/api/notes', ['notes' => [$note]], $headers);
        if ($sent->getStatusCode() !== 200) {
            return $sent;
        }
        $result = $sent->json('results.0');

        return TestResponse::fromBaseResponse($result['status'] === 'refused'
            ? new JsonResponse($result['problem'], $result['problem']['status'])
            : new JsonResponse($result, 201));
    }

    /**
     * Lifts everything that stands a machine down, as its sheet shows it.
     *
     * @param  array<string, mixed>  $given
     */
    protected function lift(int $machine, array $given): TestResponse
    {
        $words = $this->sheet($machine)['line']['stood_down']['words'] ?? [];

        return $this->tell($machine, 'lift', ['lifts' => array_column($words, 'id'), ...$given]);
    }

    /**
     * Strikes or corrects an entry.
     *
     * @param  array<string, mixed>  $given
     */
    protected function tellOf(int $entry, string $kind, array $given): TestResponse
    {
        return $this->tell(Entry::query()->findOrFail($entry)->machine_id, $kind, ['entry' => $entry, ...$given]);
    }

    /**
     * What the keeper writes down of a spot.
     *
     * @param  array<string, mixed>  $sheet
     */
    protected function sheetOf(int $machine, string $spot, array $sheet): void
    {
        $story = $this->as(Role::Keeper)->getJson("/api/machines/{$machine}/spots/{$spot}")->assertOk()->json();
        $this->patchJson("/api/spots/{$story['id']}", ['sheet' => $sheet], ['If-Match' => "\"{$story['version']}\""])->assertOk();
    }

    /** What one request kept in memory is gone at the next, as it is when served. */
    protected function forgetRequest(): void
    {
        $this->app->forgetScopedInstances();
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $route->flushController();
        }
    }

    /** @return array<string, mixed> the machine's sheet */
    protected function sheet(int $machine): array
    {
        return $this->getJson("/api/machines/{$machine}")->assertOk()->json();
    }

    protected function ruleId(int $machine, int $index = 0): int
    {
        return $this->sheet($machine)['rules'][$index]['id'];
    }

    protected function taskId(int $machine, int $index = 0): int
    {
        return $this->sheet($machine)['rules'][$index]['task_id'];
    }
}
