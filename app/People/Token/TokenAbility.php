<?php

declare(strict_types=1);

namespace App\People\Token;

use App\People\Person;
use Laravel\Sanctum\PersonalAccessToken;

/**
 * What a token may be made for. Whatever else its owner may do, accounts and rulebooks first, is for people who are
 * signed in.
 */
enum TokenAbility: string
{
    case Read = 'read';
    case Log = 'log';
    case Service = 'service';

    /** Whether whoever asks came in person, or with a token made for this. */
    public static function covers(Person $person, string $policyAbility): bool
    {
        $token = $person->currentAccessToken();
        if (! $token instanceof PersonalAccessToken) {
            return true;
        }
        $any = match ($policyAbility) {
            'beSignedIn', 'view', 'viewAny' => [self::Read],
            // A service tells of what was looked at and poured, too.
            'log', 'logSome', 'strike' => [self::Log, self::Service],
            'service' => [self::Service],
            default => [],
        };

        return array_filter($any, fn (self $ability): bool => $token->can($ability->value)) !== [];
    }
}
