<?php

declare(strict_types=1);

namespace Core\Measure;

/** A number whose mark may be the decimal one or set thousands apart: `1,204`, `1.204`. */
final class TwoWays extends Unreadable
{
    /**
     * @param  array{string, string}  $readings  how it is written so that nobody can take it for the other: as
     *     thousands, and as a decimal
     */
    private function __construct(string $written, public readonly array $readings)
    {
        parent::__construct("\"{$written}\" can be read two ways. Write {$readings[0]} or {$readings[1]}.");
    }

    /** @param  string  $written  digits, a comma or dot, three digits */
    public static function of(string $written): self
    {
        $decimal = str_replace(',', '.', $written);

        return new self(
            $written,
            [
                str_replace('.', '', $decimal),
                str_ends_with($decimal, '0') ? rtrim(rtrim($decimal, '0'), '.') : "{$decimal}0",
            ],
        );
    }
}
