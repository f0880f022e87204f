<?php

declare(strict_types=1);

namespace Core\Machine;

/** Anything on a machine that something is done to, looked at, opened, greased, poured into or fitted at. */
final readonly class Spot
{
    /**
     * @param  string  $key  stable within its machine
     * @param  string|null  $parent  the key of the compartment that an opening, a filter or a strainer belongs to
     */
    public function __construct(
        public string $key,
        public SpotKind $kind,
        public Subject $subject,
        public string $name,
        public Whereabouts $at = new Whereabouts,
        public ?string $parent = null,
        public ?CompartmentKind $compartment = null,
        public ?OpeningRole $role = null,
    ) {}
}
