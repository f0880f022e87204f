<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\Person;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cookie;
use Illuminate\Support\Str;

/**
 * A device on which somebody has signed in before, by a cookie that only we can have written. Others who guess their name
 * elsewhere do not keep them waiting here.
 */
final readonly class KnownDevice
{
    private const MOST_PEOPLE = 12;

    private const MINUTES_KEPT = 60 * 24 * 366;

    /** @param  list<int>  $people  who have signed in on it, the last first */
    private function __construct(public string $id, private array $people) {}

    public static function of(Request $request): ?self
    {
        [$said, $seal] = explode('.', (string) $request->cookies->get(self::cookie()).'.');
        if ($said === '' || ! hash_equals(self::seal($said), $seal)) {
            return null;
        }
        $read = json_decode(base64_decode($said, true) ?: '', true);

        return is_array($read) ? new self((string) $read['id'], $read['people']) : null;
    }

    /** Each yard's own, since browsers send cookies to every port of a computer. */
    public static function cookie(): string
    {
        return 'jardinier_known_'.substr(hash('sha256', (string) config('app.key')), 0, 10);
    }

    public function knows(?Person $person): bool
    {
        return $person !== null && in_array($person->id, $this->people, true);
    }

    /** From now on this device is known to have been signed in on by a person. */
    public static function remember(Request $request, Person $person): void
    {
        $known = self::of($request) ?? new self(Str::random(20), []);
        $said = base64_encode(json_encode([
            'id' => $known->id,
            'people' => array_slice(array_values(array_unique([$person->id, ...$known->people])), 0, self::MOST_PEOPLE),
        ], JSON_THROW_ON_ERROR));
        Cookie::queue(self::cookie(), $said.'.'.self::seal($said), self::MINUTES_KEPT, null, null, config('session.secure'), true, false, 'lax');
    }

    private static function seal(string $said): string
    {
        return hash_hmac('sha256', "known-device {$said}", (string) config('app.key'));
    }
}
