<?php

declare(strict_types=1);

namespace Core\Supply;

/** One thing that lies in a kit. */
final readonly class KitPiece
{
    public function __construct(public string $name, public int $count) {}
}
