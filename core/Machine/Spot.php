<?php

declare(strict_types=1);

namespace Core\Machine;

/** Anything on a machine that something is done to, looked at, opened, greased, poured into or fitted at. */
final readonly class Spot
{
    /**
     * @param  string  $key  stable within its machine
     * @param  string  $place  where on the machine
     * @param  string  $reach  how one gets at it, and what has to come off
     * @param  string  $trick  what works there
     * @param  string|null  $parent  the key of the compartment that an opening, a filter or a strainer belongs to
     * @param  array{int, int}  $mark  where it stands on the machine's plate, in hundredths of its width and height,
     *     nose to the left
     */
    public function __construct(
        public string $key,
        public SpotKind $kind,
        public Subject $subject,
        public string $name,
        public string $place = '',
        public string $reach = '',
        public string $trick = '',
        public ?string $parent = null,
        public array $mark = [50, 50],
        public ?CompartmentKind $compartment = null,
        public ?OpeningRole $role = null,
    ) {
    }
}
