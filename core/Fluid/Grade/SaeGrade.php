<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/** A viscosity grade of engine oil or of gear oil: `5W-30`, `SAE 10W`, `80W-90`. */
final readonly class SaeGrade implements Grade
{
    private function __construct(private ViscosityTable $table, public ?int $winter, public ?int $hot) {}

    /** @throws Unreadable if there is no such grade, or no oil is both */
    public static function of(ViscosityTable $table, string $written): self
    {
        [$winter, $hot] = Multigrade::read($written) ?? throw new Unreadable(
            Plain::quoted($written)." is no grade of {$table->oil()}. They are written like {$table->like()}.",
        );
        if ($winter !== null && ! isset($table->winter()[$winter])) {
            throw new Unreadable("There is no {$winter}W {$table->oil()}: winter grades are ".self::numbers($table->winter(), 'W').'.');
        }
        if ($hot !== null && ! isset($table->hot()[$hot])) {
            throw new Unreadable("There is no SAE {$hot} {$table->oil()}: grades are ".self::numbers($table->hot(), '').'.');
        }
        $least = $table->winter()[$winter][1] ?? null;
        $below = $table->hot()[$hot][1] ?? null;
        if ($below !== null && $least !== null && BigDecimal::of($below)->isLessThanOrEqualTo($least)) {
            throw new Unreadable(
                "What is {$winter}W has at least {$least} mm²/s at 100 °C, and what is SAE {$hot} less than {$below}: no oil is both.",
            );
        }

        return new self($table, $winter, $hot);
    }

    /** Null of a grade without W, which is promised nothing in the cold. */
    public function lowest(): ?Quantity
    {
        return $this->winter === null ? null : Quantity::of($this->table->winter()[$this->winter][0], Unit::DegreeCelsius);
    }

    public function table(): string
    {
        return $this->table->value;
    }

    public function written(): string
    {
        return Multigrade::written($this->winter, $this->hot);
    }

    /** @param  array<int, mixed>  $grades */
    private static function numbers(array $grades, string $after): string
    {
        return implode(', ', array_map(fn (int $number): string => $number.$after, array_keys($grades)));
    }
}
