<?php

declare(strict_types=1);

namespace Core\Machine;

use Core\Measure\Plain;

/**
 * Whether a machine may be used, by all that was said of it and was not struck. A lift ends the stand-downs that it
 * names and no others: whoever lifted had not seen those. So it does not matter when any of it was said or arrived.
 */
final readonly class SafetyWords
{
    /** For so long whoever stood a machine down may say that it was a slip. Common practice, no source. */
    public const MINUTES_TO_TAKE_BACK = 15;

    /** @var array<string, SafetyWord> by the stand-down that it lifts, the first to do so */
    private array $lifts;

    /** @param  list<SafetyWord>  $words  in any order */
    public function __construct(private array $words)
    {
        $lifts = [];
        foreach ($words as $word) {
            foreach ($word->ends as $standDown) {
                $first = $lifts[$standDown] ?? $word;
                $lifts[$standDown] = [$first->at, $first->id] <= [$word->at, $word->id] ? $first : $word;
            }
        }
        $this->lifts = $lifts;
    }

    /** @return list<SafetyWord> the stand-downs that keep people off the machine, the first one first */
    public function standing(): array
    {
        $standing = array_filter($this->words, fn (SafetyWord $word): bool => $word->standsDown && ! isset($this->lifts[$word->id]));
        usort($standing, fn (SafetyWord $one, SafetyWord $other): int => [$one->at, $one->id] <=> [$other->at, $other->id]);

        return $standing;
    }

    public function isDown(): bool
    {
        return $this->standing() !== [];
    }

    /** What ended a stand-down, null while it stands. */
    public function liftOf(string $standDown): ?SafetyWord
    {
        return $this->lifts[$standDown] ?? null;
    }

    /** `Stood down on 14 May 2026, lifted by Tamsin on 16 May 2026.` */
    public static function liftedInWords(\DateTimeImmutable $stoodDown, \DateTimeImmutable $lifted, ?string $by): string
    {
        return 'Stood down on '.Plain::day($stoodDown).', lifted'.($by === null ? '' : " by {$by}").' on '.Plain::day($lifted).'.';
    }

    /**
     * Whether its writer may still take a stand-down back.
     *
     * @param  \DateTimeImmutable  $takenBack  by the same clock that its own moment was read from
     * @param  bool  $restsOnIt  whether a lift, another stand-down or a job was written after it
     */
    public static function isSlip(\DateTimeImmutable $said, \DateTimeImmutable $takenBack, bool $restsOnIt): bool
    {
        return ! $restsOnIt
            && abs($takenBack->getTimestamp() - $said->getTimestamp()) <= self::MINUTES_TO_TAKE_BACK * 60;
    }
}
