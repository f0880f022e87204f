<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Contract\Record;
use App\People\Person;
use App\People\Role;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * An address at which one list is read without signing in, for the person at the counter. Whoever knows it may read that
 * list, until it ends or is taken back.
 *
 * @property int $id
 * @property int $gathering_list_id
 * @property int $person_id
 * @property string $token
 * @property string $token_hash
 * @property CarbonImmutable $expires_at
 * @property-read GatheringList $list
 * @property-read Person $person
 */
final class CounterLink extends Record
{
    public $timestamps = true;

    private const BYTES = 16;

    private const DAYS = 14;

    protected function casts(): array
    {
        return ['token' => 'encrypted', 'expires_at' => 'immutable_datetime'];
    }

    public static function open(GatheringList $list, Person $by): self
    {
        $token = rtrim(strtr(base64_encode(random_bytes(self::BYTES)), '+/', '-_'), '=');

        return self::query()->create([
            'gathering_list_id' => $list->id,
            'person_id' => $by->id,
            'token' => $token,
            'token_hash' => hash('sha256', $token),
            'expires_at' => CarbonImmutable::now()->addDays(self::DAYS),
        ]);
    }

    public static function byToken(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))
            ->where('expires_at', '>', CarbonImmutable::now())
            ->whereHas('person', fn ($people) => $people->where('active', true)->whereIn('role', [Role::Keeper, Role::Mechanic]))
            ->whereHas('list', fn ($lists) => $lists->whereNull('closed_at'))
            ->with('list')
            ->first();
    }

    /** @return BelongsTo<GatheringList, $this> */
    public function list(): BelongsTo
    {
        return $this->belongsTo(GatheringList::class, 'gathering_list_id');
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return array<string, mixed> as the contract's `CounterLink` */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'path' => "/counter/{$this->token}",
            'ends_at' => $this->expires_at->toAtomString(),
            'is_over' => $this->expires_at->isPast(),
        ];
    }
}
