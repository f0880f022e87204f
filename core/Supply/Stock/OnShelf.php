<?php

declare(strict_types=1);

namespace Core\Supply\Stock;

use Brick\Math\BigDecimal;

/** A container on the shelf, by what is left in it. */
final readonly class OnShelf
{
    /**
     * @param  BigDecimal  $litres  left in it
     * @param  \DateTimeImmutable|null  $opened  when something was first taken out, null where it is shut
     * @param  bool  $isOver  past its shelf life
     */
    public function __construct(
        public int $id,
        public BigDecimal $litres,
        public ?\DateTimeImmutable $opened = null,
        public bool $isOver = false,
    ) {
    }
}
