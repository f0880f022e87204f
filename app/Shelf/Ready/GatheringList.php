<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Contract\Record;
use App\Contract\Versioned;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Supply\Need\Preference;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Support\Facades\DB;

/**
 * A list of what some works need, which is gathered.
 *
 * @property int $id
 * @property string $name
 * @property CarbonImmutable|null $for_day
 * @property Preference $preference
 * @property array{rules: array<int, string>, spots: list<int>} $works rules with how they stood when the list was made
 * @property int $person_id
 * @property CarbonImmutable $made_at
 * @property CarbonImmutable|null $closed_at
 * @property int $version
 * @property-read Person $person
 * @property-read Collection<int, WantedThing> $things
 * @property-read Collection<int, CounterLink> $links
 */
final class GatheringList extends Record
{
    use Versioned;

    protected $attributes = ['version' => 1];

    protected function casts(): array
    {
        return [
            'for_day' => 'immutable_date',
            'preference' => Preference::class,
            'works' => 'array',
            'made_at' => 'immutable_datetime',
            'closed_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasMany<WantedThing, $this> what somebody put on it by hand */
    public function things(): HasMany
    {
        return $this->hasMany(WantedThing::class)->orderBy('id');
    }

    /** @return HasMany<CounterLink, $this> */
    public function links(): HasMany
    {
        return $this->hasMany(CounterLink::class)->orderBy('id');
    }

    /**
     * @param  list<ReadyWork>  $works
     * @return array{rules: array<int, string>, spots: list<int>}
     */
    public static function remembered(array $works): array
    {
        $rules = $spots = [];
        foreach ($works as $work) {
            if ($work->due === null) {
                $spots[] = $work->task->spots[0];
            } else {
                $rules[$work->due->ruleId] = $work->due->cycle;
            }
        }

        return ['rules' => $rules, 'spots' => $spots];
    }

    /** @return list<ReadyWork> each told whether it was done since the list was made */
    public function readyWorks(ReadyWorks $all): array
    {
        $cycles = $this->works['rules'];

        return [
            ...array_map(
                fn (ReadyWork $work): ReadyWork => $work->done(
                    $work->due !== null && $work->due->cycle !== $cycles[$work->due->ruleId],
                ),
                $all->ofRules(array_keys($cycles)),
            ),
            ...array_map(
                fn (ReadyWork $work): ReadyWork => $work->done($this->isReplaced($work->task->spots[0])),
                $all->ofSpots($this->works['spots']),
            ),
        ];
    }

    /** @return list<string> the lines that were got together, by their keys */
    public function gathered(): array
    {
        return array_values(DB::table('gathered')
            ->join('entries', 'entries.id', '=', 'gathered.entry_id')
            ->whereNull('entries.struck_at')
            ->where('gathering_list_id', $this->id)
            ->orderBy('gathered.happened_at')->orderBy('gathered.id')
            ->pluck('got', 'item')->filter()->keys()->map(strval(...))->all());
    }

    /** @return array<string, mixed> as the contract's `GatheringList` */
    public function toRecord(): array
    {
        return [
            ...$this->only('id', 'name', 'version'),
            'for_day' => $this->for_day?->toDateString(),
            'preference' => $this->preference->value,
            'by' => $this->person->name,
            'made_at' => $this->made_at->toAtomString(),
            'is_closed' => $this->closed_at !== null,
        ];
    }

    private function isReplaced(int $spot): bool
    {
        return DB::table('acts')->where(['spot_id' => $spot, 'kind' => 'replaced', 'meets' => true])
            ->where('happened_at', '>', $this->made_at)->exists();
    }
}
