<?php

declare(strict_types=1);

namespace Core\Procedure\Table;

use Brick\Math\BigRational;
use Core\Measure\Quantity;

/** What an amount that ran out says, against what went in the last time or what the book gives. */
final readonly class DrainedTable
{
    /** Of what should come out: so much stays in the housing and in the rags. Common practice, no source. */
    private const STAYS = '0.1';

    /**
     * @param  Quantity  $expected  that should come out in all
     * @param  string  $by  `by the book`, `went in the last time`
     * @param  int  $drains  through how many places it runs out
     */
    public function __construct(private Quantity $expected, private string $by, private int $drains = 1) {}

    /** @return list<array{from_ml: int, verdict: string, says: string}> the row holds from so much on, rising */
    public function rows(): array
    {
        $share = BigRational::of(self::STAYS);
        $low = $this->expected->times(BigRational::one()->minus($share))->wholeMillilitres();
        $high = $this->expected->times(BigRational::one()->plus($share))->wholeMillilitres();
        $told = "{$this->expected->display()} {$this->by}";

        return [
            ['from_ml' => 0, 'verdict' => 'watch', 'says' => "Less than {$told}. ".($this->drains > 1
                ? 'Is another of its drains still shut?'
                : 'Does it still drip, was it low, or is there a second drain?')],
            ['from_ml' => $low, 'verdict' => 'fit', 'says' => "As it should be: {$told}."],
            ['from_ml' => $high + 1, 'verdict' => 'act', 'says' => "More than {$told}. Is there water or fuel in it?"],
        ];
    }
}
