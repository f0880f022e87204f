<?php

declare(strict_types=1);

namespace Tests\Bench;

use Core\Reckoner\Catalogue;
use Tests\Http\Contract;
use Tests\Http\Fuzz;
use Tests\Http\Visitor;

/** What the worst request that anybody makes up costs, against the empty route, on a yard of 1,000 machines. */
final readonly class FuzzBench
{
    private const REQUESTS = 1500;

    private const SEED = 4711;

    private const AIM = 50;

    public function __construct(private string $address) {}

    public function run(): void
    {
        $keeper = new Visitor($this->address, 'bench', 'a good password');
        $fuzz = new Fuzz(self::SEED);
        // Signing in, by whatever way, and changing one's password are slow on purpose.
        $operations = array_values(
            array_filter(
                Contract::read()->operations(),
                fn (string $operation): bool => ! preg_match('~/(session|first-keeper|password|invitation)$~', $operation),
            ),
        );
        preg_match_all('/\{(\w+)\}/', implode(' ', $operations), $placeholders);
        $uuid = '00000000-0000-4000-8000-000000000001';
        $known = [...array_fill_keys([...$placeholders[1], 'task', 'entry'], '1'), 'person' => '2', 'check' => 'leaks', 'token' => '999', 'signIn' => '999', 'photo' => $uuid, 'job' => $uuid];
        $empty = $took = [];
        for ($number = 0; $number < self::REQUESTS; $number++) {
            $operation = $operations[$number % count($operations)];
            $made = $fuzz->request($operation, [...$known, 'name' => $fuzz->oneOf(Catalogue::names())]);
            $empty[] = $this->time($keeper->request('GET', '/pulse'));
            $took[] = [$this->time($keeper->raw($made)), $operation];
            // Where the yard's clock was changed, the next look is the first of a day, which is measured above.
            if ($operation === 'PATCH /yard') {
                $keeper->ask('GET', '/machines');
            }
        }
        sort($empty);
        rsort($took);
        [$slowest, $operation] = $took[0];
        printf(
            "fuzz     slowest of %s made-up requests: %.1f times the empty route (aim: at most %d), %s\n",
            number_format(self::REQUESTS),
            $slowest / $empty[intdiv(count($empty), 2)],
            self::AIM,
            $operation,
        );
    }

    private function time(\CurlHandle $request): float
    {
        $began = microtime(true);
        Visitor::together([$request]);

        return microtime(true) - $began;
    }
}
