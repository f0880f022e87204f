<?php

declare(strict_types=1);

namespace Core\Procedure;

/** By what one step of a service is known, `open:engine_oil_drain`: a verb, where, and by which check where there are several. */
final readonly class StepKey implements \Stringable
{
    /** Which of two pours: what concentrate is thinned with. */
    public const WATER = 'water';

    public function __construct(public StepVerb $verb, public string $place = '', public string $which = '') {}

    /** @throws \ValueError if no step is called so */
    public static function read(string $key): self
    {
        [$verb, $place, $which] = [...explode(':', $key, 3), '', ''];

        return new self(StepVerb::from($verb), $place, $which);
    }

    public function __toString(): string
    {
        return $this->verb->at($this->place, $this->which);
    }
}
