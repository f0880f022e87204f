<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Logbook\EntryKind;

/** A machine that was stood down may be used again. */
final class LiftNote extends StandNote
{
    public function messages(): array
    {
        return ['note.required' => 'Say why it may be used again.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    protected function kind(): EntryKind
    {
        return EntryKind::Lifted;
    }

    protected function isSoAlready(string $name): string
    {
        return "{$name} is not stood down.";
    }
}
