<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

/** What seals an opening or a part, by its number; new each time. */
final readonly class Seal
{
    public function __construct(public string $number, public int $count = 1) {}

    /** @return list<self> */
    public static function list(string $number): array
    {
        return $number === '' ? [] : [new self($number)];
    }
}
