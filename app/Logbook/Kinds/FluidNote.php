<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Refusal;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\OccasionOf;
use App\Logbook\Told\Drained;
use App\Logbook\Told\Poured;
use App\Logbook\Told\Telling;
use App\Logbook\Told\Told;
use App\Logbook\Told\WriteTold;
use App\Machines\Machine;
use App\Machines\Spot;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Machine\ActKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Illuminate\Validation\Rule;

/** A compartment was drained, filled, changed or sampled. */
final readonly class FluidNote implements NoteKind
{
    private const ACTS = [ActKind::Drained, ActKind::Filled, ActKind::Changed, ActKind::Sampled];

    public function __construct(private OccasionOf $occasion, private WriteTold $writeTold) {}

    public function rules(?Machine $machine): array
    {
        return [
            ...GivenFluid::rules(),
            'spot' => ['required', 'string', 'max:40'],
            'act' => ['required', Rule::enum(ActKind::class)->only(self::ACTS)],
        ];
    }

    public function messages(): array
    {
        return ['spot.required' => 'Say which compartment.', 'act.required' => 'Say what was done.'];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        return $this->record($note, self::told($note, ActKind::from($note->given['act'])), EntryKind::Fluid);
    }

    /** @param  EntryKind  $alone  what its entry is where it belongs to no round */
    public function record(Note $note, Told $told, EntryKind $alone): NoteOutcome
    {
        $entry = $this->occasion->entry($note, $alone);
        ($this->writeTold)($note->machine(), $entry, [$told], $note->circumstances);

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /** @throws Refusal if there is no such compartment, fluid or container */
    public static function told(Note $note, ActKind $kind): Told
    {
        $machine = $note->machine();
        $spot = Spot::query()->with('parent.holder.sheet', 'parent.sheet', 'holder.sheet', 'sheet')
            ->where(['machine_id' => $machine->id, 'key' => $note->given['spot']])->first();
        if ($spot === null || ! self::takes($kind, $spot)) {
            throw Refusal::field('spot', "{$machine->name} has no such fluid.");
        }
        $telling = new Telling(
            ($spot->parent ?? $spot)->name,
            note: $note->circumstances->note,
            uuid: $note->id,
            replaces: $note->replaces,
        );
        $fluid = GivenFluid::of($note->given);

        return in_array($kind, [ActKind::Drained, ActKind::Sampled], true)
            ? Drained::of($spot, $kind, $fluid, $telling)
            : Poured::of($spot, $kind, $fluid, $telling);
    }

    /** A compartment, or one of its drains where it was drained. */
    private static function takes(ActKind $kind, Spot $spot): bool
    {
        return $spot->kind === SpotKind::Compartment || ($kind === ActKind::Drained
            && in_array($spot->role, [OpeningRole::Drain, OpeningRole::Draw], true));
    }
}
