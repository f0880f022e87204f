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
     * @param  string  $place  where on this machine
     * @param  string  $how  it is looked at or measured
     * @param  string  $fine  what is fine
     * @param  list<RoundKind>  $rounds  the smallest rounds it belongs to
     * @param  list<Degree>  $degrees  the ways in which it is not fine; the usual ones where it has none of its own
     * @param  array<string, string>  $limits  of its measurement, as typed
     * @param  YearWindow|null  $window  the part of the year in which it is looked at
     * @param  string|null  $after  the key of the check that must be found not fine before this one is asked
     * @param  string  $spot  the key of the spot that it looks at
     * @param  bool  $seesLevel  whether a look tells how high a fluid stands
     * @param  list<Caution>  $cautions
     * @param  string  $putBack  what measuring it undoes, and does up again
     * @param  string  $ownCaution  the keeper's own words, which stand for the usual ones
     */
    public function __construct(
        public string $key,
        public string $title,
        public string $place = '',
        public string $how = '',
        public string $fine = '',
        public array $rounds = [RoundKind::Daily],
        public array $degrees = [],
        public ?Measurement $measurement = null,
        public array $limits = [],
        public LimitSource $limitSource = LimitSource::CommonPractice,
        public ?YearWindow $window = null,
        public ?string $after = null,
        public array $cautions = [],
        public string $spot = '',
        public bool $seesLevel = false,
        public string $putBack = '',
        private string $ownCaution = '',
    ) {
    }

    public function caution(): string
    {
        return $this->ownCaution !== ''
            ? $this->ownCaution
            : implode(' ', array_map(fn (Caution $caution): string => $caution->says(), $this->cautions));
    }

    /** Whether it tells how high a fluid stands. */
    public function readsLevel(): bool
    {
        return $this->seesLevel
            || $this->measurement === Measurement::Level
            || $this->measurement === Measurement::CellWater;
    }

    /**
     * Whether a round of a kind asks for it on a day. What is read only within minutes of a run is not read on a
     * morning round.
     */
    public function isAsked(RoundKind $round, \DateTimeImmutable $day): bool
    {
        if ($round === RoundKind::Daily && isset($this->limits['latest_minutes'])) {
            return false;
        }
        $belongs = array_filter($this->rounds, fn (RoundKind $own): bool => $round->contains($own));

        return $belongs !== [] && ($this->window === null || $this->window->holds($day));
    }

    /** @return non-empty-list<Degree> */
    public function degrees(): array
    {
        return $this->degrees === [] ? Degree::usual() : $this->degrees;
    }

    /** Whether what is found here may keep people off the machine. */
    public function canStandDown(): bool
    {
        return $this->measurement !== null || in_array(Verdict::StandDown, array_column($this->degrees(), 'verdict'), true);
    }

    /** @return list<Ask> what is entered for its measurement, and what must be ticked as put back after it */
    public function asks(): array
    {
        $asks = $this->measurement?->instrument()->asks($this->limits) ?? [];

        return $this->putBack === '' ? $asks : [...$asks, Ask::tick(self::PUT_BACK, $this->putBack)];
    }

    /**
     * What a measurement undoes, it does up again.
     *
     * @param  array<mixed>  $entered
     * @return array<string, list<string>> what is still to be said, by field
     */
    public function leftUndone(array $entered): array
    {
        return $this->putBack === ''
            || ($entered[self::PUT_BACK] ?? false) === true
            ? []
            : [self::PUT_BACK => ["Before anything else: {$this->putBack}. Tick it when that is done."]];
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
        if ($this->measurement === null) {
            throw new BadInput(['values' => ["{$this->title} is looked at, not measured."]]);
        }

        return $this->measurement->instrument()
            ->judge(new Fields($entered), new Fields($this->limits, 'limits.'), $occasion);
    }

    /** Its limit made ready for where nobody can ask; null where it takes more than adding and comparing. */
    public function quickLimit(): ?QuickLimit
    {
        $instrument = $this->measurement?->instrument();
        try {
            return $instrument instanceof JudgedQuickly
                ? $instrument->quickLimit(new Fields($this->limits, 'limits.'))
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
            $values['place'] ?? $this->place,
            $values['how'] ?? $this->how,
            $values['fine'] ?? $this->fine,
            $values['rounds'] ?? $this->rounds,
            $values['degrees'] ?? $this->degrees,
            array_key_exists('measurement', $values) ? $values['measurement'] : $this->measurement,
            $values['limits'] ?? $this->limits,
            $values['limitSource'] ?? $this->limitSource,
            array_key_exists('window', $values) ? $values['window'] : $this->window,
            array_key_exists('after', $values) ? $values['after'] : $this->after,
            isset($values['caution']) ? [] : $this->cautions,
            $values['spot'] ?? $this->spot,
            $this->seesLevel,
            $this->putBack,
            $values['caution'] ?? $this->ownCaution,
        );
    }
}
