<?php

declare(strict_types=1);

namespace Core\Supply;

/** Another part that fits in the same place. That it fits and that it will do are two things. */
final readonly class Equivalent
{
    /** @param  string  $because  where it fits but will not do: why */
    public function __construct(public string $number, public bool $willDo, public string $because = '') {}
}
