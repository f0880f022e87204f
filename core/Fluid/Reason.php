<?php

declare(strict_types=1);

namespace Core\Fluid;

/** One thing that speaks for or against a fluid. */
final readonly class Reason
{
    private function __construct(public Suitability $answer, public string $why) {}

    public static function yes(string $why): self
    {
        return new self(Suitability::Yes, $why);
    }

    public static function ask(string $why): self
    {
        return new self(Suitability::Ask, $why);
    }

    public static function no(string $why): self
    {
        return new self(Suitability::No, $why);
    }
}
