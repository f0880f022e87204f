<?php

declare(strict_types=1);

namespace App\Shelf\Kinds;

use App\Contract\Input\TypedVolume;
use App\Contract\Problem;
use App\Contract\Refusal;
use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Logbook\EntryShape;
use App\Logbook\Stock\Container;
use App\Logbook\Stock\Move;
use App\Logbook\Stock\MoveKind;
use App\Logbook\Stock\StockLevels;
use App\Logbook\Stock\Supply;
use App\Machines\Machine;
use App\Notes\Note;
use App\Notes\NoteKind;
use App\Notes\NoteOutcome;
use Brick\Math\BigDecimal;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What is on the shelf of one thing was counted: so much is there, whatever the book said. */
final class CountedNote implements NoteKind
{
    private const MOST_PIECES = 10_000;

    public function rules(?Machine $machine): array
    {
        return [
            'supply' => ['required', 'integer'],
            'pieces' => ['sometimes', 'nullable', 'integer', 'between:0,'.self::MOST_PIECES],
            'containers' => ['sometimes', 'array', 'list', 'max:200'],
            'containers.*' => ['array:container,left'],
            'containers.*.container' => ['required', 'integer', 'distinct'],
            'containers.*.left' => ['required', 'string', 'max:40', new TypedVolume(orNothing: true)],
            'seen' => ['sometimes', 'nullable', 'string', 'max:40'],
            'because' => ['sometimes', 'nullable', 'string', 'max:500'],
        ];
    }

    public function messages(): array
    {
        return [
            'supply.required' => 'Say what was counted.',
            'containers.*.left.required' => 'Say how much is left in it; 0 L if it is empty or gone.',
            'pieces.between' => 'From none to '.self::MOST_PIECES.'.',
        ];
    }

    public function ability(): string
    {
        return 'service';
    }

    public function write(Note $note): NoteOutcome
    {
        $given = $note->given;
        $supply = Supply::query()->lockForUpdate()->find((int) $given['supply'])
            ?? throw Refusal::field('supply', 'There is no such thing on the shelf.');
        $levels = StockLevels::of([$supply->id]);
        $before = $levels->supply($supply->id)->left;
        $counted = $supply->isFluid() ? $this->containers($supply, $given) : self::pieces($given);
        $after = $this->after($supply, $levels, $counted);
        $this->askWhereSomebodyElseCounted($note, $supply, $before);
        $because = trim($given['because'] ?? '');
        if ($because === '' && $levels->isKept($supply->id) && ! $after->isEqualTo($before)) {
            throw Refusal::field('because', 'By the book there is '.$supply->inWords($before)
                .'. Say why there is '.$supply->inWords($after).'.');
        }
        $entry = Entry::write(null, EntryKind::Counted, $note->circumstances, [
            'uuid' => $note->id,
            'note' => $because === '' ? $note->circumstances->note : $because,
            'detail' => ['words' => "{$supply->name} counted: ".$supply->inWords($after)],
            'confirmed_because' => $note->circumstances->confirmedBecause,
        ]);
        foreach ($counted as [$container, $left, $typed]) {
            Move::query()->create([
                'entry_id' => $entry->id,
                'supply_id' => $supply->id,
                'to_container_id' => $container,
                'kind' => MoveKind::Counted,
                'amount' => (string) $left,
                'typed' => $typed,
                'happened_at' => $entry->happened_at,
            ]);
        }

        return new NoteOutcome($entry->id, ['entry' => EntryShape::of($entry, $note->by())]);
    }

    /**
     * What was counted of each container; what came from none that is known is over with it.
     *
     * @param  array<string, mixed>  $given
     * @return list<array{int|null, BigDecimal, string|null}>
     */
    private function containers(Supply $supply, array $given): array
    {
        $known = $supply->containers->keyBy('id');
        if (isset($given['pieces'])) {
            throw Refusal::field('pieces', 'A fluid is counted by what is left in each container.');
        }
        $counted = [[null, BigDecimal::zero(), null]];
        foreach ($given['containers'] ?? [] as $index => $row) {
            $container = $known[$row['container']]
                ?? throw Refusal::field("containers.{$index}.container", 'That container does not stand here.');
            $left = Quantity::parse($row['left'])->to(Unit::Litre)->rounded();
            if ($left->isGreaterThan($container->full())) {
                throw Refusal::field("containers.{$index}.left", "It holds {$container->size}, and no more.");
            }
            $counted[] = [$container->id, $left, $row['left']];
        }

        return $counted;
    }

    /**
     * @param  array<string, mixed>  $given
     * @return list<array{int|null, BigDecimal, string|null}>
     */
    private static function pieces(array $given): array
    {
        return isset($given['pieces'])
            ? [[null, BigDecimal::of($given['pieces']), null]]
            : throw Refusal::field('pieces', 'Say how many are there.');
    }

    /** @param  list<array{int|null, BigDecimal, string|null}>  $counted */
    private function after(Supply $supply, StockLevels $levels, array $counted): BigDecimal
    {
        $told = array_column($counted, 0);
        $others = $supply->containers->reject(fn (Container $one): bool => in_array($one->id, $told, true));

        return BigDecimal::sum(
            BigDecimal::zero(),
            ...array_column($counted, 1),
            ...$others->map(fn (Container $one): BigDecimal => $levels->container($one)->left)->values()->all(),
        );
    }

    /** @throws Refusal if the book says otherwise by now than whoever counted saw, and they have not said that they are right */
    private function askWhereSomebodyElseCounted(Note $note, Supply $supply, BigDecimal $before): void
    {
        $seen = $note->given['seen'] ?? null;
        if ($seen === null || $note->circumstances->confirmedBecause !== null || $seen === (string) $before->stripTrailingZeros()) {
            return;
        }
        $last = Entry::query()->whereNull('struck_at')
            ->whereIn('id', Move::query()->select('entry_id')->where('supply_id', $supply->id))
            ->with('person:id,name')->latest('written_at')->latest('id')->first();
        $who = $last?->person === null ? 'Somebody' : $last->person->name;
        $detail = "{$who} was at the {$supply->name} since you looked; by now the book says "
            .$supply->inWords($before).'.';
        throw new Refusal(new Problem(
            409,
            'unlikely',
            'Somebody else was there',
            "{$detail} Look again, or say why your count is right.",
            [$supply->isFluid() ? 'containers' : 'pieces' => [$detail]],
        ));
    }
}
