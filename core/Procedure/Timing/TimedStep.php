<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** A step as far as its time goes. */
final readonly class TimedStep
{
    /**
     * @param  int  $minutes  whole, nothing or more
     * @param  bool  $attended  whether it takes a person
     * @param  list<string>  $after
     * @param  list<string>  $uses  resources, from its start to its end
     */
    public function __construct(
        public string $key,
        public int $minutes,
        public bool $attended = true,
        public array $after = [],
        public array $uses = [],
    ) {}
}
