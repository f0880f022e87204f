<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\Refusal;
use App\Contract\TypedNumber;
use App\Logbook\Circumstances;
use App\Logbook\When;
use Core\Schedule\Anchor;
use Core\Schedule\Source;
use Core\Schedule\TaskKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule as Among;

/** A rule of a machine's rulebook as a keeper gives it. */
final class RuleRequest extends FormRequest
{
    private const INTERVALS = ['hours' => 'The hours', 'km' => 'The distance', 'mi' => 'The distance'];

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [...self::ruleFields('', $this->isMethod('POST')), ...Circumstances::rules(), 'retired' => ['sometimes', 'boolean']];
    }

    /**
     * @param  string  $path  before each field's name, as in `rules.*.`
     * @return array<string, array<mixed>>
     */
    public static function ruleFields(string $path, bool $new): array
    {
        $needed = $new ? ['required'] : ['sometimes', 'required'];

        return [
            "{$path}task" => [...$needed, 'string', 'max:80'],
            "{$path}kind" => [...$needed, Among::enum(TaskKind::class)],
            "{$path}first" => ['sometimes', 'array', 'max:10'],
            "{$path}every" => ['sometimes', 'array'],
            "{$path}book" => ['sometimes', 'nullable', 'array'],
            ...self::intervalFields("{$path}every."), ...self::intervalFields("{$path}book."), ...self::intervalFields("{$path}first.*."),
            "{$path}anchor" => ['sometimes', Among::enum(Anchor::class)],
            "{$path}early" => ['sometimes', 'numeric', 'between:0,1'],
            "{$path}late" => ['sometimes', 'numeric', 'between:0,1'],
            "{$path}source" => ['sometimes', Among::enum(Source::class)],
            "{$path}common_practice" => ['sometimes', 'boolean'],
            "{$path}note" => ['sometimes', 'nullable', 'string', 'max:500'],
            "{$path}counts_from" => ['sometimes', 'in:beginning,last_done,unknown'],
            "{$path}last_done" => ['sometimes', 'nullable', 'array'],
            "{$path}last_done.date" => ['sometimes', 'nullable', When::rule()],
            "{$path}last_done.hours" => ['sometimes', 'nullable', new TypedNumber('The hour meter')],
            "{$path}last_done.distance" => ['sometimes', 'nullable', new TypedNumber('The odometer')],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> the columns of a rule
     */
    public static function columns(array $given): array
    {
        $columns = array_intersect_key($given, array_flip(['task', 'kind', 'anchor', 'early', 'late', 'source', 'common_practice', 'note', 'retired']));
        foreach (['every', 'book'] as $interval) {
            if (array_key_exists($interval, $given)) {
                $columns[$interval] = $given[$interval] === null ? null : self::read($given[$interval]);
            }
        }

        return isset($given['first']) ? [...$columns, 'first' => array_values(array_map(self::read(...), $given['first']))] : $columns;
    }

    /** @throws Refusal if the rule could never fall due */
    public static function refuseImpossible(Rule $rule, string $path = ''): void
    {
        try {
            $rule->toCore();
        } catch (\InvalidArgumentException) {
            throw Refusal::field("{$path}every", 'Give hours, a distance or months: after how much does it come again?');
        }
    }

    /** @return array<string, array<mixed>> */
    private static function intervalFields(string $path): array
    {
        $fields = array_map(fn (string $what): array => ['sometimes', 'nullable', new TypedNumber($what, aboveZero: true)], self::INTERVALS);

        return [...array_combine(array_map(fn (string $name): string => $path.$name, array_keys($fields)), $fields), "{$path}months" => ['sometimes', 'nullable', 'integer', 'between:1,1200']];
    }

    /**
     * @param  array<string, mixed>  $interval
     * @return array<string, string|int>
     */
    private static function read(array $interval): array
    {
        $read = [];
        foreach (array_keys(self::INTERVALS) as $dimension) {
            if (isset($interval[$dimension])) {
                $read[$dimension] = (string) TypedNumber::read($interval[$dimension]);
            }
        }

        return isset($interval['months']) ? [...$read, 'months' => (int) $interval['months']] : $read;
    }
}
