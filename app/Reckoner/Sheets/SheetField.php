<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

/** What somebody types or ticks into a calculator, as the contract's `ReckonField`. */
final readonly class SheetField
{
    private const VOLUMES = ['L', 'mL', 'qt', 'gal', 'fl oz', 'imp qt'];

    /**
     * @param  array<string, mixed>  $more
     * @param  list<self>  $fields  within a set or a row
     */
    private function __construct(
        public string $name,
        public string $kind,
        private string $label,
        private array $more = [],
        public array $fields = [],
    ) {}

    public static function volume(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, self::VOLUMES, $like);
    }

    public static function length(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['mm', 'in'], $like);
    }

    public static function torque(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['N·m', 'ft-lb', 'in-lb'], $like);
    }

    public static function force(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['N', 'lbf', 'kgf'], $like);
    }

    public static function volts(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['V'], $like);
    }

    public static function degrees(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['°C', '°F'], $like);
    }

    public static function mass(string $name, string $label, string $like = ''): self
    {
        return self::quantity($name, $label, ['g', 'oz'], $like);
    }

    public static function number(string $name, string $label, string $like = ''): self
    {
        return new self($name, 'number', $label, ['placeholder' => $like]);
    }

    public static function text(string $name, string $label, string $like = ''): self
    {
        return new self($name, 'text', $label, ['placeholder' => $like]);
    }

    /** Several texts, with commas between them. */
    public static function texts(string $name, string $label, string $like = ''): self
    {
        return new self($name, 'texts', $label, ['placeholder' => $like]);
    }

    public static function day(string $name, string $label): self
    {
        return new self($name, 'day', $label);
    }

    /** @param  bool  $sends  what is said where it is ticked; nothing is where it is not */
    public static function tick(string $name, string $label, bool $sends = true): self
    {
        return new self($name, 'tick', $label, ['sends' => $sends]);
    }

    /** @param  array<string, string>  $options  words by value, the usual one first */
    public static function choice(string $name, string $label, array $options): self
    {
        return new self($name, 'choice', $label, ['options' => self::options($options)]);
    }

    /** @param  array<string, string>  $options */
    public static function ticks(string $name, string $label, array $options): self
    {
        return new self($name, 'ticks', $label, ['options' => self::options($options)]);
    }

    public static function set(string $name, string $label, self ...$fields): self
    {
        return new self($name, 'set', $label, fields: array_values($fields));
    }

    /** @param  string  $row  what one of them is */
    public static function rows(string $name, string $label, string $row, self ...$fields): self
    {
        return new self($name, 'rows', $label, ['row' => $row, 'begins' => 1], array_values($fields));
    }

    /** What stands there before anything is typed; of rows, how many. */
    public function beginsWith(string|int $value): self
    {
        return $this->with('begins', $value);
    }

    public function help(string $help): self
    {
        return $this->with('help', $help);
    }

    /** Over the whole sheet, in lines. */
    public function inLines(): self
    {
        return $this->with('lines', true);
    }

    /** @return list<string> the values that can be chosen */
    public function values(): array
    {
        return array_column($this->more['options'] ?? [], 'value');
    }

    /** @return array<string, mixed> as the contract's `ReckonField` */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'kind' => $this->kind,
            'label' => $this->label,
            ...array_filter($this->more, fn (mixed $more): bool => $more !== ''),
            ...($this->fields === [] ? [] : ['fields' => array_map(fn (self $field): array => $field->toArray(), $this->fields)]),
        ];
    }

    private function with(string $name, mixed $value): self
    {
        return new self($this->name, $this->kind, $this->label, [...$this->more, $name => $value], $this->fields);
    }

    /** @param  list<string>  $units */
    private static function quantity(string $name, string $label, array $units, string $like): self
    {
        return new self($name, 'quantity', $label, ['units' => $units, 'placeholder' => $like]);
    }

    /**
     * @param  array<string, string>  $options
     * @return list<array{value: string, label: string}>
     */
    private static function options(array $options): array
    {
        return array_map(fn (string $value, string $label): array => ['value' => $value, 'label' => $label], array_keys($options), array_values($options));
    }
}
