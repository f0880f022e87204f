<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Schedule\YearWindow;

/** When something is looked at. */
final readonly class Turn
{
    /**
     * @param  list<RoundKind>  $rounds  the smallest rounds it belongs to
     * @param  YearWindow|null  $window  the part of the year in which it is looked at
     * @param  string|null  $after  the key of the check that must be found not fine before this one is asked
     */
    public function __construct(
        public array $rounds = [RoundKind::Daily],
        public ?YearWindow $window = null,
        public ?string $after = null,
    ) {}

    public function isOf(RoundKind $round, \DateTimeImmutable $day): bool
    {
        $belongs = array_filter($this->rounds, fn (RoundKind $own): bool => $round->contains($own));

        return $belongs !== [] && ($this->window === null || $this->window->holds($day));
    }
}
