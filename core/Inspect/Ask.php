<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Measure\Dimension;
use Core\Measure\Unit;

/** One thing that is entered for a measurement, or one of its limits. */
final readonly class Ask
{
    /**
     * @param  array<string, string>  $options  what can be chosen, in words
     * @param  string|null  $like  the limit whose unit it is entered in
     */
    private function __construct(
        public string $name,
        public string $label,
        public AskKind $kind,
        public bool $optional = false,
        public ?Dimension $dimension = null,
        public ?Unit $unit = null,
        public array $options = [],
        public ?string $like = null,
    ) {}

    public static function quantity(string $name, string $label, Unit $unit, ?string $like = null): self
    {
        return new self($name, $label, AskKind::Quantity, dimension: $unit->dimension(), unit: $unit, like: $like);
    }

    public static function number(string $name, string $label): self
    {
        return new self($name, $label, AskKind::Number);
    }

    public static function flag(string $name, string $label): self
    {
        return new self($name, $label, AskKind::Flag, optional: true);
    }

    /** What has to be ticked before the measurement is written down. */
    public static function tick(string $name, string $label): self
    {
        return new self($name, $label, AskKind::Flag);
    }

    public static function day(string $name, string $label): self
    {
        return new self($name, $label, AskKind::Day);
    }

    /** @param  array<string, string>  $options */
    public static function choice(string $name, string $label, array $options): self
    {
        return new self($name, $label, AskKind::Choice, options: $options);
    }

    /** @param  array<string, string>  $options */
    public static function several(string $name, string $label, array $options): self
    {
        return new self($name, $label, AskKind::Several, options: $options);
    }

    public function ifAny(): self
    {
        return new self(
            $this->name,
            $this->label,
            $this->kind,
            true,
            $this->dimension,
            $this->unit,
            $this->options,
            $this->like,
        );
    }
}
