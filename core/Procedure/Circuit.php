<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Level\LevelMethod;
use Core\Machine\OpeningRole;

/** The housings that share one fluid: they are emptied together and filled together, or neither. */
final readonly class Circuit
{
    public string $key;

    public string $name;

    /** The housing that holds the fluid, by whose book it is filled and read. */
    public Compartment $holder;

    /** @param  non-empty-list<Compartment>  $housings  the one that holds the fluid first */
    public function __construct(public array $housings)
    {
        $this->holder = $housings[0];
        $this->key = $this->holder->key;
        $this->name = $this->holder->name;
    }

    public function isWarmed(): bool
    {
        return array_filter($this->housings, fn (Compartment $housing): bool => $housing->warmMinutes() > 0) !== [];
    }

    /** @return list<Opening> */
    public function openings(OpeningRole ...$roles): array
    {
        return array_merge(...array_map(
            fn (Compartment $housing): array => $roles === [] ? $housing->openings : $housing->openings(...$roles),
            $this->housings,
        ));
    }

    /** @return list<Opening> through which it is filled: where nothing else is there, its level plug or its stick */
    public function fills(): array
    {
        foreach ([OpeningRole::Fill, OpeningRole::Level, OpeningRole::Draw] as $role) {
            $fills = array_values(array_filter(
                $this->openings($role),
                fn (Opening $opening): bool => $opening->isAHole($this->holder->method),
            ));
            if ($fills !== []) {
                return $fills;
            }
        }

        return [];
    }

    /** @return list<Opening> that are open while it is filled, since they tell when it is full */
    public function levelPlugs(): array
    {
        return match ($this->holder->method) {
            LevelMethod::LevelPlug => $this->openings(OpeningRole::Level),
            LevelMethod::Threads => $this->fills(),
            default => [],
        };
    }

    /** @return list<string> the keys of its housings and of all their openings */
    public function places(): array
    {
        return [...array_column($this->housings, 'key'), ...array_column($this->openings(), 'key')];
    }
}
