<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Record;
use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * With which somebody chooses a password of their own, so that none is told by mouth. One a person, used once.
 *
 * @property int $person_id
 * @property string $code_hash
 * @property CarbonImmutable $ends_at
 * @property-read Person $person
 */
final class Invitation extends Record
{
    private const HOURS = 24;

    protected $primaryKey = 'person_id';

    public $incrementing = false;

    protected function casts(): array
    {
        return ['ends_at' => 'immutable_datetime'];
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return array{code: string, path: string, ends_at: string} as the contract's `Invitation`; an earlier one ends */
    public static function open(Person $person): array
    {
        $code = OneTimeCode::make(groups: 3);
        $endsAt = CarbonImmutable::now()->addHours(self::HOURS);
        self::query()->upsert(
            ['person_id' => $person->id, 'code_hash' => $code->hash(), 'ends_at' => $endsAt],
            ['person_id'],
            ['code_hash', 'ends_at'],
        );

        // Behind the number sign it is told to nobody but the page.
        return ['code' => $code->inWords(), 'path' => "/welcome#{$code->inWords()}", 'ends_at' => $endsAt->toAtomString()];
    }

    /** Locked for whoever uses it. */
    public static function byCode(string $typed): ?self
    {
        return self::query()
            ->where('code_hash', OneTimeCode::typed($typed)->hash())
            ->where('ends_at', '>', CarbonImmutable::now())
            ->lockForUpdate()
            ->first();
    }
}
