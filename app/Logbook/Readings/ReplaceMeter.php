<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Machines\Machine;
use App\Notes\Circumstances;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;

/** Records that a machine got another meter, so that what it has run goes on without a break. */
final readonly class ReplaceMeter
{
    public function __construct(private LogReading $logReading)
    {
    }

    /**
     * The machine's row must be locked by the caller.
     *
     * @param  GivenReading|null  $old  what the old meter showed last; null where its last reading stands
     * @param  GivenReading  $new  what the new one shows
     * @param  BigDecimal|null  $run  what the machine has really run, where the old meter had stopped
     *
     * @throws Refusal if there is no such meter, it was fitted later than that, or the old meter's reading is refused
     */
    public function __invoke(
        Machine $machine,
        Entry $entry,
        ?GivenReading $old,
        GivenReading $new,
        ?BigDecimal $run,
        Circumstances $circumstances,
    ): void {
        $meter = $machine->meterAt(CarbonImmutable::now(), $new->along)
            ?? throw Refusal::field('new_value', "{$machine->name} has no such meter to replace.");
        if ($meter->fitted_at >= $circumstances->when->at) {
            throw Refusal::field('at', 'The meter on the machine was fitted later than that.');
        }
        if ($old !== null) {
            ($this->logReading)($machine, $old, $entry, $circumstances, 'old_value');
        }
        $last = $this->logReading->lastBefore($meter, $circumstances->when)->value
            ?? BigDecimal::of($meter->shown_when_fitted);
        $machine->meters()->create([
            'unit' => $meter->unit,
            'fitted_at' => $circumstances->when->at,
            'shown_when_fitted' => (string) $new->value,
            'run_when_fitted' => (string) ($run ?? $meter->span()->run($last)),
            'fitted_by_id' => $entry->id,
        ]);
        $machine->unsetRelation('meters');
        ($this->logReading)($machine, $new, $entry, $circumstances, 'new_value');
    }
}
