<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Entry;
use App\Yard\Machine;
use App\Yard\Meter;
use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Core\Meter\MeterUnit;

/** What a machine had run at any moment, by the meter it is kept by: between two readings along the straight line. */
final readonly class RunAt
{
    /** @param  list<array{int, BigDecimal}>  $readings  seconds since 1970 and what was run, in order */
    private function __construct(private array $readings, public MeterUnit $unit)
    {
    }

    public static function of(Machine $machine): self
    {
        $meters = $machine->primaryMeters()->keyBy('id');
        $readings = Entry::query()->whereIn('meter_id', $meters->keys())->whereNull('struck_at')->orderBy('happened_at')->orderBy('value')->toBase()->get(['meter_id', 'value', 'happened_at'])
            ->map(fn (object $row): array => [(int) strtotime("{$row->happened_at} UTC"), ($meters[$row->meter_id] ?? throw new \LogicException('Its meter is gone.'))->reckoned($row->value)])->all();

        return new self(array_values($readings), $meters->first()?->unit->isDistance() === true ? MeterUnit::Kilometres : MeterUnit::Hours);
    }

    /** Null where the meter was never read. */
    public function at(\DateTimeInterface $moment): ?BigDecimal
    {
        $at = $moment->getTimestamp();
        $before = null;
        foreach ($this->readings as [$read, $run]) {
            if ($read >= $at) {
                return $before === null || $read === $before[0] ? $run
                    : $before[1]->plus($run->minus($before[1])->multipliedBy($at - $before[0])->dividedBy($read - $before[0], 2, RoundingMode::HALF_UP))->toScale(1, RoundingMode::HALF_UP)->stripTrailingZeros();
            }
            $before = [$read, $run];
        }

        return $before[1] ?? null;
    }

    public function now(): ?BigDecimal
    {
        return $this->readings === [] ? null : $this->readings[array_key_last($this->readings)][1];
    }
}
