<?php

declare(strict_types=1);

namespace Core\Meter;

use Brick\Math\BigDecimal;

/** Readings of one machine in the order in which they were taken, whatever order they arrived in. Values are what the machine has run. */
final readonly class Readings
{
    /** @param list<Reading> $inOrder */
    private function __construct(private array $inOrder) {}

    public static function of(Reading ...$readings): self
    {
        usort($readings, fn (Reading $one, Reading $other): int => $one->at <=> $other->at ?: $one->value->compareTo($other->value));

        return new self($readings);
    }

    public function latest(): ?Reading
    {
        return $this->inOrder[array_key_last($this->inOrder) ?? 0] ?? null;
    }

    /** The last reading taken at or before an instant. */
    public function before(\DateTimeImmutable $instant): ?Reading
    {
        $found = null;
        foreach ($this->inOrder as $reading) {
            if ($reading->at > $instant) {
                break;
            }
            $found = $reading;
        }

        return $found;
    }

    /** What was run from the first to the last reading. */
    public function gained(): BigDecimal
    {
        return $this->inOrder === [] ? BigDecimal::zero() : $this->latest()?->value->minus($this->inOrder[0]->value) ?? BigDecimal::zero();
    }
}
