<?php

declare(strict_types=1);

namespace App\People;

/**
 * Whatever a person was let in by holds no more: sessions and tokens have ended, and what others gave out in their name
 * must.
 */
final readonly class AccessEnded
{
    public function __construct(public int $personId) {}
}
