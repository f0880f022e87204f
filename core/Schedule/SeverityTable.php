<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;
use Core\Machine\Subject;
use Core\Meter\Limit;

/**
 * By what share each severity shortens the intervals of each subject. Where several bear on one rule, the hardest
 * counts alone.
 */
final readonly class SeverityTable
{
    /** Common practice, no source: the maker's manual of the machine at hand wins. */
    private const USUAL = [
        'dust' => [
            'air_cleaner' => '0.5',
            'grease' => '0.5',
            'cooling' => '0.5',
            'fuel' => '0.5',
            'engine_oil' => '0.75',
            'belts' => '0.75',
            'brakes' => '0.75',
        ],
        'heat' => [
            'engine_oil' => '0.75',
            'cooling' => '0.75',
            'hydraulics' => '0.75',
            'gear_oil' => '0.75',
            'battery' => '0.75',
        ],
        'short_cold_runs' => ['engine_oil' => '0.5', 'ignition' => '0.75', 'battery' => '0.75'],
        'water' => ['grease' => '0.5', 'gear_oil' => '0.5', 'brakes' => '0.5', 'fuel' => '0.75', 'battery' => '0.75'],
        'heavy_load' => [
            'gear_oil' => '0.5',
            'engine_oil' => '0.75',
            'hydraulics' => '0.75',
            'brakes' => '0.75',
            'belts' => '0.75',
        ],
        'long_idling' => ['engine_oil' => '0.5', 'ignition' => '0.75'],
        'light_use' => ['battery' => '0.5', 'fuel' => '0.5', 'engine_oil' => '0.75'],
    ];

    /** @param  array<string, array<string, BigDecimal>>  $factors  by severity, by subject */
    private function __construct(private array $factors) {}

    public static function usual(): self
    {
        return self::with([]);
    }

    /**
     * The usual shares but for those that a yard has set otherwise.
     *
     * @param  array<string, array<string, string>>  $own  by severity, by subject
     *
     * @throws \InvalidArgumentException if a share is not above 0 and up to 1
     */
    public static function with(array $own): self
    {
        $factors = [];
        foreach (Severity::cases() as $severity) {
            foreach (Subject::cases() as $subject) {
                $share = BigDecimal::of(
                    $own[$severity->value][$subject->value] ?? self::USUAL[$severity->value][$subject->value] ?? 1,
                );
                if (! $share->isPositive() || $share->isGreaterThan(1)) {
                    throw new \InvalidArgumentException(
                        'An interval is shortened to a share of itself, above 0 and up to 1.',
                    );
                }
                $factors[$severity->value][$subject->value] = $share;
            }
        }

        return new self($factors);
    }

    public function factor(Severity $severity, Subject $subject): BigDecimal
    {
        return $this->factors[$severity->value][$subject->value];
    }

    /**
     * A rule as it holds under the severities in force, for the spot of its task that they bear on the hardest.
     *
     * @param  list<Subject>  $subjects  of its spots
     * @param  list<SeverityMark>  $marks
     */
    public function tighten(Rule $rule, array $subjects, array $marks, \DateTimeImmutable $today): Rule
    {
        $hardest = [];
        foreach ($marks as $mark) {
            $factor = BigDecimal::min(
                1,
                ...array_map(fn (Subject $subject): BigDecimal => $this->factor($mark->severity, $subject), $subjects),
            );
            if (! $mark->isInForce($today) || $factor->isEqualTo(1)) {
                continue;
            }
            foreach ($mark->severity->wearsByUse() ? Limit::cases() : [Limit::Date] as $limit) {
                if (
                    $rule->every->gives($limit)
                    && (! isset($hardest[$limit->value]) || $factor->isLessThan($hardest[$limit->value]->factor))
                ) {
                    $hardest[$limit->value] = new Tightening(
                        $limit,
                        $factor,
                        $mark->severity,
                        $rule->every->only($limit),
                    );
                }
            }
        }

        return $hardest === [] ? $rule : $rule->tightened($hardest);
    }
}
