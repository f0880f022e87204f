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
        return new self(
            $compartment->key,
            ucfirst($compartment->name).': nothing says how it is emptied. Give it a drain, a filter that is taken off, or the place where it is sucked out.',
        );
    }

    /** Pedal and wheels belong to it, and nothing here knows them yet. */
    public static function brakes(Compartment $compartment): self
    {
        return new self(
            $compartment->key,
            ucfirst($compartment->name).': brakes are bled by their own procedure, wheel by wheel; not led yet. Do it by the manual or have it done, then record the service.',
        );
    }

    public static function noWayIn(Compartment $compartment): self
    {
        return new self($compartment->key, ucfirst($compartment->name).': nothing says where it is filled. Give it a filler.');
    }
}
