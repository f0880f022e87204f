<?php

declare(strict_types=1);

namespace Core\Supply\Need;

use Core\Fluid\Suitability;

/** A fluid that is kept, as it is chosen for one compartment. */
final readonly class FluidChoice
{
    /**
     * @param  int  $supply  which it is
     * @param  bool  $isMakers  the one that the book names
     * @param  bool  $isLast  what was poured there the last time
     * @param  bool  $isThere  some of it is on the shelf
     */
    public function __construct(
        public int $supply,
        public Suitability $answer,
        public bool $isMakers,
        public bool $isLast,
        public bool $isThere,
    ) {}

    /**
     * What will do, by the keeper's preference where both do; then what is in there already, so that nothing is mixed;
     * then what need not be bought. What nobody can judge is taken only where it is in there already.
     *
     * @param  list<self>  $choices
     */
    public static function best(array $choices, Preference $preference): ?self
    {
        $usable = array_values(array_filter(
            $choices,
            fn (self $one): bool => $one->answer === Suitability::Yes || ($one->answer === Suitability::Ask && $one->isLast),
        ));
        $rank = fn (self $one): array => [
            $one->answer === Suitability::Yes ? 0 : 1,
            $one->isMakers === ($preference === Preference::Makers) ? 0 : 1,
            $one->isLast ? 0 : 1,
            $one->isThere ? 0 : 1,
        ];
        usort($usable, fn (self $one, self $other): int => $rank($one) <=> $rank($other));

        return $usable[0] ?? null;
    }
}
