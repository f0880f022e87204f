<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Contract\Refusal;
use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;

/** Something found is put right, or a part that wears is new: the finding ends, and a new line of wear begins. */
final readonly class PutRight
{
    public function __construct(private CheckLists $checkLists)
    {
    }

    /**
     * @param  string  $check  the check that found it, or the finding of its own
     *
     * @throws Refusal if nobody ever looked at it
     */
    public function act(
        Machine $machine,
        string $check,
        ?string $note = null,
        ?string $uuid = null,
        string $field = 'check',
    ): GivenAct {
        [$spot, $title] = $this->lookedAt($machine, $check)
            ?? throw Refusal::field($field, "Nobody has ever looked at that on {$machine->name}.");

        return new GivenAct(
            $spot,
            ActKind::Looked,
            $title,
            Outcome::PutRight,
            $check,
            Verdict::Fit,
            note: $note,
            uuid: $uuid,
        );
    }

    /**
     * @return array{Spot, string}|null where a check looks and what it is called, whether or not it still stands on the
     *     sheet
     */
    public function lookedAt(Machine $machine, string $check): ?array
    {
        $asked = $this->checkLists->find($machine, $check);
        $spot = $asked === null
            ? null
            : Spot::query()->where(['machine_id' => $machine->id, 'key' => $asked->spot])->first();
        if ($asked !== null && $spot !== null) {
            return [$spot, $asked->title];
        }
        $last = Act::query()->where(['machine_id' => $machine->id, 'check_key' => $check])
            ->with('spot')
            ->latest('happened_at')
            ->latest('id')
            ->first();

        return $last === null ? null : [$last->spot, $last->title];
    }
}
