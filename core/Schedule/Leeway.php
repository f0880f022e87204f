<?php

declare(strict_types=1);

namespace Core\Schedule;

use Brick\Math\BigDecimal;

/** How much early or late still counts, as shares of the interval. */
final readonly class Leeway
{
    /** Where nobody says otherwise: common practice, no source. */
    public const USUAL = '0.10';

    public BigDecimal $early;

    public BigDecimal $late;

    /**
     * @param  BigDecimal|null  $early  before the point, within which it may be done
     * @param  BigDecimal|null  $late  after the point, within which it is due and not yet past
     *
     * @throws NoWindow if one of them is not from nothing to the whole interval
     */
    public function __construct(?BigDecimal $early = null, ?BigDecimal $late = null)
    {
        $this->early = $early ?? BigDecimal::of(self::USUAL);
        $this->late = $late ?? ($early === null ? $this->early : BigDecimal::of(self::USUAL));
        foreach (['early' => $this->early, 'late' => $this->late] as $which => $share) {
            if ($share->isNegative() || $share->isGreaterThan(1)) {
                throw new NoWindow($which);
            }
        }
    }
}
