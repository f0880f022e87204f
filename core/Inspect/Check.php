<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Schedule\YearWindow;

/**
 * One thing that is looked at on a walk round a machine.
 *
 * @phpstan-type CheckValues array{title?: string, place?: string, how?: string, fine?: string, rounds?: list<RoundKind>, degrees?: list<Degree>, measurement?: Measurement|null,
 *     limits?: array<string, string>, limitSource?: LimitSource, window?: YearWindow|null, after?: string|null, caution?: string}
 */
final readonly class Check
{
    /**
     * @param  string  $key  names it on every sheet, and its findings with it
     * @param  string  $place  where on this machine
     * @param  string  $how  it is looked at or measured
     * @param  string  $fine  what is fine
     * @param  list<RoundKind>  $rounds  the smallest rounds it belongs to
     * @param  list<Degree>  $degrees  the ways in which it is not fine; the usual ones where it has none of its own
     * @param  array<string, string>  $limits  of its measurement, as typed
     * @param  YearWindow|null  $window  the part of the year in which it is looked at
     * @param  string|null  $after  the key of the check that must be found not fine before this one is asked
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
        public string $caution = '',
    ) {
    }

    /** Whether a round of a kind asks for it on a day. */
    public function isAsked(RoundKind $round, \DateTimeImmutable $day): bool
    {
        $belongs = array_filter($this->rounds, fn (RoundKind $own): bool => $round->contains($own));

        return $belongs !== [] && ($this->window === null || $this->window->holds($day));
    }

    /** @return non-empty-list<Degree> */
    public function degrees(): array
    {
        return $this->degrees === [] ? Degree::usual() : $this->degrees;
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

        return $this->measurement->instrument()->judge(new Fields($entered), new Fields($this->limits, 'limits.'), $occasion);
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
            $values['caution'] ?? $this->caution,
        );
    }
}
