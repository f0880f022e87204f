<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Logbook\EntryKind;

/** A machine is not to be used. */
final class StandDownNote extends StandNote
{
    public function messages(): array
    {
        return ['note.required' => 'Say what is wrong with it.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    protected function kind(): EntryKind
    {
        return EntryKind::StoodDown;
    }

    protected function isSoAlready(string $name): string
    {
        return "{$name} is stood down already.";
    }
}
