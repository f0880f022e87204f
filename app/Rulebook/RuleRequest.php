<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Contract\Input\DayOfYear;
use App\Contract\Input\TypedNumber;
use App\Contract\Input\TypedVolume;
use App\Machines\SpotRequest;
use App\Notes\Circumstances;
use App\Notes\When;
use Core\Machine\TaskKind;
use Core\Schedule\Anchor;
use Core\Schedule\RuleSource;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule as Among;

/** A rule of a machine's rulebook as a keeper gives it. */
final class RuleRequest extends FormRequest
{
    private const INTERVALS = ['hours' => 'The hours', 'km' => 'The distance', 'mi' => 'The distance'];

    private const AS_GIVEN = [
        'condition',
        'top_up',
        'dealer_only',
        'loosened_because',
        'anchor',
        'early',
        'late',
        'source',
        'common_practice',
        'note',
        'retired',
    ];

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [
            ...self::ruleFields('', $this->isMethod('POST')),
            ...Circumstances::rules(),
            'retired' => ['sometimes', 'boolean'],
            'for_all' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return SpotRequest::words('new_spots.*.');
    }

    /**
     * @param  string  $path  before each field's name, as in `rules.*.`
     * @return array<string, array<mixed>>
     */
    public static function ruleFields(string $path, bool $new): array
    {
        $needed = $new ? ['required'] : ['sometimes', 'required'];

        return [
            "{$path}task" => ['sometimes', 'nullable', 'string', 'max:80'],
            "{$path}kind" => [...$needed, Among::enum(TaskKind::class)],
            "{$path}spots" => ['sometimes', 'array', 'list', 'max:60'],
            "{$path}spots.*" => ['string', 'max:40'],
            "{$path}new_spots" => ['sometimes', 'array', 'list', 'max:10'],
            ...SpotRequest::fields("{$path}new_spots.*.", new: true),
            "{$path}check" => ['sometimes', 'nullable', 'string', 'max:40'],
            "{$path}first" => ['sometimes', 'array', 'max:10'],
            "{$path}every" => ['sometimes', 'array:hours,km,mi,months'],
            "{$path}book" => ['sometimes', 'nullable', 'array'],
            ...self::intervalFields("{$path}every."),
            ...self::intervalFields("{$path}book."),
            ...self::intervalFields("{$path}first.*."),
            "{$path}anchor" => ['sometimes', Among::enum(Anchor::class)],
            "{$path}windows" => ['sometimes', 'array', 'max:6'],
            "{$path}windows.*.name" => ['sometimes', 'nullable', 'string', 'max:40', 'not_regex:/[\\r\\n\\t]/'],
            "{$path}windows.*.from" => ['required', 'string', new DayOfYear],
            "{$path}windows.*.to" => ['required', 'string', new DayOfYear],
            "{$path}condition" => ['sometimes', 'nullable', 'string', 'max:200'],
            "{$path}goes_with" => ['sometimes', 'nullable', 'integer'],
            "{$path}goes_with_row" => ['sometimes', 'nullable', 'integer', 'min:0'],
            "{$path}top_up" => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            "{$path}dealer_only" => ['sometimes', 'boolean'],
            "{$path}loosened_because" => ['sometimes', 'nullable', 'string', 'max:500'],
            "{$path}early" => ['sometimes', 'numeric', 'between:0,1'],
            "{$path}late" => ['sometimes', 'numeric', 'between:0,1'],
            "{$path}source" => ['sometimes', Among::enum(RuleSource::class)],
            "{$path}common_practice" => ['sometimes', 'boolean'],
            "{$path}note" => ['sometimes', 'nullable', 'string', 'max:500'],
            "{$path}counts_from" => ['sometimes', Among::enum(CountsFrom::class)],
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
        if (array_key_exists('goes_with', $given)) {
            $columns['goes_with_id'] = $given['goes_with'];
        }
        if (isset($given['windows'])) {
            $columns['windows'] = array_values(
                array_map(
                    fn (array $window): array => [
                        'name' => trim($window['name'] ?? ''),
                        'from' => $window['from'],
                        'to' => $window['to'],
                    ],
                    $given['windows'],
                ),
            );
        }
        foreach (['every', 'book'] as $interval) {
            if (array_key_exists($interval, $given)) {
                $columns[$interval] = $given[$interval] === null ? null : self::read($given[$interval]);
            }
        }

        return isset($given['first'])
            ? [...$columns, 'first' => array_values(array_map(self::read(...), $given['first']))]
            : $columns;
    }

    /** @return array<string, array<mixed>> */
    private static function intervalFields(string $path): array
    {
        $fields = array_map(
            fn (string $what): array => ['sometimes', 'nullable', new TypedNumber($what, aboveZero: true)],
            self::INTERVALS,
        );

        return [
            ...array_combine(array_map(fn (string $name): string => $path.$name, array_keys($fields)), $fields),
            "{$path}months" => ['sometimes', 'nullable', 'integer', 'between:1,1200'],
        ];
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
