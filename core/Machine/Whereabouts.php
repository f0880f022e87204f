<?php

declare(strict_types=1);

namespace Core\Machine;

/** Where on a machine something is, and how one gets at it. */
final readonly class Whereabouts
{
    /**
     * @param  string  $reach  how one gets at it, and what has to come off
     * @param  string  $trick  what works there
     * @param  array{int, int}  $mark  where it stands on the machine's plate, in hundredths of its width and height,
     *     nose to the left
     */
    public function __construct(
        public string $place = '',
        public string $reach = '',
        public string $trick = '',
        public array $mark = [50, 50],
    ) {}
}
