<?php

declare(strict_types=1);

namespace App\Reckoner\Sheets;

/** How a calculator is asked and what its answer says at once. */
final readonly class CalculatorSheet
{
    /**
     * @param  string  $title  what it answers
     * @param  list<string>  $asks  what somebody wants to know who looks for it
     * @param  list<SheetField>  $fields
     * @param  \Closure(array<string, mixed>): array{0: string, 1?: array<array{string, string}>, 2?: array<string, string>}  $tells
     *     of an answer: what the eye meets first, what stands below it, and what is drawn, by its place in the drawing
     * @param  string  $lead  what to know before one types
     * @param  string|null  $drawing  which one stands beside the answer
     * @param  array<string, mixed>|null  $into  what of it can be put into a machine's book
     */
    public function __construct(
        public string $name,
        private string $title,
        private array $asks,
        public array $fields,
        private \Closure $tells,
        private string $lead = '',
        private ?string $drawing = null,
        private ?array $into = null,
    ) {}

    /** @return array<string, mixed> as the contract's `ReckonSheet` */
    public function toArray(): array
    {
        return [
            'name' => $this->name,
            'title' => $this->title,
            'asks' => $this->asks,
            'lead' => $this->lead,
            'fields' => array_map(fn (SheetField $field): array => $field->toArray(), $this->fields),
            'drawing' => $this->drawing,
            'into' => $this->into,
        ];
    }

    /**
     * @param  array<string, mixed>  $answer
     * @return array<string, mixed> as the contract's `ReckonTold`
     */
    public function told(array $answer): array
    {
        $told = ($this->tells)($answer);

        return [
            'large' => $told[0],
            'rows' => array_map(fn (array $row): array => ['label' => $row[0], 'says' => $row[1]], array_values($told[1] ?? [])),
            'drawn' => (object) ($told[2] ?? []),
        ];
    }
}
