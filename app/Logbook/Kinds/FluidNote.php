<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Logbook\EntryKind;
use App\Logbook\Fluids\GivenFluid;
use App\Logbook\Fluids\RecordFluid;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\Written;
use Core\Machine\ActKind;
use Illuminate\Validation\Rule;

/** A compartment was drained, filled, changed or sampled. */
final readonly class FluidNote implements NoteKind
{
    private const ACTS = [ActKind::Drained, ActKind::Filled, ActKind::Changed, ActKind::Sampled];

    public function __construct(private RecordFluid $record)
    {
    }

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

    public function write(Note $note): Written
    {
        return ($this->record)($note, ActKind::from($note->given['act']), EntryKind::Fluid);
    }
}
