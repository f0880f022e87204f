<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigDecimal;
use Core\Forecast\Confidence;
use Core\Forecast\MeterHistory;
use Core\Forecast\Passage;
use Core\Forecast\PossibleReadings;
use Core\Forecast\Usage;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Day;
use Core\Measure\Plain;

/** On which day so many hours will have been run. */
final class ForecastCalculator implements Calculator
{
    private const SOURCES = [
        'Inverse Gaussian first passage: Chhikara and Folks, The Inverse Gaussian Distribution, 1989',
        'common practice',
    ];

    private const MOST_PER_DAY = 24;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $pairs = [];
        foreach ($given->rows('readings', 'the readings') as $row) {
            $day = $row->instant('date', 'the day');
            $hours = $row->number('hours', 'the hours');
            if ($day !== null && $hours !== null) {
                $pairs[] = [Day::number($day), $hours->toFloat()];
            }
        }
        if (! $given->has('readings')) {
            $given->fault('readings', 'The readings are missing.');
        }
        $possible = PossibleReadings::of($pairs, self::MOST_PER_DAY);
        foreach ($possible->kept as $index => [, $hours]) {
            if ($hours < ($possible->kept[$index - 1][1] ?? 0)) {
                $given->fault(
                    'readings',
                    'A reading is lower than the one before. Correct it, or count a new meter on from the old one.',
                );
            }
        }
        $due = $given->number('due_hours', 'the hours of the due point');
        $today = $given->instant('today', 'today\'s date');
        if ($today !== null && $pairs !== [] && max(array_column($pairs, 0)) > Day::number($today)) {
            $given->fault('readings', 'A reading lies after today.');
        }
        $resting = array_values(
            array_filter(
                array_map(RuleFields::window(...), $given->rows('resting', 'the parts of the year in which it stands')),
            ),
        );
        $given->complete();
        assert($due !== null && $today !== null);
        $history = MeterHistory::ofPairs($possible->kept);
        $usage = Usage::learn($history, resting: $resting);
        $leftOut = [
            'left_out' => array_map(
                fn (array $reading): array => ['date' => Notation::day(Day::of($reading[0])), 'hours' => $reading[1]],
                $possible->leftOut,
            ),
        ];
        $said = $possible->leftOut === []
            ? ''
            : ' Left out, since no machine gains more than 24 h in a day: '.implode(
                ', ',
                array_map(
                    fn (array $reading): string => Plain::number(
                        BigDecimal::of((string) $reading[1]),
                    ).' h on '.Plain::day(Day::of($reading[0])),
                    $possible->leftOut,
                ),
            ).'.';
        $number = Day::number($today);
        if ($usage === null) {
            return new Answer([
                'rate_per_week' => null,
                'p10' => null,
                'p50' => null,
                'p90' => null,
                'confidence' => Confidence::None->value,
                ...$leftOut,
            ],
                ($history->gains() === [] ? 'Two readings on different days are needed before anybody can tell.' : 'It has not been run between its readings, so nobody can tell.').$said,
                self::SOURCES);
        }
        $passage = $usage->passageFrom($number, $due);
        $rate = BigDecimal::of(sprintf('%.6F', $usage->perWeek($number)));
        $day = fn (?int $number): ?string => $number === null ? null : Notation::day(Day::of($number));

        return new Answer([
            'rate_per_week' => Notation::number($rate),
            'p10' => $day($passage?->p10),
            'p50' => $day($passage?->p50),
            'p90' => $day($passage?->p90),
            'confidence' => $usage->confidence($number)->value,
            ...$leftOut,
        ], self::why(
            $due,
            BigDecimal::of((string) $history->last()[1]),
            $rate,
            $passage,
            $usage->unreadDays($number),
            $today,
        ).$said, self::SOURCES);
    }

    private static function why(
        BigDecimal $due,
        BigDecimal $run,
        BigDecimal $rate,
        ?Passage $passage,
        int $unread,
        \DateTimeImmutable $today,
    ): string {
        $left = $due->minus($run);
        $words = match (true) {
            ! $left->isPositive() => sprintf(
                '%s h were reached: the last reading was %s.',
                Plain::number($due),
                Plain::number($run),
            ),
            $passage === null => sprintf(
                '%s h to go from %s: too far off to be told.',
                Plain::number($left),
                Plain::number($run),
            ),
            default => sprintf(
                '%s h to go from %s; at %s h a week now that is %s.',
                Plain::number($left),
                Plain::number($run),
                Plain::number($rate),
                $passage->inWords($today),
            ),
        };

        return $unread > Usage::STALE_DAYS
            ? $words.' Nobody has read this meter for '.Plain::count($unread, 'day').', which widens it.'
            : $words;
    }
}
