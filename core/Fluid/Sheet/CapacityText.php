<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Brick\Math\BigRational;
use Core\Measure\Dimension;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;

/**
 * Reads a capacity as books write it: `7.1 qt`, `948 mL`, `1.6–1.8 L` from and to, `3.8/4.2 qt` without and with
 * filter, `7.1 qt (6.7 L)` one thing two ways.
 */
final class CapacityText
{
    /** Of the larger: two ways of giving one thing that lie further apart are asked about. Common practice, no source. */
    private const ONE_THING = '0.02';

    private const NUMBER = '\d[\d.,]*(?:[ -]\d+/\d+)?|\d+/\d+|\d*[½⅓⅔¼¾⅛⅜⅝⅞]';

    /**
     * @param  CapacityKind  $kind  of a figure that does not say itself
     * @return non-empty-list<Capacity>
     *
     * @throws Unreadable if it is no volume, a range runs backwards, or two ways disagree
     */
    public static function read(string $written, CapacityKind $kind, Book $book = Book::Machine): array
    {
        $text = trim(strtr($written, ['–' => '-', '—' => '-', '−' => '-']));
        [$own, $other] = self::twoWays($text);
        $capacities = self::figures($own, $kind, $book, trim($written));
        foreach ($other === null ? [] : self::figures($other, $kind, $book, $other) as $index => $again) {
            self::refuseUnlike($capacities[$index] ?? $capacities[0], $again);
        }

        return $capacities;
    }

    /**
     * @return array{string, string|null} the figure, and the same in another unit: behind it in brackets, or after a
     *     stroke or comma
     */
    private static function twoWays(string $text): array
    {
        if (preg_match('~^(.*?)\s*[(\[]\s*(.+?)\s*[)\]]$~u', $text, $part)) {
            return [$part[1], $part[2]];
        }
        if (preg_match('~^(.*\d.*?\p{L}[\p{L}. ]*?)\s*[/;,=]\s*([\d½¼¾].*\p{L}.*)$~u', $text, $part)) {
            return [$part[1], $part[2]];
        }

        return [$text, null];
    }

    /** @return non-empty-list<Capacity> */
    private static function figures(string $text, CapacityKind $kind, Book $book, string $written): array
    {
        $number = self::NUMBER;
        if (preg_match("~^({$number})\s*/\s*({$number})\s*(\p{L}.*)$~u", $text, $part)
            && ! preg_match('~^\d+/\d+\s*\p{L}~u', $text)) {
            [$without, $with] = [self::volume("{$part[1]} {$part[3]}"), self::volume("{$part[2]} {$part[3]}")];
            if ($without->compareTo($with) > 0) {
                [$without, $with] = [$with, $without];
            }

            return [
                new Capacity(CapacityKind::WithoutFilter, $without, $without, $without->inWords(), $book),
                new Capacity(CapacityKind::WithFilter, $with, $with, $with->inWords(), $book),
            ];
        }
        if (preg_match("~^({$number})\s*(\p{L}[\p{L}. ]*?)?\s*(?:-|to|bis|…)\s*({$number})\s*(\p{L}.*)$~u", $text, $part)) {
            $least = self::volume("{$part[1]} ".($part[2] === '' ? $part[4] : $part[2]));
            $most = self::volume("{$part[3]} {$part[4]}");
            if ($least->compareTo($most) > 0) {
                throw new Unreadable("The least, {$least->inWords()}, is over the most, {$most->inWords()}.");
            }

            return [new Capacity($kind, $least->to($most->unit), $most, $written, $book)];
        }
        $one = self::volume($text);

        return [new Capacity($kind, $one, $one, $written, $book)];
    }

    private static function volume(string $text): Quantity
    {
        $volume = Quantity::parse($text);
        if ($volume->unit->dimension() !== Dimension::Volume) {
            throw new Unreadable(
                "A capacity is a volume, and {$volume->inWords()} is a {$volume->unit->dimension()->value}.",
            );
        }
        if ($volume->value->isZero()) {
            throw new Unreadable('A compartment holds more than nothing.');
        }

        return $volume;
    }

    private static function refuseUnlike(Capacity $one, Capacity $other): void
    {
        foreach ([[$one->least, $other->least], [$one->most, $other->most]] as [$figure, $again]) {
            $apart = $figure->si()->minus($again->si())->abs();
            if ($apart->isGreaterThan(BigRational::max($figure->si(), $again->si())->multipliedBy(BigRational::of(self::ONE_THING)))) {
                $unit = $figure->unit === Unit::Litre && $again->unit->counterpart() === Unit::Millilitre
                    ? Unit::Millilitre
                    : $figure->unit;
                throw new Unreadable(
                    Plain::quoted($again->inWords())." is {$again->to($unit)->inWords()}, not {$figure->inWords()}. Look which of the two the book means, and write that one.",
                );
            }
        }
    }
}
