<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Refusal;
use App\Machines\Machine;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Inspect\RoundKind;

/** A note as it was sent, its envelope understood. */
final readonly class Note
{
    /**
     * @param  string  $id  as the device that wrote it named it
     * @param  array<string, mixed>  $given  the fields of its kind
     * @param  string|null  $job  the service that it belongs to, as the device named it
     * @param  string|null  $replaces  what the same person said before and says otherwise now
     */
    public function __construct(
        public string $id,
        public ?Machine $machine,
        public Circumstances $circumstances,
        public array $given,
        public ?RoundKind $round = null,
        public ?CarbonImmutable $roundBegan = null,
        public ?string $job = null,
        public ?string $replaces = null,
    ) {}

    /**
     * The same, with the fields of its kind as they were understood.
     *
     * @param  array<string, mixed>  $given
     */
    public function with(array $given): self
    {
        return new self(...['given' => $given] + get_object_vars($this));
    }

    public function machine(): Machine
    {
        return $this->machine ?? throw Refusal::field('machine_id', 'Say which machine.');
    }

    public function by(): Person
    {
        return $this->circumstances->by ?? throw new \LogicException('A note is sent by somebody.');
    }
}
