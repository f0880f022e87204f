<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Refusal;
use Core\Grease\EndSign;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A spot as a keeper gives it. */
final class SpotRequest extends FormRequest
{
    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        return [...self::fields('', $this->isMethod('POST')), 'retired' => ['sometimes', 'boolean']];
    }

    /**
     * @param  string  $path  before each field's name, as in `new_spots.*.`
     * @return array<string, array<mixed>>
     */
    public static function fields(string $path, bool $new): array
    {
        $needed = $new ? ['required'] : ['sometimes', 'required'];

        return [
            "{$path}name" => [...$needed, 'string', 'max:80'],
            "{$path}kind" => [...$needed, Rule::enum(SpotKind::class)],
            "{$path}subject" => ['sometimes', Rule::enum(Subject::class)],
            "{$path}place" => ['sometimes', 'nullable', 'string', 'max:160'],
            "{$path}reach" => ['sometimes', 'nullable', 'string', 'max:200'],
            "{$path}trick" => ['sometimes', 'nullable', 'string', 'max:300'],
            "{$path}parent" => ['sometimes', 'nullable', 'string', 'max:40'],
            "{$path}compartment" => ['sometimes', 'nullable', Rule::enum(CompartmentKind::class)],
            "{$path}role" => ['sometimes', 'nullable', Rule::enum(OpeningRole::class)],
            "{$path}x" => ['sometimes', 'integer', 'between:0,100'],
            "{$path}y" => ['sometimes', 'integer', 'between:0,100'],
            "{$path}position" => ['sometimes', 'numeric', 'between:-100000,100000'],
            "{$path}grease" => ['sometimes', 'nullable', 'array:grease,strokes,most,end_sign'],
            "{$path}grease.grease" => ['sometimes', 'required', 'string', 'max:80'],
            "{$path}grease.strokes" => ['sometimes', 'required', 'integer', 'between:1,500'],
            "{$path}grease.most" => ['sometimes', 'nullable', 'integer', 'between:1,500', "gte:{$path}grease.strokes"],
            "{$path}sheet" => ['sometimes', 'nullable', 'array', 'max:20'],
            "{$path}grease.end_sign" => ['sometimes', 'required', Rule::enum(EndSign::class)],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return self::words('');
    }

    /** @return array<string, string> */
    public static function words(string $path): array
    {
        return [
            "{$path}name.required" => 'Give the spot a name.',
            "{$path}grease.strokes.between" => 'From 1 to 500 strokes.',
            "{$path}grease.most.gte" => 'It cannot take fewer strokes at most than it usually gets.',
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed> the columns of a spot
     */
    public static function columns(array $given, Machine $machine): array
    {
        $columns = array_intersect_key(
            $given,
            array_flip(['name', 'kind', 'subject', 'compartment', 'role', 'x', 'y', 'position', 'retired']),
        );
        foreach (['place', 'reach', 'trick'] as $words) {
            if (array_key_exists($words, $given)) {
                $columns[$words] = $given[$words] ?? '';
            }
        }
        if (array_key_exists('parent', $given)) {
            $columns['parent_id'] = $given['parent'] === null ? null
                : $machine->spots()->where('key', $given['parent'])->value('id')
                    ?? throw Refusal::field('parent', "{$machine->name} has no such spot.");
        }

        return $columns;
    }
}
