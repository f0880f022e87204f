<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/**
 * A viscosity grade of engine oil: `5W-30`, `30`, `SAE 10W`.
 *
 * Source: SAE J300, engine oil viscosity classification; values from memory.
 */
final readonly class EngineGrade
{
    /** By winter number: °C at which it must still let the engine be cranked, °C at which it must still be pumped, least mm²/s at 100 °C. */
    private const WINTER = [
        0 => [-35, -40, '3.8'],
        5 => [-30, -35, '3.8'],
        10 => [-25, -30, '4.1'],
        15 => [-20, -25, '5.6'],
        20 => [-15, -20, '5.6'],
        25 => [-10, -15, '9.3'],
    ];

    /** By number: mm²/s at 100 °C, from, to below. */
    private const HOT = [
        8 => ['4.0', '6.1'],
        12 => ['5.0', '7.1'],
        16 => ['6.1', '8.2'],
        20 => ['6.9', '9.3'],
        30 => ['9.3', '12.5'],
        40 => ['12.5', '16.3'],
        50 => ['16.3', '21.9'],
        60 => ['21.9', '26.1'],
    ];

    private function __construct(
        public ?int $winter,
        public ?int $hot,
    ) {
    }

    /** @throws Unreadable if there is no such grade */
    public static function parse(string $written): self
    {
        $grade = Multigrade::read($written);
        if ($grade === null) {
            throw new Unreadable(
                Plain::quoted($written).' is no grade of engine oil. They are written like 10W-30 or SAE 30.',
            );
        }
        [$winter, $hot] = $grade;
        if ($winter !== null && ! isset(self::WINTER[$winter])) {
            throw new Unreadable(
                "There is no {$winter}W: winter grades are 0W, 5W, 10W, 15W, 20W and 25W.",
            );
        }
        if ($hot !== null && ! isset(self::HOT[$hot])) {
            throw new Unreadable("There is no SAE {$hot} engine oil: grades are 8, 12, 16, 20, 30, 40, 50 and 60.");
        }
        if (
            $winter !== null
            && $hot !== null
            && BigDecimal::of(self::HOT[$hot][1])->isLessThanOrEqualTo(self::WINTER[$winter][2])
        ) {
            throw new Unreadable(
                "A {$winter}W is at least ".self::WINTER[$winter][2]." mm²/s at 100 °C, and an SAE {$hot} under ".self::HOT[$hot][1].': no oil is both.',
            );
        }

        return new self($winter, $hot);
    }

    /** Down to where it lets the engine be cranked; null of a grade without W, which is promised nothing in the cold. */
    public function lowestCranking(): ?Quantity
    {
        return $this->winter === null ? null : Quantity::of(self::WINTER[$this->winter][0], Unit::DegreeCelsius);
    }

    /** @return array<int, array{int, int, string}> */
    public static function winterTable(): array
    {
        return self::WINTER;
    }

    /** @return array<int, array{string, string}> */
    public static function hotTable(): array
    {
        return self::HOT;
    }

    public function written(): string
    {
        return Multigrade::written($this->winter, $this->hot);
    }
}
