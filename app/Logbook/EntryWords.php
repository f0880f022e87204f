<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Logbook\Acts\Act;
use App\Logbook\Acts\ActWords;
use App\Logbook\Readings\Reading;
use Core\Inspect\RoundKind;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Core\Measure\Plain;
use Illuminate\Support\Collection;

/** An entry as the logbook tells it, in one sentence. */
final class EntryWords
{
    public static function of(Entry $entry): string
    {
        $read = $entry->readings->map(self::shown(...));

        return match ($entry->kind) {
            EntryKind::MachineAdded => 'Entered in the book'.($read->isEmpty() ? '' : " at {$read->implode(', ')}"),
            EntryKind::Reading => $read->implode(', '),
            EntryKind::Service => ($read->isEmpty() ? '' : "At {$read->implode(', ')}: ").self::service($entry),
            EntryKind::MeterReplaced => "Meter replaced: {$read->implode(', then ')}",
            EntryKind::StoodDown => 'Stood down',
            EntryKind::Lifted => 'Lifted, fit for use',
            EntryKind::RuleChanged => 'Rulebook changed',
            EntryKind::Skipped => 'Skipped this time: '.self::decided($entry),
            EntryKind::Called => 'Called for: '.self::decided($entry),
            EntryKind::Round => self::round($entry),
            EntryKind::Found => ($entry->acts->every('verdict', Verdict::Fit) ? 'Looked at: ' : 'Found: ')
                .$entry->acts->map(self::found(...))->implode(', '),
            EntryKind::ToppedUp, EntryKind::Fluid => ucfirst($entry->acts->map(self::doneAt(...))->implode('. ')),
            EntryKind::Mended => 'Put right: '.$entry->acts->pluck('title')->implode(', '),
            EntryKind::Accepted => 'Accepted as it is: '.$entry->acts->map(self::found(...))->implode(', '),
            EntryKind::ReminderSet => "The machine's own reminder set to {$entry->says('set')} at "
                ."{$entry->says('shown')} {$entry->says('unit')}",
            EntryKind::MeterDoubted => "Does its meter tell the truth? {$entry->says('why')}",
            EntryKind::Bought, EntryKind::Counted, EntryKind::Collected, EntryKind::Gathered => $entry->says('words'),
            EntryKind::Answered => "Right so: {$entry->says('asks')}",
            EntryKind::Remark => 'Remark',
        };
    }

    private static function found(Act $act): string
    {
        return rtrim("{$act->title}: ".($act->words ?? $act->verdict?->label()), ': ');
    }

    private static function doneAt(Act $act): string
    {
        return $act->kind === ActKind::Looked ? self::found($act) : Plain::within($act->title).' '.ActWords::of($act);
    }

    private static function shown(Reading $reading): string
    {
        return Plain::number($reading->shown())." {$reading->meter->unit->value}";
    }

    private static function decided(Entry $entry): string
    {
        return $entry->decisions->map(fn (Decision $decision): string => Plain::within($decision->task))->implode(', ');
    }

    private static function service(Entry $entry): string
    {
        $told = $entry->acts->reject(self::isTrifle(...));
        $isMended = fn (Act $act): bool => $act->outcome === Outcome::PutRight;
        [$mended, $done] = [$told->filter($isMended), $told->reject($isMended)];
        $words = $done->groupBy(
            fn (Act $act): string => $act->task_id === null ? "act {$act->id}" : "task {$act->task_id}",
        )
            ->map(self::done(...))
            ->implode(', ');

        $putRight = $mended->pluck('title')->implode(', ');

        $putOff = $entry->decisions->isEmpty() ? '' : 'Put off: '.self::decided($entry);

        return implode('. ', array_filter([$words, $mended->isEmpty() ? '' : "Put right: {$putRight}", $putOff]));
    }

    /** What goes without saying where the rest is told: an opening closed as it should be, a finding that is told as one. */
    private static function isTrifle(Act $act): bool
    {
        return match ($act->kind) {
            ActKind::Closed => $act->fitting === null || ! ($act->fitting->reused || $act->fitting->by_feel),
            ActKind::Looked => $act->looked_by === LookedBy::Chance && $act->outcome === Outcome::Done,
            default => false,
        };
    }

    /**
     * `engine oil and filter replaced`, `engine oil topped up, 0.3 L`, `12 points greased, 37 strokes`
     *
     * @param  Collection<int, Act>  $acts  of one task, or one alone
     */
    private static function done(Collection $acts): string
    {
        $act = $acts->firstOrFail();
        $word = match (true) {
            $act->kind === ActKind::Changed,
            $act->kind === ActKind::Filled && $act->meets && $act->task_id !== null => 'replaced',
            $act->kind === ActKind::Looked && $act->task_id !== null => 'inspected',
            $act->kind === ActKind::Ran && $act->task_id !== null => 'done',
            default => $act->kind->word(),
        };
        if ($acts->every(fn (Act $one): bool => $one->isOldAgain())) {
            $word = 'gone over, the old used again';
        }
        $strokes = (int) $acts->sum('strokes');
        $missed = $acts->where('outcome', Outcome::NotDone)->count();

        return implode(', ', array_filter([
            Plain::within($act->title).' '.$word,
            $acts->map(fn (Act $one): string => ActWords::moved($one))->filter()->implode(', '),
            $act->kind !== ActKind::Lubricated
                || $act->task_id === null
                ? ''
                : self::points($acts->count() - $missed, $strokes),
            $missed === 0 ? '' : "{$missed} not done",
        ]));
    }

    /** `12 points greased, 37 strokes`; what nobody counted is not told */
    private static function points(int $points, int $strokes, string $greased = ''): string
    {
        return Plain::count($points, 'point').$greased.($strokes === 0 ? '' : ', '.Plain::count($strokes, 'stroke'));
    }

    /** `Morning round: 14 looked at, nothing wrong` */
    private static function round(Entry $entry): string
    {
        $kind = $entry->round->kind ?? RoundKind::Daily;
        $acts = $entry->acts->whereNull('struck_at');
        $looks = $acts->filter(fn (Act $act): bool => $act->kind->isLook());
        $told = $looks->whereNotNull('verdict');
        $greased = $acts->where('kind', ActKind::Lubricated)->where('outcome', Outcome::Done);
        $parts = [];
        if ($told->isNotEmpty()) {
            $parts[] = $told->unique('check_key')->count().' looked at';
            foreach ([Verdict::StandDown, Verdict::Act, Verdict::Watch] as $verdict) {
                $parts[] = self::named($verdict->label(), $told->where('verdict', $verdict));
            }
            $parts[] = $told->every('verdict', Verdict::Fit) ? 'nothing wrong' : '';
        }
        $parts[] = self::named('not looked at', $looks->where('outcome', Outcome::NotDone));
        $parts[] = $greased->isEmpty()
            ? ''
            : self::points($greased->unique('spot_id')->count(), (int) $greased->sum('strokes'), ' greased');
        $parts[] = self::named(
            'did not go in',
            $acts->where('kind', ActKind::Lubricated)->where('outcome', Outcome::NotDone),
        );

        return ucfirst($kind->label()).': '.(implode(', ', array_filter($parts)) ?: 'begun');
    }

    /** @param  Collection<int, Act>  $acts */
    private static function named(string $label, Collection $acts): string
    {
        return $acts->isEmpty() ? '' : "{$label}: ".$acts->pluck('title')->unique()->implode(', ');
    }
}
