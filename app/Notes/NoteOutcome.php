<?php

declare(strict_types=1);

namespace App\Notes;

/** What a note has become, as far as its device should know. */
final readonly class NoteOutcome
{
    /**
     * @param  int|null  $entryId  null where it becomes a line of the logbook only with others
     * @param  array<string, mixed>  $more  as the contract's `NoteResult`
     */
    public function __construct(public ?int $entryId, public array $more = []) {}

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [...$this->entryId === null ? [] : ['entry_id' => $this->entryId], ...$this->more];
    }
}
