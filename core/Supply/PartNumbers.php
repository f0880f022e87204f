<?php

declare(strict_types=1);

namespace Core\Supply;

/** By which numbers a part is bought, and which will do for it. */
final readonly class PartNumbers
{
    /**
     * @param  string  $number  the maker's
     * @param  string  $supersededBy  the maker's newer number
     * @param  list<Equivalent>  $equivalents
     * @param  string  $kit  the number of the kit it comes in
     * @param  list<KitPiece>  $kitHolds
     * @param  string  $onlyFor  the machine it is for, where serial number, gearbox or fuel system change it
     */
    public function __construct(
        public string $number = '',
        public string $supersededBy = '',
        public array $equivalents = [],
        public string $kit = '',
        public array $kitHolds = [],
        public string $onlyFor = '',
    ) {}

    /** The number to ask for. */
    public function toBuy(): string
    {
        return $this->supersededBy === '' ? $this->number : $this->supersededBy;
    }

    /** @return list<string> the maker's numbers that will do here, the one to ask for first: the kit that it comes in */
    public function makersNumbers(): array
    {
        return array_values(array_filter($this->kit === '' ? [$this->supersededBy, $this->number] : [$this->kit]));
    }

    /** @return list<string> the numbers that stand for the maker's */
    public function equivalentNumbers(): array
    {
        return array_values(array_map(
            fn (Equivalent $one): string => $one->number,
            array_filter($this->equivalents, fn (Equivalent $one): bool => $one->willDo),
        ));
    }

    /**
     * Whether a part that lies at hand, or was found fitted, will do here.
     *
     * @return array{will_do: bool|null, why: string} null where nobody knows
     */
    public function answerFor(string $number): array
    {
        $same = fn (string $other): bool => PartNumber::same($other, $number);
        foreach ($this->equivalents as $equivalent) {
            if ($same($equivalent->number)) {
                return ['will_do' => $equivalent->willDo, 'why' => $equivalent->willDo
                    ? "{$equivalent->number} stands for {$this->number}."
                    : "{$equivalent->number} fits but will not do: {$equivalent->because}"];
            }
        }

        return ['will_do' => $same($this->supersededBy) || $same($this->number) ? true : null, 'why' => match (true) {
            $same($this->supersededBy) => "{$this->supersededBy} is what the maker now sells for {$this->number}.",
            $same($this->number) => $this->supersededBy === ''
                ? "{$this->number} is the maker's number."
                : "{$this->number} is the maker's old number; now it is {$this->supersededBy}.",
            $this->number === '' => 'Nobody has written down which part belongs here.',
            default => "{$this->toBuy()} belongs here, and nobody has compared {$number} with it: height, thread, gasket, rating, flow arrow.",
        }];
    }
}
