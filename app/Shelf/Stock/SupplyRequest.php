<?php

declare(strict_types=1);

namespace App\Shelf\Stock;

use App\Logbook\Stock\Supply;
use Core\Fluid\FluidFields;
use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Supply\PartNumber;
use Core\Supply\SoldIn;
use Core\Supply\SupplyKind;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Rule;

/** A supply as a keeper or mechanic writes it down. */
final class SupplyRequest extends FormRequest
{
    private const MOST_DAYS = 365;

    private const MOST_MONTHS = 120;

    /** @return array<string, array<mixed>> */
    public function rules(): array
    {
        $supply = $this->route('supply');
        $isPart = $this->kind() === SupplyKind::Part;

        return [
            'kind' => [
                'sometimes',
                $supply === null ? Rule::enum(SupplyKind::class) : Rule::in([$this->kind()->value]),
            ],
            'name' => ['required', 'string', 'max:80', Rule::unique('supplies')->ignore($supply)],
            'label' => [$isPart ? 'nullable' : 'required', 'array', 'max:10'],
            'number' => [$isPart ? 'required' : 'nullable', 'string', 'max:80'],
            'code' => [
                'bail',
                'sometimes',
                'nullable',
                'string',
                'max:12',
                'regex:/^[0-9A-Za-z-]{3,12}$/',
                function (string $attribute, string $code, \Closure $fail) use ($supply): void {
                    $other = Supply::query()->where('code', $code)->whereKeyNot($supply->id ?? 0)->value('name');
                    if ($other !== null) {
                        $fail("That code is on {$other} already.");
                    }
                },
            ],
            'place' => ['sometimes', 'nullable', 'string', 'max:80'],
            'sold_in' => ['sometimes', 'array', 'list', 'max:20'],
            'delivery_days' => ['sometimes', 'nullable', 'integer', 'between:0,'.self::MOST_DAYS],
            'keeps_months' => ['sometimes', 'nullable', 'integer', 'between:1,'.self::MOST_MONTHS],
            'retired' => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'name.required' => 'Give it the name it goes by here.',
            'name.unique' => 'Something of that name is kept already.',
            'kind.in' => 'A fluid stays a fluid, and a part a part. Keep the other as something new.',
            'label.required' => 'Say what stands on the bottle.',
            'number.required' => 'Say the number to ask for.',
            'code.regex' => 'A code is 3 to 12 letters and digits.',
        ];
    }

    /** What it is kept as; what is new is a fluid unless it says otherwise. */
    private function kind(): SupplyKind
    {
        $supply = $this->route('supply');
        $said = $this->input('kind');

        return match (true) {
            $supply instanceof Supply => $supply->kind,
            is_string($said) => SupplyKind::tryFrom($said) ?? SupplyKind::Fluid,
            default => SupplyKind::Fluid,
        };
    }

    /**
     * The columns of a supply.
     *
     * @return array<string, mixed>
     *
     * @throws BadInput if the label, a size or a price cannot be read, or the number is another's
     */
    public function columns(?Supply $changed = null): array
    {
        $given = $this->validated();
        $isFluid = $this->kind() === SupplyKind::Fluid;
        $fields = new Fields(['label' => $given['label'] ?? null, 'sold_in' => $given['sold_in'] ?? []]);
        if ($isFluid) {
            FluidFields::bottle($fields->within('label', 'the label'));
        }
        $soldIn = SoldIn::read($fields, $isFluid);
        if (! $isFluid) {
            self::refuseKnownNumber($fields, (string) $given['number'], $changed);
            $fields->passOver('label');
        }
        $fields->refuseUnknown();

        return [
            ...array_filter($given, fn (mixed $value, string $name): bool => $name !== 'code' || $value !== null, ARRAY_FILTER_USE_BOTH),
            'kind' => $isFluid ? SupplyKind::Fluid : SupplyKind::Part,
            'label' => $isFluid ? $given['label'] : null,
            'number' => $isFluid ? null : $given['number'],
            'place' => $given['place'] ?? '',
            'sold_in' => $soldIn->written(),
        ];
    }

    private static function refuseKnownNumber(Fields $fields, string $number, ?Supply $changed): void
    {
        $other = Supply::query()->where('bare_number', PartNumber::bare($number))->whereKeyNot($changed->id ?? 0)->first();
        if ($other !== null) {
            $fields->fault('number', "{$other->name} has that number already.");
        }
    }
}
