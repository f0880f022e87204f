<?php

declare(strict_types=1);

namespace Core\Machine;

/** The newest act of a kind that stands at a spot, by one check or by none. */
final readonly class NewestAct
{
    /**
     * @param  string  $check  the key of the check it was done by, empty for none
     * @param  Point  $point  where the machine then stood
     * @param  bool  $fit  whether it was found fit
     */
    public function __construct(
        public ActKind $kind,
        public string $check,
        public \DateTimeImmutable $at,
        public Point $point,
        public bool $fit = false,
    ) {}
}
