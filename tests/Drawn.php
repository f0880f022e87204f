<?php

declare(strict_types=1);

namespace Tests;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** What is drawn by a seed, and is long: `./jardinier test long` draws all of it, every other run a tenth. */
final class Drawn
{
    private const SHARE = 10;

    public static function isWhole(): bool
    {
        return getenv('JARDINIER_LONG') !== false;
    }

    public static function times(int $inAll): int
    {
        return self::isWhole() ? $inAll : intdiv($inAll, self::SHARE);
    }

    /**
     * @template T
     *
     * @param  array<array-key, T>  $all
     * @return array<array-key, T> in their order
     */
    public static function of(array $all, int $seed, int $least = 1): array
    {
        $names = (new Randomizer(new Mt19937($seed)))->pickArrayKeys($all, max($least, self::times(count($all))));

        return array_intersect_key($all, array_flip($names));
    }
}
