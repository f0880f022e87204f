<?php

declare(strict_types=1);

namespace Core\Supply;

/** A thing of which so many may be taken to cover an amount. */
final readonly class CoverItem
{
    /**
     * @param  int  $volume  above nothing, in whole units
     * @param  int  $cost  of one
     * @param  int|null  $most  how many there are, null for as many as one likes
     */
    public function __construct(public int $volume, public int $cost, public ?int $most = null) {}
}
