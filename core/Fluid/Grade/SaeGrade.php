<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/** A viscosity grade of engine oil or of gear oil, however it is written: `10W-30`, `SAE 80W/90`, `15w40`, `SAE 30`, `75W`. */
final readonly class SaeGrade implements Grade
{
    private function __construct(private ViscosityTable $table, public ?int $winter, public ?int $hot) {}

    /** @return array{int|null, int|null}|null its winter and its hot number, null where it is written in no such way */
    public static function read(string $written): ?array
    {
        $written = strtr(trim($written), ['–' => '-', '−' => '-']);
        if (! preg_match('~^(?:SAE\s*)?(?:(\d{1,3})\s*-?W(?:\s*[-/]?\s*(\d{1,3}))?|(\d{1,3}))$~iD', $written, $part)) {
            return null;
        }
        $number = fn (int $which): ?int => ($part[$which] ?? '') === '' ? null : (int) $part[$which];

        return [$number(1), $number(2) ?? $number(3)];
    }

    public static function write(?int $winter, ?int $hot): string
    {
        return match (true) {
            $winter === null => "SAE {$hot}",
            $hot === null => "{$winter}W",
            default => "{$winter}W-{$hot}",
        };
    }

    /** @throws Unreadable if there is no such grade, or no oil is both */
    public static function of(ViscosityTable $table, string $written): self
    {
        [$winter, $hot] = self::read($written) ?? throw new Unreadable(
            Plain::quoted($written)." is no grade of {$table->oil()}. They are written like {$table->like()}.",
        );
        if ($winter !== null && ! isset($table->winter()[$winter])) {
            throw new Unreadable("There is no {$winter}W {$table->oil()}: winter grades are ".self::listed($table->winter(), 'W').'.');
        }
        if ($hot !== null && ! isset($table->hot()[$hot])) {
            throw new Unreadable("There is no SAE {$hot} {$table->oil()}: grades are ".self::listed($table->hot(), '').'.');
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
        return self::write($this->winter, $this->hot);
    }

    /** @param  array<int, mixed>  $grades */
    private static function listed(array $grades, string $after): string
    {
        return implode(', ', array_map(fn (int $number): string => $number.$after, array_keys($grades)));
    }
}
