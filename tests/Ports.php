<?php

declare(strict_types=1);

namespace Tests;

/** Ports for what the suites serve. */
final class Ports
{
    private const LOWEST = 10_000;

    /**
     * The first of so many free ports in a row. The system gives none of them to a connection that goes out, so what
     * is stopped finds them free when it starts again.
     */
    public static function free(int $inARow = 1): int
    {
        $highest = (int) @file_get_contents('/proc/sys/net/ipv4/ip_local_port_range') - $inARow;
        do {
            $first = random_int(self::LOWEST, $highest > self::LOWEST ? $highest : 32_000);
        } while (! self::areFree(range($first, $first + $inARow - 1)));

        return $first;
    }

    /** @param  list<int>  $ports */
    private static function areFree(array $ports): bool
    {
        $held = array_filter(array_map(fn (int $port) => @stream_socket_server("tcp://0.0.0.0:{$port}"), $ports));

        return count($held) === count($ports);
    }
}
