<?php

declare(strict_types=1);

namespace Core\Supply;

/** What is written down of a place where a part sits. */
final readonly class PartSheet
{
    public function __construct(
        public PartKind $kind = PartKind::Other,
        public PartNumbers $numbers = new PartNumbers,
        public PartFitting $fitting = new PartFitting,
    ) {}
}
