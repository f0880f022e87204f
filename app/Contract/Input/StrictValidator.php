<?php

declare(strict_types=1);

namespace App\Contract\Input;

use Illuminate\Support\Arr;
use Illuminate\Validation\ValidationException;
use Illuminate\Validation\Validator;

/**
 * The framework's validator, which looks at how long a list is before it looks at what is in it, takes yes and no for no
 * numbers, and names only as somebody can read them.
 */
final class StrictValidator extends Validator
{
    /** What may be longer may have lines. */
    private const LONGEST_LINE = 120;

    /** @param  array<string, mixed>  $rules */
    public function addRules($rules): void
    {
        foreach ($rules as $field => $said) {
            $most = $this->mostItems((array) $said);
            if ($most !== null) {
                $this->refuseLonger(explode('.', $field), $this->data, [], $most);
            }
            if (self::isOfOneLine((array) $said)) {
                $rules[$field] = [...(array) $said, 'one_line'];
            }
        }
        parent::addRules($rules);
    }

    /** `true` is no number. */
    public function validateInteger($attribute, $value, array $parameters = []): bool
    {
        return ! is_bool($value) && parent::validateInteger($attribute, $value, $parameters);
    }

    /** No line ends in it, and nothing that is there but not seen (Unicode category C, "other"). */
    public function validateOneLine(string $attribute, mixed $value): bool
    {
        return ! is_string($value) || preg_match('/\p{C}/u', $value) !== 1;
    }

    /**
     * Names, numbers, places: whatever is short and in words.
     *
     * @param  array<mixed>  $said
     */
    private static function isOfOneLine(array $said): bool
    {
        $lengths = preg_grep('/^max:\d+$/', array_filter($said, is_string(...))) ?: [];

        return in_array('string', $said, true) && $lengths !== [] && (int) substr(reset($lengths), 4) <= self::LONGEST_LINE;
    }

    /** @param  array<mixed>  $said */
    private function mostItems(array $said): ?int
    {
        $said = array_filter($said, is_string(...));
        $isList = Arr::first(
            $said,
            fn (string $rule): bool => $rule === 'array' || str_starts_with($rule, 'array:'),
        ) !== null;
        $most = Arr::first($said, fn (string $rule): bool => str_starts_with($rule, 'max:'));

        return $isList && $most !== null ? (int) substr($most, 4) : null;
    }

    /**
     * @param  list<string>  $ahead  names still to be followed, `*` for each item
     * @param  list<string|int>  $behind
     */
    private function refuseLonger(array $ahead, mixed $found, array $behind, int $most): void
    {
        if ($ahead === []) {
            if (is_array($found) && count($found) > $most) {
                throw ValidationException::withMessages(
                    [implode('.', $behind) => __('validation.max.array', ['max' => $most])],
                );
            }

            return;
        }
        if (! is_array($found)) {
            return;
        }
        $name = array_shift($ahead);
        foreach ($name === '*' ? array_keys($found) : array_intersect([$name], array_keys($found)) as $key) {
            $this->refuseLonger($ahead, $found[$key], [...$behind, $key], $most);
        }
    }
}
