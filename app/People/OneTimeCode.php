<?php

declare(strict_types=1);

namespace App\People;

/** A code that somebody reads off a screen or hears, and types once: no letter looks like a number. */
final readonly class OneTimeCode
{
    private const SIGNS = '23456789ABCDEFGHJKMNPQRSTUVWXYZ';

    private function __construct(private string $signs) {}

    /** @param  int  $groups  of four signs, some 20 bits each */
    public static function make(int $groups): self
    {
        $signs = '';
        for ($sign = 0; $sign < 4 * $groups; $sign++) {
            $signs .= self::SIGNS[random_int(0, strlen(self::SIGNS) - 1)];
        }

        return new self($signs);
    }

    /** However it was typed: in small letters, with or without the dashes. */
    public static function typed(string $typed): self
    {
        return new self((string) preg_replace('/[^A-Z0-9]/', '', strtoupper($typed)));
    }

    public function hash(): string
    {
        return hash('sha256', $this->signs);
    }

    /** `7KQM-2WXP` */
    public function inWords(): string
    {
        return implode('-', str_split($this->signs, 4));
    }
}
