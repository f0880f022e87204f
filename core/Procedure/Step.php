<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;

/** One step of a service: something that one person does at one place, or that takes its time by itself. */
final readonly class Step
{
    public string $key;

    public StepVerb $verb;

    public StepAct $act;

    /** @param  list<Caution>  $cautions */
    public function __construct(
        StepKey $key,
        public Workpiece $on,
        public string $says,
        public int $minutes,
        public array $cautions = [],
        public Bonds $bonds = new Bonds,
    ) {
        $this->key = (string) $key;
        $this->verb = $key->verb;
        $this->act = $key->verb->act();
    }
}
