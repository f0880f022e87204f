<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What parts of an answer are in words. */
final class Words
{
    public const NONE = '–';

    /** @param  array{display: string}|null  $amount  as the contract's `Quantity` */
    public static function amount(?array $amount): string
    {
        return $amount['display'] ?? self::NONE;
    }

    /** @param  array{value: string, unit: string}  $amount  as the contract's `Quantity`; in its own unit alone */
    public static function plainAmount(array $amount): string
    {
        return Quantity::of($amount['value'], Unit::from($amount['unit']))->inOwnUnit();
    }

    /**
     * Several amounts, each with its name.
     *
     * @param  list<array<string, mixed>>  $list
     * @param  \Closure(array<string, mixed>): string  $amount
     */
    public static function named(array $list, string $name, \Closure $amount): string
    {
        return implode(', ', array_map(fn (array $one): string => "{$amount($one)} {$one[$name]}", $list)) ?: self::NONE;
    }

    /** @param  array<string, mixed>  $answer */
    public static function verdict(array $answer): string
    {
        return match (Verdict::tryFrom((string) ($answer['verdict'] ?? ''))) {
            Verdict::Fit => 'Fit',
            Verdict::Watch => 'Watch it',
            Verdict::Act => 'Act on it',
            Verdict::StandDown => 'Stand it down',
            null => 'It is no reading',
        };
    }

    /** @param  array<string, mixed>  $answer  with what there is to do, if anything */
    public static function do(array $answer): string
    {
        return ($answer['do'] ?? null) ?: self::NONE;
    }
}
