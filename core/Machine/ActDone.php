<?php

declare(strict_types=1);

namespace Core\Machine;

/** One thing done or said at one spot, as its occasion is judged by. */
final readonly class ActDone
{
    public function __construct(
        public string $id,
        public string $spot,
        public ActKind $kind,
        public Outcome $outcome = Outcome::Done,
    ) {}
}
