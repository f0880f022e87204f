<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Request;

/** From which device something was written down, as the device says itself. */
final class Device
{
    private const LONGEST = 60;

    public static function of(Request $request): ?string
    {
        return mb_substr(mb_scrub((string) $request->header('Jardinier-Device'), 'UTF-8'), 0, self::LONGEST) ?: null;
    }
}
