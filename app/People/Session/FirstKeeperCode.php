<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Refusal;
use App\People\OneTimeCode;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Cache;
use Symfony\Component\HttpFoundation\IpUtils;

/** Whoever has the computer makes its first keeper: from elsewhere only with the code that its terminal printed. */
final class FirstKeeperCode
{
    public const MINUTES = 60;

    private const TRIES = 5;

    private const KEY = 'first-keeper-code';

    /** @return string as it is printed; any earlier one ends */
    public static function make(): string
    {
        $code = OneTimeCode::make(groups: 2);
        Cache::put(self::KEY, $code->hash(), self::MINUTES * 60);
        for ($try = 1; $try <= self::TRIES; $try++) {
            Cache::forget(self::KEY." {$try}");
        }

        return $code->inWords();
    }

    public static function isNeeded(Request $request): bool
    {
        return ! IpUtils::checkIp((string) $request->ip(), ['127.0.0.0/8', '::1']);
    }

    /** @throws Refusal if it is needed, and another, over, or tried too often */
    public static function check(Request $request): void
    {
        if (! self::isNeeded($request)) {
            return;
        }
        $hash = Cache::get(self::KEY);
        if (! is_string($hash) || ! self::takeTry()) {
            throw Refusal::field('code', 'No code holds now. On the yard\'s computer say ./jardinier code for a new one.');
        }
        if (! hash_equals($hash, OneTimeCode::typed((string) $request->input('code'))->hash())) {
            throw Refusal::field('code', 'That is not the code that the terminal printed.');
        }
    }

    public static function forget(): void
    {
        Cache::forget(self::KEY);
    }

    /** Each try is taken by one alone, however many come at once. */
    private static function takeTry(): bool
    {
        for ($try = 1; $try <= self::TRIES; $try++) {
            if (Cache::add(self::KEY." {$try}", true, self::MINUTES * 60)) {
                return true;
            }
        }

        return false;
    }
}
