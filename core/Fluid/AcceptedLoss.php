<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigRational;
use Core\Measure\Day;
use Core\Measure\Plain;
use Core\Measure\Quantity;

/**
 * Whether a seep that was accepted with its usual loss a year loses more by now. A top-up makes good what was lost since
 * the one before it. Common practice, no source.
 */
final readonly class AcceptedLoss
{
    private const DAYS_OF_A_YEAR = 365;

    /** Under so many days one top-up tells no rate; more than a year's loss tells at once. */
    private const FEWEST_DAYS = 30;

    /** Over its usual rate: so much is told. As where consumption rises. */
    private const GROWN = '5/4';

    private function __construct(public bool $hasGrown, public string $why) {}

    /**
     * @param  Quantity  $aYear  what it usually loses
     * @param  \DateTimeImmutable  $from  the last top-up before it was accepted, or that day
     * @param  list<array{\DateTimeImmutable, Quantity}>  $topUps  since it was accepted, oldest first
     */
    public static function of(Quantity $aYear, \DateTimeImmutable $from, array $topUps): self
    {
        if ($topUps === []) {
            return new self(false, "Nothing went in since it was accepted at {$aYear->inWords()} a year.");
        }
        $sum = array_reduce(
            array_slice($topUps, 1),
            fn (Quantity $sum, array $topUp): Quantity => $sum->plus($topUp[1]),
            $topUps[0][1],
        );
        $days = max(1, Day::number($topUps[array_key_last($topUps)][0]) - Day::number($from));
        $usual = $aYear->si()->multipliedBy(BigRational::nd($days, self::DAYS_OF_A_YEAR));
        $isOverRate = $sum->si()->isGreaterThan($usual->multipliedBy(BigRational::of(self::GROWN)));
        $isOverYear = $sum->si()->isGreaterThan($aYear->si());

        return new self(
            $isOverRate && ($days >= self::FEWEST_DAYS || $isOverYear),
            "{$sum->to($aYear->unit)->display()} went in within ".Plain::count($days, 'day')
                .", and {$aYear->inWords()} a year was accepted.",
        );
    }
}
