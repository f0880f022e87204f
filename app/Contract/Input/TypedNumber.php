<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Brick\Math\BigDecimal;
use Brick\Math\Exception\MathException;
use Brick\Math\RoundingMode;
use Core\Measure\Unreadable;
use Core\Measure\WrittenNumber;
use Illuminate\Contracts\Validation\ValidationRule;

/** A number as a person types it: `412.6`, `412,6`, `1,204.3`. */
final readonly class TypedNumber implements ValidationRule
{
    /** The largest value a meter or interval has room for. */
    private const MOST = '9999999';

    public function __construct(
        private string $what,
        private bool $aboveZero = false,
        private string $most = self::MOST,
    ) {}

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        if (! is_string($value) && ! is_int($value) && ! is_float($value)) {
            $fail("{$this->what} is a number.");

            return;
        }
        try {
            $number = self::read($value);
        } catch (Unreadable $unreadable) {
            $fail($unreadable->getMessage());

            return;
        }
        match (true) {
            $number->isNegative() => $fail("{$this->what} is never less than nothing."),
            $this->aboveZero && $number->isZero() => $fail("{$this->what} must be above zero."),
            $number->isGreaterThan($this->most) => $fail(
                $this->most === self::MOST
                    ? "{$this->what} is more than any meter shows."
                    : "{$this->what} is at most {$this->most}.",
            ),
            default => null,
        };
    }

    /**
     * To hundredths, as meters show them at most.
     *
     * @throws Unreadable
     */
    public static function read(string|int|float $typed): BigDecimal
    {
        $written = is_float($typed) ? rtrim(rtrim(sprintf('%.4F', $typed), '0'), '.') : (string) $typed;
        try {
            return WrittenNumber::ofMeter($written)->toScale(2, RoundingMode::HALF_UP)->stripTrailingZeros();
        } catch (MathException) {
            throw new Unreadable("\"{$written}\" is not a number.");
        }
    }
}
