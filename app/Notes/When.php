<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Refusal;
use App\Machines\Yard;
use Carbon\CarbonImmutable;
use Illuminate\Contracts\Validation\ValidationRule;

/** When something happened: this moment, an instant, or a day of which nobody wrote down the hour. */
final readonly class When
{
    private function __construct(
        public CarbonImmutable $at,
        public bool $dayOnly,
        /** The moment at which what was done counts: of a day alone, its end. */
        public CarbonImmutable $end,
        /** Why it may have been at another time. */
        public ?string $doubt = null,
    ) {}

    /**
     * @param  string|null  $written  null for now, `2026-05-14`, or an ISO 8601 instant
     *
     * @throws Refusal if it has not come yet
     */
    public static function read(?string $written, Yard $yard, string $field = 'at'): self
    {
        $now = CarbonImmutable::now()->startOfSecond();
        if ($written === null || $written === $yard->today()->format('Y-m-d')) {
            return new self($now, false, $now);
        }
        $dayOnly = strlen($written) === 10;
        $at = $dayOnly
            ? CarbonImmutable::parse("{$written} 12:00", $yard->time_zone)->utc()
            : CarbonImmutable::parse($written)->utc()->startOfSecond();
        if ($at > $now->addMinutes(5)) {
            throw Refusal::field($field, 'That day has not come yet.');
        }

        return new self(
            $at,
            $dayOnly,
            $dayOnly ? CarbonImmutable::parse("{$written} 23:59:59", $yard->time_zone)->utc() : $at,
        );
    }

    public function doubted(string $why): self
    {
        return new self($this->at, $this->dayOnly, $this->end, $why);
    }

    public static function rule(): ValidationRule
    {
        return new class implements ValidationRule
        {
            public function validate(string $attribute, mixed $value, \Closure $fail): void
            {
                $shape = '/^(\d{4})-(\d{2})-(\d{2})(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2}))?$/';
                if (
                    ! is_string($value)
                    || ! preg_match($shape, $value, $part)
                    || ! checkdate((int) $part[2], (int) $part[3], (int) $part[1])
                    || (int) $part[1] < 1950
                    || strtotime($value) === false
                ) {
                    $fail('A day is written like 2026-05-14.');
                }
            }
        };
    }
}
