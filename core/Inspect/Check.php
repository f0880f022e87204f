<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Machine\Caution;
use Core\Machine\Verdict;
use Core\Schedule\YearWindow;

/**
 * One thing that is looked at on a walk round a machine.
 *
 * @phpstan-type CheckValues array{
 *     spot?: string,
 *     title?: string,
 *     place?: string,
 *     how?: string,
 *     fine?: string,
 *     rounds?: list<RoundKind>,
 *     degrees?: list<Degree>,
 *     measurement?: Measurement|null,
 *     limits?: array<string, string>,
 *     limitSource?: LimitSource,
 *     window?: YearWindow|null,
 *     after?: string|null,
 *     caution?: string,
 * }
 */
final readonly class Check
{
    /** Under which what was put back is ticked. */
    private const PUT_BACK = 'put_back';

    /**
     * @param  string  $key  names it on every list, and its findings with it
     * @param  list<Degree>  $degrees  the ways in which it is not fine; the usual ones where it has none of its own
     * @param  list<Caution>  $cautions
     * @param  string  $ownCaution  the keeper's own words, which stand for the usual ones
     */
    public function __construct(
        public string $key,
        public string $title,
        public Manner $manner = new Manner,
        public Turn $turn = new Turn,
        public array $degrees = [],
        public Measuring $measuring = new Measuring,
        public array $cautions = [],
        private string $ownCaution = '',
    ) {}

    public function caution(): string
    {
        return $this->ownCaution !== ''
            ? $this->ownCaution
            : implode(' ', array_map(fn (Caution $caution): string => $caution->says(), $this->cautions));
    }

    /** Whether it tells how high a fluid stands. */
    public function readsLevel(): bool
    {
        return $this->manner->seesLevel
            || in_array($this->measuring->by, [Measurement::Level, Measurement::CellWater], true);
    }

    /**
     * Whether a round of a kind asks for it on a day. What is read only within minutes of a run is not read on a
     * morning round.
     */
    public function isAsked(RoundKind $round, \DateTimeImmutable $day): bool
    {
        return ($round !== RoundKind::Daily || ! isset($this->measuring->limits['latest_minutes']))
            && $this->turn->isOf($round, $day);
    }

    /** @return non-empty-list<Degree> */
    public function degrees(): array
    {
        return $this->degrees === [] ? Degree::usual() : $this->degrees;
    }

    /** Whether what is found here may keep people off the machine. */
    public function canStandDown(): bool
    {
        return $this->measuring->by !== null || in_array(Verdict::StandDown, array_column($this->degrees(), 'verdict'), true);
    }

    /** @return list<Ask> what is entered for its measurement, and what must be ticked as put back after it */
    public function asks(): array
    {
        $asks = $this->measuring->by?->instrument()->asks($this->measuring->limits) ?? [];

        return $this->measuring->putBack === '' ? $asks : [...$asks, Ask::tick(self::PUT_BACK, $this->measuring->putBack)];
    }

    /**
     * What a measurement undoes, it does up again.
     *
     * @param  array<mixed>  $entered
     * @return array<string, list<string>> what is still to be said, by field
     */
    public function leftUndone(array $entered): array
    {
        return $this->measuring->putBack === ''
            || ($entered[self::PUT_BACK] ?? false) === true
            ? []
            : [self::PUT_BACK => ["Before anything else: {$this->measuring->putBack}. Tick it when that is done."]];
    }

    /**
     * What was measured, held against this machine's limits.
     *
     * @param  array<mixed>  $entered
     *
     * @throws BadInput if anything is missing or unreadable
     */
    public function judge(array $entered, Occasion $occasion): Judged
    {
        if ($this->measuring->by === null) {
            throw new BadInput(['values' => ["{$this->title} is looked at, not measured."]]);
        }

        return $this->measuring->by->instrument()
            ->judge(new Fields($entered), new Fields($this->measuring->limits, 'limits.'), $occasion);
    }

    /** Its limit made ready for where nobody can ask; null where it takes more than adding and comparing. */
    public function quickLimit(): ?QuickLimit
    {
        $instrument = $this->measuring->by?->instrument();
        try {
            return $instrument instanceof JudgedQuickly
                ? $instrument->quickLimit(new Fields($this->measuring->limits, 'limits.'))
                : null;
        } catch (BadInput) {
            return null;
        }
    }

    /** @param  CheckValues  $values  what differs */
    public function with(array $values): self
    {
        return new self(
            $this->key,
            $values['title'] ?? $this->title,
            new Manner(
                $values['how'] ?? $this->manner->how,
                $values['fine'] ?? $this->manner->fine,
                $values['place'] ?? $this->manner->place,
                $values['spot'] ?? $this->manner->spot,
                $this->manner->seesLevel,
            ),
            new Turn(
                $values['rounds'] ?? $this->turn->rounds,
                array_key_exists('window', $values) ? $values['window'] : $this->turn->window,
                array_key_exists('after', $values) ? $values['after'] : $this->turn->after,
            ),
            $values['degrees'] ?? $this->degrees,
            new Measuring(
                array_key_exists('measurement', $values) ? $values['measurement'] : $this->measuring->by,
                $values['limits'] ?? $this->measuring->limits,
                $values['limitSource'] ?? $this->measuring->source,
                $this->measuring->putBack,
            ),
            isset($values['caution']) ? [] : $this->cautions,
            $values['caution'] ?? $this->ownCaution,
        );
    }
}
