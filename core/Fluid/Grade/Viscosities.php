<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Unreadable;

/** The grades of one classification, and which of them one oil can be at once. */
final readonly class Viscosities
{
    /**
     * @param  string  $what  whose grades they are
     * @param  string  $like  how they are written
     * @param  array<int, string>  $winter  least mm²/s at 100 °C, by winter number
     * @param  array<int, string|null>  $hot  mm²/s at 100 °C that it stays under, by number; null for no end
     */
    public function __construct(
        private string $what,
        private string $like,
        private array $winter,
        private array $hot,
    ) {
    }

    /**
     * @return array{int|null, int|null} its winter and its hot number
     *
     * @throws Unreadable if there is no such grade, or no oil is both
     */
    public function read(string $written): array
    {
        [$winter, $hot] = Multigrade::read($written) ?? throw new Unreadable(
            Plain::quoted($written)." is no grade of {$this->what}. They are written like {$this->like}.",
        );
        if ($winter !== null && ! isset($this->winter[$winter])) {
            throw new Unreadable(
                "There is no {$winter}W {$this->what}: winter grades are ".self::numbers($this->winter, 'W').'.',
            );
        }
        if ($hot !== null && ! array_key_exists($hot, $this->hot)) {
            throw new Unreadable("There is no SAE {$hot} {$this->what}: grades are ".self::numbers($this->hot, '').'.');
        }
        $below = $this->hot[$hot] ?? null;
        $least = $this->winter[$winter] ?? null;
        if ($below !== null && $least !== null && BigDecimal::of($below)->isLessThanOrEqualTo($least)) {
            throw new Unreadable(
                "What is {$winter}W has at least {$least} mm²/s at 100 °C, and what is SAE {$hot} less than {$below}: no oil is both.",
            );
        }

        return [$winter, $hot];
    }

    /** @param  array<int, string|null>  $grades */
    private static function numbers(array $grades, string $after): string
    {
        return implode(', ', array_map(fn (int $number): string => $number.$after, array_keys($grades)));
    }
}
