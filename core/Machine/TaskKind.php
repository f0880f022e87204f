<?php

declare(strict_types=1);

namespace Core\Machine;

/** What a task does to its spots. */
enum TaskKind: string
{
    case Replace = 'replace';
    case Inspect = 'inspect';
    case Clean = 'clean';
    case Adjust = 'adjust';
    case Lubricate = 'lubricate';
    case CheckLevel = 'check_level';
    case Sample = 'sample';
    case Run = 'run';

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
            self::Run => 'run',
        };
    }

    /** The act by which somebody who ticks such a task as done has done it at one of its spots. */
    public function actAt(SpotKind $spot): ActKind
    {
        return match ($this) {
            self::Replace => $spot === SpotKind::Compartment ? ActKind::Changed : ActKind::Replaced,
            self::Inspect, self::CheckLevel => ActKind::Looked,
            self::Clean => ActKind::Cleaned,
            self::Adjust => ActKind::Adjusted,
            self::Lubricate => ActKind::Lubricated,
            self::Sample => ActKind::Sampled,
            self::Run => ActKind::Ran,
        };
    }
}
