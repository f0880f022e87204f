<?php

declare(strict_types=1);

namespace App\Notes;

use App\People\Person;

/** Who sends notes, from which device, by which clock, and beside which of them somebody waits for an answer. */
final readonly class Sending
{
    /** @param  list<string>|null  $attended  the ids of those beside which somebody waits; null for all */
    public function __construct(
        public Person $by,
        public ?string $device,
        public NoteClock $clock,
        private ?array $attended = null,
    ) {}

    /** @param  array<string, mixed>  $note  as the contract's `Note` */
    public function circumstances(array $note, When $when, When $happened, ?string $words): Circumstances
    {
        return new Circumstances(
            $this->by,
            $happened,
            $this->device,
            $words,
            $note['confirmed_because'] ?? null,
            $this->clock->toldAt($when),
            $this->attended === null || in_array($note['id'], $this->attended, true),
            $this->by,
        );
    }
}
