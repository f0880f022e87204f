<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Core\Supply\Need\Preference;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** For what somebody gets ready: everything due by a day, of all machines or some, but for a few; and works that were chosen. */
final class NeedsRequest extends FormRequest
{
    private const MOST = 2000;

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            'until' => ['required_without_all:rules,spots', 'date_format:Y-m-d', 'before:2200-01-01'],
            'machines' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'machines.*' => ['integer'],
            ...self::works(),
            'without' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'without.*' => ['integer'],
            'preference' => ['sometimes', Rule::enum(Preference::class)],
        ];
    }

    /** @return array<string, array<mixed>> what was chosen */
    public static function works(): array
    {
        return [
            'rules' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'rules.*' => ['integer'],
            'spots' => ['sometimes', 'array', 'list', 'max:'.self::MOST],
            'spots.*' => ['integer'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'until.required_without_all' => 'Say by which day, or for which jobs.',
            'until.date_format' => 'A day is written like 2026-05-14.',
            'until.before' => 'That day is too far off.',
        ];
    }

    public function preference(): Preference
    {
        return Preference::from($this->validated('preference') ?? Preference::Makers->value);
    }

    /** @return list<ReadyWork> */
    public function readyWorks(ReadyWorks $all): array
    {
        $until = $this->validated('until');
        $due = $until === null ? [] : array_filter(
            $all->dueBy(new \DateTimeImmutable("{$until}T00:00:00Z"), $this->ids('machines') ?: null),
            fn (ReadyWork $work): bool => ! in_array($work->due?->ruleId, $this->ids('without'), true),
        );
        $isDue = array_map(fn (ReadyWork $work): ?int => $work->due?->ruleId, $due);

        return [
            ...array_values($due),
            ...$all->ofRules(array_values(array_diff($this->ids('rules'), $isDue))),
            ...$all->ofSpots($this->ids('spots')),
        ];
    }

    /** @return list<int> */
    private function ids(string $name): array
    {
        return array_values(array_map(intval(...), $this->validated($name) ?? []));
    }
}
