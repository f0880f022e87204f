<?php

declare(strict_types=1);

namespace Core\Inspect;

/** How something is looked at. */
final readonly class Manner
{
    /**
     * @param  string  $how  it is looked at or measured
     * @param  string  $fine  what is fine
     * @param  string  $place  where on this machine
     * @param  string  $spot  the key of the spot that is looked at
     * @param  bool  $seesLevel  whether a look tells how high a fluid stands
     */
    public function __construct(
        public string $how = '',
        public string $fine = '',
        public string $place = '',
        public string $spot = '',
        public bool $seesLevel = false,
    ) {}
}
