<?php

declare(strict_types=1);

namespace Core\Machine;

/** What a task does to its place. */
enum TaskKind: string
{
    case Replace = 'replace';
    case Inspect = 'inspect';
    case Clean = 'clean';
    case Adjust = 'adjust';
    case Lubricate = 'lubricate';
    case CheckLevel = 'check_level';
    case Sample = 'sample';

    public function word(): string
    {
        return str_replace('_', ' ', $this->value);
    }

    /** The word for it when it has been done. */
    public function done(): string
    {
        return match ($this) {
            self::Replace => 'replaced',
            self::Inspect => 'inspected',
            self::Clean => 'cleaned',
            self::Adjust => 'adjusted',
            self::Lubricate => 'greased',
            self::CheckLevel => 'level checked',
            self::Sample => 'sampled',
        };
    }
}
