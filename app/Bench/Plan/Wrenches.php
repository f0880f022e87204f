<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Machines\Yard;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Procedure\TorqueSetting;
use Core\Procedure\WrenchAdapter;

/** What each of the yard's torque wrenches is set to. */
final readonly class Wrenches
{
    /** @param  list<array{name: string, least: string, most: string, adapter?: array{wrench_length: string, extension: string, angle: int}|null}>  $wrenches */
    private function __construct(private array $wrenches) {}

    public static function of(Yard $yard): self
    {
        return new self($yard->wrenches ?? []);
    }

    /** @return list<array{name: string, setting: string, verdict: string, warnings: list<string>}> the fitting ones first; in each unit where the yard has told of none */
    public function settings(Quantity $target): array
    {
        if ($this->wrenches === []) {
            $set = TorqueSetting::of($target, null, null);
            // In the book's own unit first.
            $each = [$target->unit->value => $set->setting, ...$set->inEachUnit()];

            return array_values(array_map(fn (Quantity $in): array => [
                'name' => "a wrench in {$in->unit->symbol()}",
                'setting' => $in->inWords(),
                'verdict' => 'fit',
                'warnings' => $in->unit === Unit::InchPound ? $set->warnings : [],
            ], $each));
        }
        $settings = array_map(function (array $wrench) use ($target): array {
            $set = TorqueSetting::of($target, self::adapter($wrench['adapter'] ?? null), [
                Quantity::parse($wrench['least']),
                Quantity::parse($wrench['most']),
            ]);

            return [
                'name' => $wrench['name'],
                'setting' => $set->setting->inWords(),
                'verdict' => $set->verdict->value,
                'warnings' => $set->warnings,
            ];
        }, $this->wrenches);
        usort($settings, fn (array $one, array $other): int => [$one['verdict'] !== 'fit', count($one['warnings'])]
            <=> [$other['verdict'] !== 'fit', count($other['warnings'])]);

        return $settings;
    }

    /** @param  array{wrench_length: string, extension: string, angle: int}|null  $adapter */
    private static function adapter(?array $adapter): ?WrenchAdapter
    {
        return $adapter === null ? null : new WrenchAdapter(
            Quantity::parse($adapter['wrench_length']),
            Quantity::parse($adapter['extension']),
            $adapter['angle'],
        );
    }
}
