<?php

declare(strict_types=1);

namespace App\Logbook;

/** What a line of the logbook records. */
enum EntryKind: string
{
    case MachineAdded = 'machine_added';
    case Reading = 'reading';
    case Service = 'service';
    case MeterReplaced = 'meter_replaced';
    case StoodDown = 'stood_down';
    case Lifted = 'lifted';
    case RuleChanged = 'rule_changed';
    /** A due point passed over on purpose. */
    case Skipped = 'skipped';
    /** A check said that a task must be done. */
    case Called = 'called';
    /** The machine's own reminder was set. */
    case ReminderSet = 'reminder_set';

    /** Whether an entry of this kind can be struck; what changed a record is put right by changing the record again. */
    public function canBeStruck(): bool
    {
        return ! in_array($this, [self::MachineAdded, self::RuleChanged], true);
    }
}
