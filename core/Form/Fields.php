<?php

declare(strict_types=1);

namespace Core\Form;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;

/**
 * The fields given to a calculator, read as the kinds that it asks for. What cannot be read is noted beside its name;
 * {@see self::complete()} then refuses the lot, so that every fault is told at once.
 */
final class Fields
{
    private const UNKNOWN = 'There is no such field here. Look at its name again, or leave it out.';

    private readonly Faults $faults;

    /** @var array<string, true> the names that were asked for */
    private array $known = [];

    /** @var list<self> the fields within these */
    private array $inner = [];

    /** @param  array<mixed>  $given */
    public function __construct(
        private readonly array $given,
        private readonly string $path = '',
        ?Faults $faults = null,
    ) {
        $this->faults = $faults ?? new Faults;
    }

    public function has(string $name): bool
    {
        return $this->given($name) !== null;
    }

    /** Whether it is a set of named values, and not a quantity or a single value. */
    public function isSet(string $name): bool
    {
        $given = $this->given($name);

        return is_array($given) && ! array_is_list($given) && ! isset($given['value'], $given['unit']);
    }

    public function isList(string $name): bool
    {
        $given = $this->given($name);

        return is_array($given) && $given !== [] && array_is_list($given);
    }

    public function isFlag(string $name): bool
    {
        return is_bool($this->given($name));
    }

    /** @return list<string> the names under which anything was given */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->given));
    }

    /** May be given, and says nothing here. */
    public function passOver(string $name): void
    {
        $this->known[$name] = true;
    }

    /** What was given by a name, which is known from now on. */
    private function given(string $name): mixed
    {
        $this->known[$name] = true;

        return $this->given[$name] ?? null;
    }

    /** @throws BadInput if any field was at fault */
    public function complete(): void
    {
        $this->faults->refuse();
    }

    /**
     * To be asked when all that may be given has been read.
     *
     * @throws BadInput if anything was given by a name that nobody asked for
     */
    public function refuseUnknown(): void
    {
        $this->noteUnknown();
        $this->complete();
    }

    private function noteUnknown(): void
    {
        foreach (array_diff_key($this->given, $this->known) as $name => $unknown) {
            $this->fault((string) $name, self::UNKNOWN);
        }
        foreach ($this->inner as $fields) {
            $fields->noteUnknown();
        }
    }

    public function fault(string $name, string $message): void
    {
        $this->faults->add($this->path.$name, $message, $this->isMissing($name));
    }

    private function isMissing(string $name): bool
    {
        $value = $this->given;
        foreach (explode('.', $name) as $part) {
            $value = is_array($value) ? $value[$part] ?? null : null;
        }

        return $value === null || $value === '' || $value === [];
    }

    /** A bare number, or null with the fault noted. */
    public function number(string $name, string $what, bool $aboveZero = false): ?BigDecimal
    {
        return $this->required($name, $what) ? $this->optionalNumber($name, $what, $aboveZero) : null;
    }

    /** A bare number, null where it is not given. */
    public function optionalNumber(string $name, string $what, bool $aboveZero = false): ?BigDecimal
    {
        $value = $this->given($name);
        if ($value === null) {
            return null;
        }
        $number = $this->read($name, $value, $what);
        if ($number !== null && ($number->isNegative() || ($aboveZero && $number->isZero()))) {
            $this->fault($name, ucfirst($what).($aboveZero ? ' must be above zero.' : ' is never less than nothing.'));

            return null;
        }

        return $number;
    }

    /** Plain text as it was given, null where it is not. */
    public function optionalText(string $name, string $what): ?string
    {
        $given = $this->given($name);
        if ($given !== null && ! is_string($given)) {
            $this->fault($name, ucfirst($what).' is text.');

            return null;
        }

        return $given;
    }

    /** False where it is not given. */
    public function flag(string $name, string $what): bool
    {
        $given = $this->given($name) ?? false;
        if (! is_bool($given)) {
            $this->fault($name, ucfirst($what).' is true or false.');
        }

        return $given === true;
    }

    /** @return list<string> nothing within stands as an empty text; empty where it is not given or at fault */
    public function texts(string $name, string $what): array
    {
        $texts = [];
        $given = $this->given($name) ?? [];
        foreach (is_array($given) && array_is_list($given) && count($given) <= 10_000 ? $given : [false] as $text) {
            if ($text !== null && ! is_string($text)) {
                $this->fault($name, ucfirst($what).' is a list of texts.');

                return [];
            }
            $texts[] = $text ?? '';
        }

        return $texts;
    }

    /** @return array<string, string> empty where it is not given or at fault */
    public function namedTexts(string $name, string $what): array
    {
        $texts = [];
        $given = $this->given($name) ?? [];
        foreach (is_array($given) ? $given : ['' => null] as $key => $text) {
            if (! is_string($text)) {
                $this->fault($name, ucfirst($what).' is a set of named texts.');

                return [];
            }
            $texts[(string) $key] = $text;
        }

        return $texts;
    }

    public function optionalWholeNumber(string $name, string $what, int $most): ?int
    {
        $number = $this->optionalNumber($name, $what);
        if ($number === null) {
            return null;
        }
        if ($number->stripTrailingZeros()->getScale() > 0 || $number->isGreaterThan($most)) {
            $this->fault($name, ucfirst($what)." is a whole number up to {$most}.");

            return null;
        }

        return $number->toInt();
    }

    /**
     * A quantity as a person writes it, or as value and unit.
     *
     * @param  Unit|null  $assumed  the unit of a bare number; without it a bare number is refused
     */
    public function quantity(string $name, string $what, ?Unit $assumed = null): ?Quantity
    {
        if (! $this->required($name, $what)) {
            return null;
        }
        $given = $this->given($name);
        try {
            if (is_string($given) || ($assumed !== null && (is_int($given) || is_float($given)))) {
                return Quantity::parse(is_string($given) ? $given : self::decimal($given), $assumed);
            }
            if (
                is_array($given)
                && is_string($given['unit'] ?? null)
                && is_scalar($given['value'] ?? null)
                && ! is_bool($given['value'])
            ) {
                foreach (array_diff(array_keys($given), ['value', 'unit', 'display']) as $unknown) {
                    $this->fault("{$name}.{$unknown}", self::UNKNOWN);
                }

                return Quantity::of(
                    WrittenNumber::ofProgram(self::decimal($given['value'])),
                    Unit::tryFrom($given['unit']) ?? Unit::named($given['unit']),
                );
            }
            throw new Unreadable(ucfirst($what).' is written with its unit, like "1 3/4 qt", or as {"value", "unit"}.');
        } catch (Unreadable $unreadable) {
            $this->fault($name, $unreadable->getMessage());

            return null;
        }
    }

    /** A quantity of one kind, null with the fault noted where it is missing, unreadable or of another kind. */
    public function measure(string $name, string $what, Dimension $dimension, ?Unit $assumed = null): ?Quantity
    {
        return $this->required($name, $what) ? $this->optionalMeasure($name, $what, $dimension, $assumed) : null;
    }

    /** A quantity of one kind, null where it is not given. */
    public function optionalMeasure(string $name, string $what, Dimension $dimension, ?Unit $assumed = null): ?Quantity
    {
        if (! $this->has($name) || $this->given($name) === '') {
            return null;
        }
        $quantity = $this->quantity($name, $what, $assumed);
        if ($quantity !== null && $quantity->unit->dimension() !== $dimension) {
            $this->fault(
                $name,
                ucfirst($what)." is a {$dimension->value}, and {$quantity->inWords()} is a {$quantity->unit->dimension()->value}.",
            );

            return null;
        }

        return $quantity;
    }

    public function unit(string $name, string $what): ?Unit
    {
        if (! $this->required($name, $what)) {
            return null;
        }
        $given = $this->given($name);
        try {
            return is_string($given)
                ? Unit::tryFrom($given)
                ?? Unit::named($given)
                : throw new Unreadable(ucfirst($what).' is the name of a unit.');
        } catch (Unreadable $unreadable) {
            $this->fault($name, $unreadable->getMessage());

            return null;
        }
    }

    /** A day, null where it is not given. */
    public function optionalDay(string $name, string $what): ?\DateTimeImmutable
    {
        $instant = $this->has($name) ? $this->instant($name, $what) : null;

        return $instant === null ? null : new \DateTimeImmutable($instant->format('Y-m-d').'T00:00:00Z');
    }

    /** An ISO 8601 day or instant. */
    public function instant(string $name, string $what): ?\DateTimeImmutable
    {
        if (! $this->required($name, $what)) {
            return null;
        }
        $given = $this->given($name);
        if (is_string($given) && preg_match(
            '/^(\d{4})-(\d{2})-(\d{2})(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:?\d{2})?)?$/',
            $given,
            $part,
        )
            && checkdate((int) $part[2], (int) $part[3], (int) $part[1])
                && (int) $part[1] >= 1900
                && (int) $part[1] < 2200) {
            try {
                return new \DateTimeImmutable($given, new \DateTimeZone('UTC'));
            } catch (\Exception) {
            }
        }
        $this->fault($name, ucfirst($what).' is a day like 2026-05-14.');

        return null;
    }

    /** Whether an instant was given as a day only. */
    public function isDayOnly(string $name): bool
    {
        return is_string($this->given($name)) && strlen($this->given($name)) === 10;
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  T  $default
     * @return T
     */
    public function choice(string $name, \BackedEnum $default, string $what): \BackedEnum
    {
        $given = $this->given($name);
        if ($given === null) {
            return $default;
        }
        $choice = is_string($given) ? $default::tryFrom($given) : null;
        if ($choice === null) {
            $this->fault(
                $name,
                ucfirst($what).' is one of '.implode(
                    ', ',
                    array_map(fn (\BackedEnum $case): string => (string) $case->value, $default::cases()),
                ).'.',
            );
        }

        return $choice ?? $default;
    }

    /** The number within a field as it was written, of a quantity its value; empty where there is none. */
    public function written(string $name): string
    {
        $given = $this->given($name);
        $value = is_array($given) ? $given['value'] ?? null : $given;

        return is_string($value) || is_int($value) || is_float($value) ? self::decimal($value) : '';
    }

    /** What is given, as text; null where it is no single value. */
    public function scalar(string $name): ?string
    {
        $given = $this->given($name);

        return is_string($given) || is_int($given) || is_float($given) ? self::decimal($given) : null;
    }

    /** What is given, as text; null with the fault noted where it is missing or no single value. */
    public function text(string $name, string $what): ?string
    {
        if (! $this->required($name, $what)) {
            return null;
        }
        $text = $this->scalar($name);
        if ($text === null) {
            $this->fault($name, ucfirst($what).' is text.');
        }

        return $text;
    }

    /** A number without a unit, null where it has one or is none. */
    public function bareNumber(string $name): ?BigDecimal
    {
        $written = $this->scalar($name);
        try {
            return $written === null ? null : WrittenNumber::ofProgram($written)->toBigDecimal();
        } catch (Unreadable|MathException) {
            return null;
        }
    }

    /**
     * One of a few words; null with the fault noted.
     *
     * @template T of string
     *
     * @param  list<T>  $words
     * @return T|null
     */
    public function option(string $name, array $words, string $what): ?string
    {
        if (! $this->required($name, $what)) {
            return null;
        }
        $given = $this->given($name);
        if (! is_string($given) || ! in_array($given, $words, true)) {
            $this->fault($name, ucfirst($what).' is one of '.implode(', ', $words).'.');

            return null;
        }

        return $given;
    }

    /** The fields within a field; empty where it is missing or at fault. */
    public function within(string $name, string $what): self
    {
        if (! $this->required($name, $what)) {
            return new self([], "{$this->path}{$name}.", $this->faults);
        }
        $given = $this->given($name);
        if (! is_array($given) || ($given !== [] && array_is_list($given))) {
            $this->fault($name, ucfirst($what).' is a set of named values.');
            $given = [];
        }

        return $this->inner[] = new self($given, "{$this->path}{$name}.", $this->faults);
    }

    /**
     * @param  string|null  $short  the field for which a bare text or quantity stands in place of a row
     * @return list<self> the rows of a list; empty where it is not given or at fault
     */
    public function rows(string $name, string $what, ?string $short = null): array
    {
        $given = $this->given($name) ?? [];
        if (! is_array($given) || ! array_is_list($given) || count($given) > 10_000) {
            $this->fault($name, ucfirst($what).' is a list of at most 10,000.');

            return [];
        }
        $rows = [];
        foreach ($given as $index => $row) {
            if ($short !== null && (is_string($row) || (is_array($row) && isset($row['value'], $row['unit'])))) {
                $row = [$short => $row];
            }
            if (! is_array($row)) {
                $this->fault("{$name}.{$index}", 'Each of these is a set of named values.');
            } else {
                $rows[] = $this->inner[] = new self($row, "{$this->path}{$name}.{$index}.", $this->faults);
            }
        }

        return $rows;
    }

    private function required(string $name, string $what): bool
    {
        if ($this->has($name) && $this->given($name) !== '') {
            return true;
        }
        $this->fault($name, ucfirst($what).' is missing.');

        return false;
    }

    private function read(string $name, mixed $value, string $what): ?BigDecimal
    {
        try {
            if (! is_string($value) && ! is_int($value) && ! is_float($value)) {
                throw new Unreadable(ucfirst($what).' is a number.');
            }

            return WrittenNumber::ofProgram(self::decimal($value))->toBigDecimal();
        } catch (Unreadable $unreadable) {
            $this->fault($name, $unreadable->getMessage());
        } catch (MathException) {
            $this->fault($name, ucfirst($what).' must be a decimal number.');
        }

        return null;
    }

    private static function decimal(string|int|float $value): string
    {
        return is_float($value) ? rtrim(rtrim(sprintf('%.9F', $value), '0'), '.') : (string) $value;
    }
}
