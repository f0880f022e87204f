<?php

declare(strict_types=1);

namespace App\Shelf\Kinds;

use App\Contract\Input\TypedNumber;
use App\Contract\Input\TypedVolume;
use App\Contract\Refusal;
use App\Logbook\Stock\PutOnShelf;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use App\Notes\When;
use Core\Supply\SupplyKind;

/** Something came to the shelf: it was bought, or stood there already. */
final readonly class BoughtNote implements NoteKind
{
    private const MOST = 500;

    public function __construct(private PutOnShelf $putOnShelf) {}

    public function rules(?Machine $machine): array
    {
        return [
            'supply' => ['required_without:new', 'integer'],
            'new' => ['required_without:supply', 'array:name,number'],
            'new.name' => ['required_with:new', 'string', 'max:80'],
            'new.number' => ['required_with:new', 'string', 'max:80'],
            'size' => ['sometimes', 'nullable', 'string', 'max:40', new TypedVolume],
            'count' => ['required', 'integer', 'between:1,'.self::MOST],
            'price' => ['sometimes', 'nullable', new TypedNumber('The price')],
            'use_by' => ['sometimes', 'nullable', When::rule()],
            'was_there' => ['sometimes', 'boolean'],
        ];
    }

    public function messages(): array
    {
        return [
            'supply.required_without' => 'Say what it is.',
            'new.name.required_with' => 'Give it a name.',
            'new.number.required_with' => 'Say its number.',
            'count.required' => 'Say how many.',
            'count.between' => 'From 1 to '.self::MOST.' at once.',
        ];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $given = $note->given;
        $supply = isset($given['supply'])
            ? Supply::query()->lockForUpdate()->find((int) $given['supply'])
            ?? throw Refusal::field('supply', 'There is no such thing on the shelf.')
            : self::begun($given['new']);
        $size = trim($given['size'] ?? '');
        $price = isset($given['price']) ? TypedNumber::read($given['price']) : null;
        if ($supply->isFluid() && $size === '') {
            throw Refusal::field('size', $price === null
                ? 'Say what size the container is.'
                : 'A price says little without the size of the container.');
        }
        if (! $supply->isFluid() && $size !== '') {
            throw Refusal::field('size', 'A part comes by the piece.');
        }

        return ($this->putOnShelf)(
            $note,
            $supply,
            (int) $given['count'],
            $size === '' ? null : $size,
            $price,
            $given['use_by'] ?? null,
            $given['was_there'] ?? false,
        );
    }

    /**
     * A part that was never kept before.
     *
     * @param  array{name: string, number: string}  $new
     */
    private static function begun(array $new): Supply
    {
        $known = Supply::ofNumber($new['number']);
        if ($known !== null) {
            return $known;
        }
        if (Supply::query()->where('name', $new['name'])->exists()) {
            throw Refusal::field('new.name', 'Something of that name is kept already.');
        }

        return Supply::query()->create(['kind' => SupplyKind::Part, ...$new]);
    }
}
