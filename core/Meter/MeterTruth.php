<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;

/**
 * Whether a used machine's meter probably tells the truth, from what was seen on it. Common practice, no source: signs
 * are weighed by a person, and only counted here.
 */
final readonly class MeterTruth
{
    private function __construct(public int $for, public int $against, public string $why) {}

    /**
     * @param  list<MeterSign>  $for  what speaks for the hours shown
     * @param  list<MeterSign>  $against  what speaks against them
     */
    public static function of(array $for, array $against, BigDecimal $shown, MeterUnit $unit): self
    {
        $hours = Plain::number($shown)." {$unit->value}";
        $labels = implode(', ', array_map(fn (MeterSign $sign): string => Plain::within($sign->label()), $against));
        $why = match (true) {
            $for === [] && $against === [] => "Nobody has looked at what speaks for or against the {$hours}.",
            $against === [] => self::signs($for)." for the {$hours}, none against.",
            default => self::signs($against)." against the {$hours}: {$labels}. Take {$hours} as the least it has run, and what has no history as due.",
        };

        return new self(count($for), count($against), $why);
    }

    /** @param  non-empty-list<MeterSign>  $signs */
    private static function signs(array $signs): string
    {
        return count($signs) === 1 ? 'One sign speaks' : count($signs).' signs speak';
    }
}
