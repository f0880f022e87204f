<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

use Core\Procedure\Step;

/** A step as far as its time goes. */
final readonly class TimedStep
{
    /**
     * @param  int  $minutes  whole, nothing or more
     * @param  bool  $attended  whether it takes a person
     * @param  list<string>  $after
     * @param  list<string>  $uses  resources, from its start to its end
     * @param  string  $place  where hands are for it; empty where that is no place of its own
     * @param  string  $block  steps of one block have no other hands-on step between them
     * @param  bool  $cools  what it is done to cools meanwhile: it goes before all that can wait
     */
    public function __construct(
        public string $key,
        public int $minutes,
        public bool $attended = true,
        public array $after = [],
        public array $uses = [],
        public string $place = '',
        public string $block = '',
        public bool $cools = false,
    ) {}

    public static function of(Step $step): self
    {
        return new self(
            $step->key,
            $step->minutes,
            $step->verb->isAttended(),
            $step->bonds->after,
            place: $step->place,
            block: $step->bonds->block,
            cools: $step->cools,
        );
    }
}
