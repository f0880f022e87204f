<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;

/**
 * What a round says of its machine. Fit is only what was looked at: as long as anything that could keep people off the
 * machine was not judged, a round without a fault says nothing of it.
 */
final readonly class RoundOutcome
{
    /**
     * @param  Verdict|null  $verdict  null where it was not judged
     * @param  list<string>  $notJudged  the titles of what must be looked at before it is, in their order
     */
    private function __construct(public ?Verdict $verdict, public array $notJudged) {}

    /**
     * @param  list<Check>  $asked  what the round asks for
     * @param  array<string, Verdict>  $told  by check; what was not looked at, or could not be judged, is left out
     */
    public static function of(array $asked, array $told): self
    {
        $open = array_filter($asked, fn (Check $check): bool => ! isset($told[$check->key]) && self::isReached($check, $told));
        $decisive = array_filter($open, fn (Check $check): bool => $check->canStandDown());
        $notJudged = array_column($decisive === [] && $told === [] ? $open : $decisive, 'title');
        $hardest = Verdict::hardest(...array_values($told));
        $isJudged = $hardest !== Verdict::Fit || ($told !== [] && $notJudged === []);

        return new self($isJudged ? $hardest : null, $notJudged);
    }

    /**
     * A check that comes after another is asked only where that one was not fine.
     *
     * @param  array<string, Verdict>  $told
     */
    private static function isReached(Check $check, array $told): bool
    {
        return $check->turn->after === null || ($told[$check->turn->after] ?? Verdict::Fit) !== Verdict::Fit;
    }
}
