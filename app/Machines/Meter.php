<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Meter\MeterSpan;
use Core\Meter\MeterUnit;

/**
 * An hour meter or odometer while it is on a machine.
 *
 * @property int $id
 * @property int $machine_id
 * @property MeterUnit $unit
 * @property CarbonImmutable $fitted_at
 * @property string $shown_when_fitted
 * @property string $run_when_fitted what the machine had run by then, in this meter's unit
 * @property int|null $fitted_by_id the entry that records the change of meters, null for one that came with the machine
 * @property bool $struck the change was struck, so this meter never was
 */
final class Meter extends Record
{
    protected $attributes = ['shown_when_fitted' => '0', 'run_when_fitted' => '0'];

    protected function casts(): array
    {
        return ['unit' => MeterUnit::class, 'fitted_at' => 'immutable_datetime'];
    }

    public function span(): MeterSpan
    {
        return new MeterSpan(BigDecimal::of($this->shown_when_fitted), BigDecimal::of($this->run_when_fitted));
    }

    /** What the machine has run, as the rules reckon it: hours, or kilometres whatever the odometer counts. */
    public function reckoned(string $shown): BigDecimal
    {
        return $this->unit->toReckoned($this->span()->run(BigDecimal::of($shown)));
    }

    /** What this meter shows when the machine has run so much, as the rules reckon it. */
    public function shown(BigDecimal $reckoned): BigDecimal
    {
        return $this->span()->shown($this->unit->fromReckoned($reckoned));
    }
}
