<?php

declare(strict_types=1);

namespace App\Logbook\Kinds;

use App\Contract\Input\TypedVolume;
use App\Logbook\EntryKind;
use App\Logbook\Fluids\GivenFluid;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Core\Machine\ActKind;

/** Fluid was added to a compartment, by the way or in a round. */
final readonly class TopUpNote implements NoteKind
{
    public function __construct(private FluidNote $fluid) {}

    public function rules(?Machine $machine): array
    {
        return [
            ...GivenFluid::rules(),
            'spot' => ['required', 'string', 'max:40'],
            'amount' => ['required', 'string', 'max:40', new TypedVolume],
        ];
    }

    public function messages(): array
    {
        return ['spot.required' => 'Say what was topped up.', 'amount.required' => 'Say how much went in.'];
    }

    public function ability(): string
    {
        return 'log';
    }

    public function write(Note $note): NoteOutcome
    {
        return $this->fluid->record($note, FluidNote::told($note, ActKind::ToppedUp), EntryKind::ToppedUp);
    }
}
