<?php

declare(strict_types=1);

namespace Core\Reckoner;

/** A calculator's answer: its fields, why, and on whose word. */
final readonly class Answer
{
    /**
     * @param  array<string, mixed>  $fields
     * @param  non-empty-list<string>  $sources  published sources, or "common practice"
     */
    public function __construct(private array $fields, private string $why, private array $sources) {}

    /** @return array<string, mixed> ready to be written as JSON */
    public function toArray(): array
    {
        return [...$this->fields, 'why' => $this->why, 'sources' => $this->sources];
    }
}
