<?php

declare(strict_types=1);

namespace Core\Chart;

/** Something a written chart leaves open. */
final readonly class ChartQuestion
{
    /**
     * @param  string  $id  by which it is answered
     * @param  array<string, string>  $options  the words of each answer, by its id
     * @param  string|null  $suggested  the likeliest answer, by its id
     */
    public function __construct(
        public string $id,
        public string $ask,
        public array $options,
        public ?string $suggested = null,
    ) {}
}
