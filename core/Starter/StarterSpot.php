<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Grease\GreasePoint;
use Core\Machine\Spot;
use Core\Supply\PartKind;

/** A spot that a class of machine begins with. */
final readonly class StarterSpot
{
    /**
     * @param  GreasePoint|null  $grease  what it takes, where it is a nipple
     * @param  int|null  $everyHours  of a nipple that is not greased with the others: how often
     * @param  string|null  $with  the spot whose work opens the way to this nipple
     * @param  PartKind  $part  what sort of part sits there, where nobody has said
     * @param  StarterWay  $way  how it is emptied, read or shut, where nobody has said
     */
    public function __construct(
        public Spot $spot,
        public ?GreasePoint $grease = null,
        public ?int $everyHours = null,
        public ?string $with = null,
        public PartKind $part = PartKind::Other,
        public StarterWay $way = new StarterWay,
    ) {}
}
