<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Machines\Machine;
use App\Notes\KnownJobs;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Machine\SafetyWords;
use Illuminate\Support\Facades\Gate;

/**
 * Who takes back what they said, until when: one's own within a day of our clock, and what stood a machine down only as
 * a slip of minutes. Whoever may service puts right what is older.
 */
final readonly class TakingBack
{
    private const HOURS = 24;

    public function __construct(private KnownJobs $jobs) {}

    /**
     * @param  CarbonImmutable  $at  when it is taken back, by the clock of whoever does
     * @return string|null why not
     */
    public function refusal(Person $by, Entry $entry, CarbonImmutable $at): ?string
    {
        if (Gate::forUser($by)->allows('service', Machine::class)) {
            return null;
        }
        if ($entry->written_at < now()->subHours(self::HOURS)) {
            return 'What was written more than a day ago is put right by a keeper or mechanic.';
        }

        return StandDowns::saidIn($entry)->get()->contains(fn (Entry $word): bool => ! $this->isSlip($word, $at))
            ? 'This stood the machine down. Only a keeper or mechanic lifts that.'
            : null;
    }

    /** @throws Refusal if it may not */
    public function authorize(Person $by, Entry $entry, CarbonImmutable $at): void
    {
        $because = $this->refusal($by, $entry, $at);
        if ($because !== null) {
            throw new Refusal(new Problem(403, 'not-allowed', 'Not yours to do', $because));
        }
    }

    private function isSlip(Entry $word, CarbonImmutable $at): bool
    {
        $restsOnIt = StandDowns::said()->where('machine_id', $word->machine_id)->where('id', '>', $word->id)->exists()
            || ($word->machine !== null && $this->jobs->wereMadeSince($word->machine, $word->written_at));

        return SafetyWords::isSlip($word->happened_at, $at, $restsOnIt);
    }
}
