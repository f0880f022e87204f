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
            self::moved($act->move),
            $act->strokes === null ? null : Plain::count($act->strokes, 'stroke'),
            ...self::fitted($act),
        ]));
    }

    /** `0.3 qt of 10W-30 out of the 20 L container` */
    public static function moved(?Move $move): string
    {
        $amount = implode(' of ', array_filter([$move?->typed, $move?->fluid]));
        $container = $move?->onlyContainer();

        return $amount.match (true) {
            $container !== null => " out of the {$container->size} container",
            $move !== null && $move->draws->isNotEmpty() => " out of {$move->draws->count()} containers",
            default => '',
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
            $fitting->torque,
            $fitting->by_feel ? 'tightened by feel' : null,
        ];
    }
}
