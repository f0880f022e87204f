<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

use Brick\Math\BigRational;
use Core\Machine\Verdict;

/** Where a fluid stands between its marks. */
enum LevelMark: string
{
    case Over = 'over';
    case Full = 'full';
    case Between = 'between';
    case Add = 'add';
    case Below = 'below';

    /** @param  BigRational  $share  0 at the add mark, 1 at the full mark */
    public static function at(BigRational $share): self
    {
        return match (true) {
            $share->isGreaterThan(1) => self::Over,
            $share->isEqualTo(1) => self::Full,
            $share->isNegative() => self::Below,
            $share->isZero() => self::Add,
            default => self::Between,
        };
    }

    public function verdict(): Verdict
    {
        return match ($this) {
            self::Full, self::Between => Verdict::Fit,
            self::Add => Verdict::Watch,
            self::Over, self::Below => Verdict::Act,
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Over => 'over full',
            self::Full => 'at the full mark',
            self::Between => 'between the marks',
            self::Add => 'at the add mark',
            self::Below => 'below the add mark',
        };
    }

    public function do(): string
    {
        return match ($this) {
            self::Full, self::Between => '',
            self::Add, self::Below => 'Top it up and log how much.',
            self::Over => 'Draw some off. If it was just poured, wait and read again first.',
        };
    }
}
