<?php

declare(strict_types=1);

namespace App\Logbook\Readings;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Acts\Placing;
use App\Logbook\Entry;
use App\Machines\Machine;
use App\Machines\Meter;
use App\Machines\Yard;
use App\Notes\Circumstances;
use App\Notes\When;
use Brick\Math\BigDecimal;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Meter\Judgement;
use Core\Meter\Limit;
use Core\Meter\Reading as CoreReading;
use Core\Meter\ReadingKind;
use Illuminate\Database\Eloquent\Builder;

/** Writes a reading down, asking first where it can hardly be right. */
final readonly class LogReading
{
    public function __construct(private Yard $yard) {}

    /**
     * The machine's row must be locked by the caller.
     *
     * @param  Entry  $entry  that it belongs to
     *
     * @throws Refusal if the machine has no such meter, or the reading is implausible and nobody said why it is right
     */
    public function __invoke(
        Machine $machine,
        GivenReading $given,
        Entry $entry,
        Circumstances $circumstances,
        string $field = 'value',
    ): Reading {
        $when = $circumstances->when;
        $meter = $machine->meterAt($when->at, $given->along)
            ?? throw Refusal::field(
                $field,
                "{$machine->name} has no ".($given->along === Limit::Distance ? 'odometer' : 'hour meter').'.',
            );
        $judgement = $this->judge($meter, $given->value, $when, $given->typed);
        if (! $judgement->isPlausible() && ! $circumstances->isSure()) {
            throw new Refusal(new Problem(409, 'implausible-reading', 'Can this be right?', $this->question($judgement, $given), [$field => [$judgement->why]], [
                'kind' => $judgement->kind->value,
                'typed' => $given->typed,
                'suggestion' => $judgement->suggestion() === null ? null : (string) $judgement->suggestion(),
                'suggestions' => array_map(strval(...), $judgement->suggestions()),
            ]));
        }
        $reading = $entry->readings()->create([
            'meter_id' => $meter->id,
            'value' => (string) $given->value,
            'typed' => mb_substr($given->typed, 0, 60),
            'happened_at' => $when->at,
            'day_only' => $when->dayOnly,
        ]);
        if (! $judgement->isPlausible()) {
            $entry->update(['confirmed_because' => $circumstances->confirmedBecause]);
        }
        if ($judgement->isFarAboveUsual) {
            $entry->doubt($judgement->why);
        }
        WeeklyReadings::add($reading, $this->yard);
        Placing::anew($machine, $reading->happened_at, $given->along);
        event(new ReadingChanged($machine, $reading));

        return $reading;
    }

    /** Held against the reading before it, and the one after it where it arrives late. */
    public function judge(Meter $meter, BigDecimal $value, When $when, ?string $typed = null): Judgement
    {
        $reading = new CoreReading($value, $when->at, $when->dayOnly, $typed);
        $judgement = $this->against($this->lastBefore($meter, $when), $reading, $meter);
        $after = $this->neighbour(
            $meter,
            fn (Builder $query) => $query->where('happened_at', '>', $when->at)
                ->orderBy('happened_at')
                ->orderBy('value'),
        );
        if (! $judgement->isPlausible() || $after === null) {
            return $judgement;
        }
        $next = $this->against($reading, $after, $meter);

        return $next->isPlausible() ? $judgement : $next;
    }

    /** The last reading at or before a moment, as the meter showed it. */
    public function lastBefore(Meter $meter, When $when): ?CoreReading
    {
        return $this->neighbour(
            $meter,
            fn (Builder $query) => $query->where('happened_at', '<=', $when->at)
                ->orderByDesc('happened_at')
                ->orderByDesc('value'),
        );
    }

    /** Hours are often written down later than they were read, so within a day only the dates count. */
    private function against(?CoreReading $before, CoreReading $after, Meter $meter): Judgement
    {
        if ($before !== null && $before->daysUntil($after) < 1) {
            [$before, $after] = [
                CoreReading::onDay($before->value, $this->yard->dayOf($before->at)),
                CoreReading::onDay($after->value, $this->yard->dayOf($after->at), $after->typed),
            ];
        }

        return Judgement::of(
            $before,
            $after,
            $meter->unit->mostPerDay(),
            unit: $meter->unit,
            perWeek: fn (): ?float => WeeklyReadings::ofMeter($meter->id)->usualPerWeek(
                Day::number($this->yard->dayOf($after->at)),
            ),
        );
    }

    /** @param  \Closure(Builder<Reading>): Builder<Reading>  $which */
    private function neighbour(Meter $meter, \Closure $which): ?CoreReading
    {
        $reading = $which(Reading::query()->standing()->where('meter_id', $meter->id))->first();

        return $reading === null ? null : new CoreReading($reading->shown(), $reading->happened_at, $reading->day_only);
    }

    private function question(Judgement $judgement, GivenReading $given): string
    {
        return $judgement->why.match (true) {
            $judgement->suggestions() !== [] => ' Did you mean '.Plain::either(
                array_map(Plain::number(...), $judgement->suggestions()),
            ).($judgement->kind === ReadingKind::Lower ? ', or was the meter replaced?' : '?'),
            $judgement->kind === ReadingKind::Lower => ' Was the meter replaced?',
            $judgement->kind === ReadingKind::RolledOver => ' Has it?',
            default => ' Is that so?',
        };
    }
}
