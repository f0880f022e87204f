<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Contract\Record;
use App\People\Person;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Support\Str;

/**
 * An address from which a calendar program fetches what falls due. Whoever knows the address may read it, so it can be
 * given up and made anew.
 *
 * @property int $id
 * @property int $person_id
 * @property bool $whole_yard every machine, not only those that its person may use
 * @property int $remind_days
 * @property string $token
 * @property string $token_hash
 * @property-read Person $person
 */
final class CalendarFeed extends Record
{
    public $timestamps = true;

    protected function casts(): array
    {
        return ['whole_yard' => 'boolean', 'token' => 'encrypted'];
    }

    public static function open(Person $person, bool $wholeYard, int $remindDays): self
    {
        $token = Str::random(40);

        return self::query()->create(
            [
                'person_id' => $person->id,
                'whole_yard' => $wholeYard,
                'remind_days' => $remindDays,
                'token' => $token,
                'token_hash' => hash('sha256', $token),
            ],
        );
    }

    public static function byToken(string $token): ?self
    {
        return self::query()->where('token_hash', hash('sha256', $token))
            ->whereHas('person', fn ($people) => $people->where('active', true))
            ->first();
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return array<string, mixed> */
    public function toRecord(): array
    {
        return [
            'id' => $this->id,
            'whole_yard' => $this->whole_yard,
            'remind_days' => $this->remind_days,
            'path' => "/api/calendar/{$this->token}.ics",
        ];
    }
}
