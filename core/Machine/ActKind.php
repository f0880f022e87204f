<?php

declare(strict_types=1);

namespace Core\Machine;

/** What was done or said at a spot. */
enum ActKind: string
{
    case Looked = 'looked';
    case Measured = 'measured';
    case Cleaned = 'cleaned';
    case Adjusted = 'adjusted';
    case Lubricated = 'lubricated';
    case Replaced = 'replaced';
    case Closed = 'closed';
    case ToppedUp = 'topped_up';
    case Filled = 'filled';
    case Drained = 'drained';
    /** A fluid: drained and filled. */
    case Changed = 'changed';
    case Sampled = 'sampled';
    case Ran = 'ran';

    public function word(): string
    {
        return match ($this) {
            self::Looked => 'looked at',
            self::Lubricated => 'greased',
            self::Ran => 'run',
            default => str_replace('_', ' ', $this->value),
        };
    }

    /** Whether a spot can be looked at and told of by it. */
    public function isLook(): bool
    {
        return $this === self::Looked || $this === self::Measured;
    }

    /** Whether fluid goes in or out. */
    public function movesFluid(): bool
    {
        return in_array($this, [self::ToppedUp, self::Filled, self::Drained, self::Changed], true);
    }

    /** What more there is to say of it: an `amount` of fluid, `strokes`, or the `part` that was fitted. */
    public function asks(): ?string
    {
        return match (true) {
            $this->movesFluid() => 'amount',
            $this === self::Lubricated => 'strokes',
            $this === self::Replaced => 'part',
            default => null,
        };
    }

    /** @return list<self> what can be done at a spot of a kind */
    public static function at(SpotKind $spot): array
    {
        return match ($spot) {
            SpotKind::Compartment => [
                self::Looked,
                self::Measured,
                self::ToppedUp,
                self::Changed,
                self::Drained,
                self::Filled,
                self::Sampled,
                self::Cleaned,
            ],
            SpotKind::Opening => [self::Looked, self::Cleaned, self::Closed, self::Drained, self::Replaced],
            SpotKind::Part => [self::Looked, self::Measured, self::Cleaned, self::Adjusted, self::Replaced],
            SpotKind::GreasePoint => [self::Looked, self::Cleaned, self::Lubricated, self::Replaced],
            SpotKind::Plain => [self::Looked, self::Measured, self::Cleaned, self::Adjusted, self::Replaced, self::Ran],
        };
    }
}
