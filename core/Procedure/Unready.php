<?php

declare(strict_types=1);

namespace Core\Procedure;

/** A service that cannot be led, since something is not written down of its machine. */
final class Unready extends \DomainException
{
    private function __construct(public readonly string $spot, string $message)
    {
        parent::__construct($message);
    }

    public static function noWayOut(Compartment $compartment): self
    {
        return self::of($compartment, 'nothing says how it is emptied. Give it a drain, a filter that is taken off, or the place where it is sucked out.');
    }

    public static function noScrews(Compartment $compartment): self
    {
        return self::of($compartment, 'nothing says where it is bled. Give it its bleed screws.');
    }

    public static function neverEmptied(Compartment $compartment): self
    {
        return self::of($compartment, 'it is never emptied: sealed for life, or only topped up. Read its level instead, or have it opened by whoever may.');
    }

    public static function noWayIn(Compartment $compartment): self
    {
        return self::of($compartment, 'nothing says where it is filled. Give it a filler.');
    }

    public static function noReading(Compartment $compartment): self
    {
        return self::of($compartment, 'nothing says how its level is read. Say by what: a stick, a level plug, its filler, a glass, a line, or by measure.');
    }

    public static function noAmount(Compartment $compartment): self
    {
        return self::of($compartment, 'it is filled by measure, and nobody has written down how much.');
    }

    private static function of(Compartment $compartment, string $why): self
    {
        return new self($compartment->key, ucfirst($compartment->name).": {$why}");
    }
}
