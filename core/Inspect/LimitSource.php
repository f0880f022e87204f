<?php

declare(strict_types=1);

namespace Core\Inspect;

/** On whose word a limit stands, the strongest first. */
enum LimitSource: string
{
    case Machine = 'machine';
    case MachineClass = 'class';
    case CommonPractice = 'common_practice';

    public function inWords(): string
    {
        return match ($this) {
            self::Machine => "The limit is this machine's.",
            self::MachineClass => 'The limit is the yard\'s for this class.',
            self::CommonPractice => 'The limit is common practice: the maker\'s manual wins.',
        };
    }
}
