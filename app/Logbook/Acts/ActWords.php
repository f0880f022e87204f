<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Measure\Plain;

/** What was done at a spot, told without naming the spot: `topped up, 0.3 qt`, `replaced, number F 12, seal reused`. */
final class ActWords
{
    public static function of(Act $act): string
    {
        return implode(', ', array_filter([
            self::done($act),
            self::moved($act),
            $act->strokes === null ? null : Plain::count($act->strokes, 'stroke'),
            ...self::fitted($act),
        ]));
    }

    /** `0.3 qt of 10W-30 out of the 20 L container` */
    public static function moved(Act $act): string
    {
        $moves = $act->moved;
        $amount = $moves->count() > 1 ? $act->poured()?->display() : $moves->first()?->typed;
        $containers = $moves->pluck('source')->filter();

        return implode(' of ', array_filter([$amount, $moves->first()?->fluid])).match ($containers->count()) {
            0 => '',
            1 => " out of the {$containers->firstOrFail()->size} container",
            default => " out of {$containers->count()} containers",
        };
    }

    private static function done(Act $act): string
    {
        return match ($act->outcome) {
            Outcome::PutRight => 'put right',
            Outcome::Accepted => 'accepted as it is',
            Outcome::Unusable => 'read, but it is no reading',
            Outcome::NotDone => $act->kind === ActKind::Lubricated ? 'the grease did not go in' : 'not looked at',
            Outcome::Done => $act->kind->word().($act->verdict === null || ! $act->kind->isLook()
                ? ''
                : ", {$act->verdict->label()}"),
        };
    }

    /** @return list<string|null> */
    private static function fitted(Act $act): array
    {
        $fitting = $act->fitting;

        return $fitting === null ? [] : [
            $fitting->number === null ? null : "number {$fitting->number}",
            $fitting->found === null ? null : "the old one {$fitting->found}",
            $fitting->reused ? ($act->isOldAgain() ? 'the old one' : $fitting->seal ?? 'the old seal').' used again' : $fitting->seal,
            implode(' by the ', array_filter([$fitting->torque, $fitting->wrench])) ?: null,
            $fitting->by_feel ? 'tightened by feel' : null,
        ];
    }
}
