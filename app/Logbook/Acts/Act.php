<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Contract\Record;
use App\Logbook\Doubt;
use App\Logbook\Entry;
use App\Logbook\Photo;
use App\Logbook\Stock\Move;
use App\Logbook\Stock\MoveKind;
use App\Machines\Sheets;
use App\Machines\Spot;
use App\People\Person;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Inspect\LimitSource;
use Core\Inspect\Sighting;
use Core\Machine\ActDone;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Outcome;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Meter\Limit;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Database\Eloquent\Relations\HasOne;

/**
 * One thing done or said at one spot, at one moment, by one person, from one device.
 *
 * @property int $id
 * @property string $uuid as the device that wrote it named it
 * @property int $entry_id the line of the logbook it belongs to
 * @property int $machine_id
 * @property int $spot_id
 * @property ActKind $kind
 * @property LookedBy $looked_by
 * @property string $check_key the check, or a finding of its own; empty for neither
 * @property Outcome $outcome
 * @property bool $meets whether it stands for what tasks ask: not struck, done, usable and enough
 * @property Verdict|null $verdict null where it says nothing of the spot's state
 * @property int|null $task_id the task that was ticked
 * @property string $title what it was called then
 * @property string|null $words what was seen, or the measurement with its limit
 * @property string|null $advice
 * @property LimitSource|null $limit_source
 * @property array<string, mixed>|null $typed what was entered
 * @property int|null $strokes
 * @property bool $sign_seen whether the grease showed, or resisted
 * @property string|null $note
 * @property CarbonImmutable $happened_at
 * @property int|null $person_id
 * @property string|null $device
 * @property string|null $hours run by then
 * @property string|null $km
 * @property string|null $replaces the act of the same person that it stands for
 * @property string|null $told_with the act that it was told with, and is taken back with
 * @property CarbonImmutable|null $struck_at
 * @property-read Entry $entry
 * @property-read Spot $spot
 * @property-read Person|null $person
 * @property-read Measure|null $measure
 * @property-read Collection<int, Move> $moved
 * @property-read Fitting|null $fitting
 * @property-read Collection<int, Photo> $photos
 * @property-read Collection<int, Doubt> $doubts
 */
final class Act extends Record
{
    protected $attributes = ['looked_by' => 'check', 'check_key' => '', 'outcome' => 'done', 'meets' => false, 'sign_seen' => false];

    protected function casts(): array
    {
        return [
            'kind' => ActKind::class,
            'looked_by' => LookedBy::class,
            'outcome' => Outcome::class,
            'verdict' => Verdict::class,
            'limit_source' => LimitSource::class,
            'meets' => 'boolean',
            'sign_seen' => 'boolean',
            'typed' => 'array',
            'happened_at' => 'immutable_datetime',
            'struck_at' => 'immutable_datetime',
        ];
    }

    /** @return BelongsTo<Entry, $this> */
    public function entry(): BelongsTo
    {
        return $this->belongsTo(Entry::class);
    }

    /** @return BelongsTo<Spot, $this> */
    public function spot(): BelongsTo
    {
        return $this->belongsTo(Spot::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return HasOne<Measure, $this> what is followed against hours */
    public function measure(): HasOne
    {
        return $this->hasOne(Measure::class);
    }

    /** @return HasMany<Move, $this> the fluid that went in or out: as a rule one */
    public function moved(): HasMany
    {
        return $this->hasMany(Move::class)->whereIn('moves.kind', [MoveKind::Poured, MoveKind::Drained])->orderBy('moves.id');
    }

    /** @return HasOne<Fitting, $this> the part that was fitted, or how an opening was closed */
    public function fitting(): HasOne
    {
        return $this->hasOne(Fitting::class);
    }

    /** @return HasMany<Photo, $this> */
    public function photos(): HasMany
    {
        return $this->hasMany(Photo::class, 'act', 'uuid');
    }

    /** @return HasMany<Doubt, $this> what there is, or was, to ask of it */
    public function doubts(): HasMany
    {
        return $this->hasMany(Doubt::class)->with('answer')->orderBy('id');
    }

    /** @param  Builder<self>  $query */
    public function scopeStanding(Builder $query): void
    {
        $query->whereNull('acts.struck_at');
    }

    /** Whether what was wrong there is over with it, however it looks. */
    public function putsRight(): bool
    {
        return $this->outcome === Outcome::PutRight || $this->kind === ActKind::Replaced;
    }

    /** @param  bool  $isAcceptedNoMore  what it accepted has grown since */
    public function toSighting(bool $isAcceptedNoMore = false): Sighting
    {
        return new Sighting(
            sprintf('%012d', $this->id),
            $this->happened_at,
            $this->verdict ?? Verdict::Fit,
            $this->putsRight(),
            $this->outcome === Outcome::Accepted && ! $isAcceptedNoMore,
        );
    }

    /** The fluid that went in or out, in the unit in which it was written; null where nobody measured it. */
    public function poured(): ?Quantity
    {
        $measured = $this->moved->whereNotNull('amount');
        $typed = $measured->first()?->typed;
        if ($measured->count() === 1 && $typed !== null) {
            return Quantity::parse($typed, Unit::Litre);
        }

        return $measured->isEmpty() ? null : Quantity::of(
            (string) BigDecimal::sum(...$measured->map(fn (Move $move): BigDecimal => BigDecimal::of((string) $move->amount))->all()),
            Unit::Litre,
        );
    }

    /** As its occasion is judged by. */
    public function toDone(): ActDone
    {
        return new ActDone((string) $this->id, (string) $this->spot_id, $this->kind, $this->outcome);
    }

    /** What the machine had run by then, by one of its meters. */
    public function run(Limit $along): ?BigDecimal
    {
        $run = $along === Limit::Distance ? $this->km : $this->hours;

        return $run === null ? null : BigDecimal::of($run)->stripTrailingZeros();
    }

    /** @return array<string, mixed> as the contract's `Act` */
    public function toRecord(): array
    {
        return [
            'id' => $this->uuid,
            'spot' => $this->spot->key,
            'check' => $this->check_key === '' ? null : $this->check_key,
            'title' => $this->title,
            'kind' => $this->kind->value,
            'outcome' => $this->outcome->value,
            'verdict' => $this->verdict?->value,
            'why' => trim("{$this->words} ".($this->limit_source?->inWords() ?? '')),
            'do' => $this->advice ?? '',
            'values' => (object) ($this->typed ?? []),
            'note' => $this->note,
            'at' => $this->happened_at->toAtomString(),
            'by' => $this->person?->name,
            'photos' => $this->photos->pluck('uuid')->all(),
            'asks' => $this->doubts->filter->isOpen()->pluck('asks')->values()->all(),
        ];
    }

    /** Whether the old part itself went on again, and not only its old seal. */
    public function isOldAgain(): bool
    {
        return $this->kind === ActKind::Replaced
            && $this->fitting?->reused === true
            && $this->spot?->kind === SpotKind::Part
            && Sheets::part($this->spot)->kind->isUsedAgain();
    }
}
