<?php

declare(strict_types=1);

namespace App\Logbook\Told;

/** Under which name and for which task something is told, as whose word, and in place of what. */
final readonly class Telling
{
    /**
     * @param  string|null  $title  what it is called; the spot's own name where nobody says otherwise
     * @param  int|null  $taskId  the task that it was done for
     * @param  string|null  $uuid  as its device named it
     * @param  string|null  $replaces  what the same person said before
     * @param  string|null  $with  what it was told with, and is taken back with
     * @param  string  $path  before the names of its fields, as in `other.0.`
     * @param  string|null  $field  the one field that holds all of it, where it has no others
     */
    public function __construct(
        public ?string $title = null,
        public ?int $taskId = null,
        public ?string $note = null,
        public ?string $uuid = null,
        public ?string $replaces = null,
        public ?string $with = null,
        public string $path = '',
        private ?string $field = null,
    ) {}

    /** The field beside which something is asked. */
    public function field(string $name): string
    {
        return $this->field ?? "{$this->path}{$name}";
    }

    /** What is told because of it, and goes when it goes. */
    public function following(): self
    {
        return new self(with: $this->uuid);
    }
}
