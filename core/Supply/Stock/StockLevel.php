<?php

declare(strict_types=1);

namespace Core\Supply\Stock;

use Brick\Math\BigDecimal;

/**
 * How much there is of something: what was counted last, and what came and went since. In whichever order the moves
 * became known, it is the same.
 */
final readonly class StockLevel
{
    private function __construct(public BigDecimal $left) {}

    /**
     * @param  BigDecimal|null  $counted  what was there when it was counted last; null where nobody ever did
     * @param  BigDecimal  $in  what came since
     * @param  BigDecimal  $out  what went since
     */
    public static function of(?BigDecimal $counted, BigDecimal $in, BigDecimal $out): self
    {
        return new self(($counted ?? BigDecimal::zero())->plus($in)->minus($out));
    }

    public static function none(): self
    {
        return new self(BigDecimal::zero());
    }

    public function plus(self $other): self
    {
        return new self($this->left->plus($other->left));
    }

    /** More was taken than there was by the book: somebody should count. */
    public function isBelowNothing(): bool
    {
        return $this->left->isNegative();
    }

    /** What can be planned with. */
    public function usable(): BigDecimal
    {
        return BigDecimal::max($this->left, BigDecimal::zero());
    }
}
