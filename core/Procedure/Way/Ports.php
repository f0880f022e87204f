<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

/** By which steps of a way others are bound to it. */
final readonly class Ports
{
    /**
     * @param  list<string>  $opened  hands open something, or take it off
     * @param  list<string>  $emptied  the old is out
     * @param  list<string>  $shut  what must be shut before anything is poured
     * @param  list<string>  $filled  the new is in
     * @param  list<string>  $done  what stayed open for that is shut too, and nothing is left to do up
     * @param  list<string>  $moves  the machine itself may have to move for it
     */
    public function __construct(
        public array $opened = [],
        public array $emptied = [],
        public array $shut = [],
        public array $filled = [],
        public array $done = [],
        public array $moves = [],
    ) {}

    public function with(self $other): self
    {
        return new self(
            [...$this->opened, ...$other->opened],
            [...$this->emptied, ...$other->emptied],
            [...$this->shut, ...$other->shut],
            [...$this->filled, ...$other->filled],
            [...$this->done, ...$other->done],
            [...$this->moves, ...$other->moves],
        );
    }
}
