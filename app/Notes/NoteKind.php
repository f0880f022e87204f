<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Refusal;
use App\Machines\Machine;

/** One kind of what devices send: it knows what belongs to it, who may send it, and how to write itself down. */
interface NoteKind
{
    /** @return array<string, array<mixed>> of its own fields; those of the envelope are read already */
    public function rules(?Machine $machine): array;

    /** @return array<string, string> in the trade's words */
    public function messages(): array;

    /** What of {@see \App\Machines\MachinePolicy} somebody must be allowed. */
    public function ability(): string;

    /**
     * Its machine's row is locked.
     *
     * @throws Refusal if it cannot be written as it is
     */
    public function write(Note $note): NoteOutcome;
}
