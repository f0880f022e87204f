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
    /** A walk round the machine, or from grease point to grease point. */
    case Round = 'round';
    /** Something found outside a round. */
    case Found = 'found';
    /** Fluid was added by the way. */
    case ToppedUp = 'topped_up';
    /** A compartment was drained, filled, changed or sampled outside a service. */
    case Fluid = 'fluid';
    /** Something found was put right, or a part that wears is new. */
    case Mended = 'mended';
    /** Something found is known and lived with. */
    case Accepted = 'accepted';
    /** What speaks for or against the meter of a used machine was looked at. */
    case MeterDoubted = 'meter_doubted';
    /** Something came to the shelf. */
    case Bought = 'bought';
    /** What is on the shelf was counted. */
    case Counted = 'counted';
    /** Used oil, filters or the like were taken to the collection point. */
    case Collected = 'collected';
    /** Things were got together for a job. */
    case Gathered = 'gathered';
    /** What was asked of an entry was answered: it is right as it stands. */
    case Answered = 'answered';
    /** Something worth keeping that is none of the others. */
    case Remark = 'remark';

    /** Whether only keepers and mechanics write such an entry. */
    public function isOfService(): bool
    {
        return in_array(
            $this,
            [
                self::MachineAdded,
                self::Service,
                self::Fluid,
                self::MeterReplaced,
                self::MeterDoubted,
                self::Lifted,
                self::RuleChanged,
                self::Skipped,
                self::ReminderSet,
                self::Mended,
                self::Accepted,
                self::Bought,
                self::Counted,
                self::Collected,
                self::Gathered,
            ],
            true,
        );
    }

    /** Whether an entry of this kind can be struck; what changed a record is put right by changing the record again. */
    public function canBeStruck(): bool
    {
        return ! in_array($this, [self::MachineAdded, self::RuleChanged], true);
    }
}
