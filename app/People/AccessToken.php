<?php

declare(strict_types=1);

namespace App\People;

use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * A personal token. When it was last used is written to the minute, not at every request.
 *
 * @property list<string> $abilities
 * @property CarbonImmutable|null $expires_at
 * @property CarbonImmutable|null $created_at
 * @property CarbonImmutable|null $last_used_at
 */
final class AccessToken extends PersonalAccessToken
{
    /** A token lets in as long as its owner may come in themselves, and nothing has ended all that let them in. */
    public function lets(): bool
    {
        $owner = $this->tokenable;

        return $owner instanceof Person && $owner->active && $owner->epoch === (int) $this->getAttribute('epoch');
    }

    private const SECONDS_BETWEEN_USES = 60;

    protected $table = 'personal_access_tokens';

    public function setLastUsedAtAttribute(CarbonInterface $used): void
    {
        $last = $this->last_used_at;
        if ($last === null || abs($used->diffInSeconds($last)) >= self::SECONDS_BETWEEN_USES) {
            $this->attributes['last_used_at'] = $this->fromDateTime($used);
        }
    }
}
