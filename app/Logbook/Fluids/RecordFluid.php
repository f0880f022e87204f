<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Contract\Refusal;
use App\Logbook\Acts\WriteActs;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\OccasionOf;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\Written;
use Core\Machine\ActKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;

/** Writes down what was done to one compartment's fluid. */
final readonly class RecordFluid
{
    public function __construct(
        private OccasionOf $occasion,
        private WriteActs $writeActs,
        private FluidActs $fluidActs,
    ) {
    }

    /** @throws Refusal if there is no such compartment, or {@see FluidActs::of()} refuses it */
    public function __invoke(Note $note, ActKind $kind, EntryKind $alone): Written
    {
        $machine = $note->machine();
        $spot = Spot::query()->with('parent.holder.sheet', 'parent.sheet', 'holder.sheet', 'sheet')
            ->where(['machine_id' => $machine->id, 'key' => $note->given['spot']])->first();
        if ($spot === null || ! self::takes($kind, $spot)) {
            throw Refusal::field('spot', "{$machine->name} has no such fluid.");
        }
        $acts = $this->fluidActs->of(
            $machine,
            $spot,
            $kind,
            GivenFluid::of($note->given),
            $note->circumstances,
            $note->id,
            $note->replaces,
        );
        $entry = $this->occasion->entry($note, $alone);
        if ($note->circumstances->confirmedBecause !== null) {
            $entry->update(['confirmed_because' => $note->circumstances->confirmedBecause]);
        }
        ($this->writeActs)($machine, $entry, $acts, $note->circumstances);

        return new Written($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** A compartment, or one of its drains where it was drained. */
    private static function takes(ActKind $kind, Spot $spot): bool
    {
        return $spot->kind === SpotKind::Compartment || ($kind === ActKind::Drained
            && in_array($spot->role, [OpeningRole::Drain, OpeningRole::Draw], true));
    }
}
