<?php

declare(strict_types=1);

namespace App\People;

use App\Contract\Device;
use App\Contract\Record;
use Carbon\CarbonImmutable;
use Illuminate\Http\Request;

/**
 * A device on which somebody is signed in. Its session ends with it.
 *
 * @property int $id
 * @property int $person_id
 * @property string|null $device as it calls itself
 * @property CarbonImmutable $signed_in_at
 * @property CarbonImmutable $last_seen_at
 */
final class SignIn extends Record
{
    protected function casts(): array
    {
        return ['signed_in_at' => 'immutable_datetime', 'last_seen_at' => 'immutable_datetime'];
    }

    public static function begin(Person $person, Request $request): self
    {
        return self::query()->create([
            'person_id' => $person->id,
            'device' => Device::of($request),
            'signed_in_at' => now(),
            'last_seen_at' => now(),
        ]);
    }

    /** Now and then, not at every request. */
    public static function seen(?int $id): void
    {
        self::query()->whereKey($id)->update(['last_seen_at' => now()]);
    }

    /** Forgets those whose sessions have run out. */
    public static function prune(): void
    {
        self::query()->where('last_seen_at', '<', now()->subMinutes((int) config('session.lifetime')))->delete();
    }

    /** @return array<string, mixed> as the contract's `SignIn` */
    public function toRecord(?int $here): array
    {
        return [
            'id' => $this->id,
            'device' => $this->device,
            'signed_in_at' => $this->signed_in_at->toAtomString(),
            'last_seen_at' => $this->last_seen_at->toAtomString(),
            'is_here' => $this->id === $here,
        ];
    }
}
