<?php

declare(strict_types=1);

namespace App\Yard;

use App\Contract\DayOfYear;
use App\Contract\TypedNumber;
use App\Contract\TypedVolume;
use App\Logbook\Circumstances;
use App\Logbook\When;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Schedule\Anchor;
use Core\Schedule\Source;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule as Among;

/** A rule of a machine's rulebook as a keeper gives it. */
final class RuleRequest extends FormRequest
{
    private const INTERVALS = ['hours' => 'The hours', 'km' => 'The distance', 'mi' => 'The distance'];

    private const AS_GIVEN = ['task', 'kind', 'condition', 'keeps_fluid', 'top_up', 'subject', 'dealer_only', 'loosened_because', 'anchor', 'early', 'late', 'source', 'common_practice', 'note', 'retired'];

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [...self::ruleFields('', $this->isMethod('POST')), ...Circumstances::rules(), 'retired' => ['sometimes', 'boolean'], 'for_all' => ['sometimes', 'boolean']];
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
            "{$path}every" => ['sometimes', 'array:hours,km,mi,months'],
            "{$path}book" => ['sometimes', 'nullable', 'array'],
            ...self::intervalFields("{$path}every."), ...self::intervalFields("{$path}book."), ...self::intervalFields("{$path}first.*."),
            "{$path}anchor" => ['sometimes', Among::enum(Anchor::class)],
            "{$path}windows" => ['sometimes', 'array', 'max:6'],
            "{$path}windows.*.name" => ['sometimes', 'nullable', 'string', 'max:40', 'not_regex:/[\\r\\n\\t]/'],
            "{$path}windows.*.from" => ['required', 'string', new DayOfYear],
            "{$path}windows.*.to" => ['required', 'string', new DayOfYear],
            "{$path}condition" => ['sometimes', 'nullable', 'string', 'max:200'],
            "{$path}contained_in" => ['sometimes', 'nullable', 'integer'],
            "{$path}goes_with" => ['sometimes', 'nullable', 'integer'],
            "{$path}keeps_fluid" => ['sometimes', 'boolean'],
            "{$path}top_up" => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            "{$path}subject" => ['sometimes', 'nullable', Among::enum(Subject::class)],
            "{$path}dealer_only" => ['sometimes', 'boolean'],
            "{$path}loosened_because" => ['sometimes', 'nullable', 'string', 'max:500'],
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
        $columns = array_intersect_key($given, array_flip(self::AS_GIVEN));
        foreach (['contained_in', 'goes_with'] as $relation) {
            if (array_key_exists($relation, $given)) {
                $columns["{$relation}_id"] = $given[$relation];
            }
        }
        if (isset($given['windows'])) {
            $columns['windows'] = array_values(array_map(fn (array $window): array => ['name' => trim($window['name'] ?? ''), 'from' => $window['from'], 'to' => $window['to']], $given['windows']));
        }
        foreach (['every', 'book'] as $interval) {
            if (array_key_exists($interval, $given)) {
                $columns[$interval] = $given[$interval] === null ? null : self::read($given[$interval]);
            }
        }

        return isset($given['first']) ? [...$columns, 'first' => array_values(array_map(self::read(...), $given['first']))] : $columns;
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
