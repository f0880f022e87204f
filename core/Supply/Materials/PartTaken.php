<?php

declare(strict_types=1);

namespace Core\Supply\Materials;

use Core\Supply\PartSheet;

/** A part or a seal that is fitted. */
final readonly class PartTaken
{
    /**
     * @param  string  $number  the maker's, or its name where nobody has written one down
     * @param  list<string>  $for  the places
     * @param  string  $again  where the old one was used the last time
     * @param  list<string>  $spots  the keys of the places
     * @param  PartSheet|null  $sheet  of a part: what stands for it
     * @param  bool  $isKnown  whether a number is written down
     */
    public function __construct(
        public string $number,
        public int $count,
        public array $for,
        public array $spots,
        public string $again = '',
        public ?PartSheet $sheet = null,
        public bool $isKnown = true,
    ) {}

    public function withCount(int $count): self
    {
        return new self($this->number, $count, $this->for, $this->spots, $this->again, $this->sheet, $this->isKnown);
    }

    /** The same number at another place too. */
    public function with(self $other): self
    {
        return new self(
            $this->number,
            $this->count + $other->count,
            [...$this->for, ...$other->for],
            [...$this->spots, ...$other->spots],
            $this->again === '' ? $other->again : $this->again,
            $this->sheet,
            $this->isKnown,
        );
    }
}
