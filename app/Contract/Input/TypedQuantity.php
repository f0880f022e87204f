<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Measure\Unreadable;
use Illuminate\Contracts\Validation\ValidationRule;

/** A quantity of one kind as a person types it, in a unit that is assumed where none stands: `-18`, `0 °F`, `8.5 g`. */
final readonly class TypedQuantity implements ValidationRule
{
    /** @param  int  $most  in the assumed unit, either way */
    public function __construct(
        private string $what,
        private Dimension $dimension,
        private Unit $assumed,
        private int $most,
    ) {}

    public function validate(string $attribute, mixed $value, \Closure $fail): void
    {
        try {
            $quantity = Quantity::parse(is_string($value) ? $value : '', $this->assumed);
        } catch (Unreadable $unreadable) {
            $fail($unreadable->getMessage());

            return;
        }
        if ($quantity->unit->dimension() !== $this->dimension) {
            $fail("{$this->what} is a {$this->dimension->value}, like 1 {$this->assumed->symbol()}.");
        } elseif ($this->dimension !== Dimension::Temperature && $quantity->value->isZero()) {
            $fail("{$this->what} must be above zero.");
        } elseif ($quantity->to($this->assumed)->value->abs()->isGreaterThan($this->most)) {
            $fail("{$this->what} is at most {$this->most} {$this->assumed->symbol()}.");
        }
    }
}
