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
        $needed = match ($policyAbility) {
            'beSignedIn', 'view', 'viewAny' => self::Read,
            'log', 'logSome', 'strike' => self::Log,
            'service' => self::Service,
            default => null,
        };

        return $needed !== null && $token->can($needed->value);
    }
}
