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
     * @param  list<Check>  $checks  that the round asks for
     * @param  array<string, Verdict|null>  $told  by check; null where it was looked at and could not be judged; what
     *     was not looked at is left out
     * @param  array<string, string>  $found  what was open before the round began: titles by check
     * @param  bool  $isStoodDown  whether the machine was, before the round began
     */
    public static function of(array $checks, array $told, array $found = [], bool $isStoodDown = false): self
    {
        $judged = array_filter($told);
        $open = array_diff_key(self::asked($checks, $told, $found), $judged);
        $canStandDown = array_filter($checks, fn (Check $check): bool => $check->canStandDown());
        $decisive = array_intersect_key($open, $found + array_column($canStandDown, 'title', 'key'));
        $notJudged = array_values($decisive === [] && $judged === [] ? $open : $decisive);
        $hardest = Verdict::hardest(...array_values($judged), ...($isStoodDown ? [Verdict::StandDown] : []));
        $isJudged = $hardest !== Verdict::Fit || ($judged !== [] && $notJudged === []);

        return new self($isJudged ? $hardest : null, $notJudged);
    }

    /**
     * What a round asks by what was told so far: what is open first, then its checks. A check that comes after another
     * is asked only where that one was not fine.
     *
     * @param  list<Check>  $checks
     * @param  array<string, Verdict|null>  $told
     * @param  array<string, string>  $found
     * @return array<string, string> titles by check
     */
    public static function asked(array $checks, array $told, array $found = []): array
    {
        $reached = array_filter($checks, fn (Check $check): bool => $check->turn->after === null
            || (array_key_exists($check->turn->after, $told) && $told[$check->turn->after] !== Verdict::Fit));

        return $found + array_column($reached, 'title', 'key');
    }
}
