<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Contract\Refusal;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Fluid\FluidFields;
use Core\Fluid\Sheet\CapacityKind;
use Core\Fluid\Sheet\CapacityRow;
use Core\Fluid\Sheet\CapacityTable;
use Core\Form\NotATable;
use Core\Machine\Spot as CoreSpot;
use Core\Machine\SpotKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** A manual's page of capacities: pasted and understood, then written down. */
final class CapacitiesController
{
    private const MOST_ROWS = 60;

    public function read(Request $request, Machine $machine): JsonResponse
    {
        $text = $request->validate(['text' => ['present', 'nullable', 'string', 'max:100000']])['text'] ?? '';
        try {
            $table = CapacityTable::read($text, self::compartments($machine));
        } catch (NotATable $not) {
            throw Refusal::field('text', $not->getMessage());
        }

        return new JsonResponse([
            'remark' => $table->remark,
            'rows' => array_map(fn (CapacityRow $row): array => [
                'line' => $row->line,
                'words' => $row->words,
                'compartment' => count($row->compartments) === 1 ? $row->compartments[0] : null,
                'may_be' => $row->compartments,
                'capacities' => array_map(
                    fn (array $amount): array => ['kind' => $amount[0]->value, 'amount' => $amount[1]],
                    $row->amounts,
                ),
                'specification' => FluidFields::written($row->specification),
                'takes' => $row->specification->inWords(),
                'doubts' => $row->doubts,
            ], $table->rows),
        ]);
    }

    /** Writes the rows down, all or none; what else is known of a compartment stays. */
    public function update(Request $request, Machine $machine): JsonResponse
    {
        $rows = $request->validate([
            'rows' => ['required', 'array', 'list', 'max:'.self::MOST_ROWS],
            'rows.*' => ['array:compartment,capacities,specification'],
            'rows.*.compartment' => ['required', 'string', 'max:40', 'distinct'],
            'rows.*.capacities' => ['present', 'array', 'list', 'max:20'],
            'rows.*.capacities.*' => ['array'],
            'rows.*.specification' => ['present', 'nullable', 'array', 'max:10'],
        ], [
            'rows.required' => 'Keep at least one row.',
            'rows.*.compartment.required' => 'Say which compartment it is, or leave the row out.',
            'rows.*.compartment.distinct' => 'Two rows are about this compartment.',
        ])['rows'];
        $machine = Machine::lockForWriting($machine->id);
        $spots = $machine->spots()->where('kind', SpotKind::Compartment)->with('sheet')->get()->keyBy('key');
        foreach ($rows as $index => $row) {
            $spot = $spots[$row['compartment']]
                ?? throw Refusal::field("rows.{$index}.compartment", "{$machine->name} has no such compartment.");
            $known = $spot->sheet->written ?? [];
            Sheets::write($spot, [
                ...$known,
                'capacities' => self::capacities($known['capacities'] ?? [], $row['capacities']),
                ...$row['specification'] === null ? [] : ['specification' => $row['specification']],
            ], "rows.{$index}.");
            $spot->update(['version' => $spot->version + 1]);
        }
        event(new FactsChanged([$machine->id]));

        return new JsonResponse(['written' => count($rows)]);
    }

    /**
     * What is pasted stands in place of the figure for the same; the component maker's stay.
     *
     * @param  list<array<string, mixed>>  $known
     * @param  list<array<string, mixed>>  $given
     * @return list<array<string, mixed>>
     */
    private static function capacities(array $known, array $given): array
    {
        $kinds = array_map(fn (array $row): string => $row['kind'] ?? CapacityKind::Refill->value, $given);

        return [
            ...$given,
            ...array_values(array_filter(
                $known,
                fn (array $row): bool => ($row['book'] ?? 'machine') !== 'machine'
                    || ! in_array($row['kind'], $kinds, true),
            )),
        ];
    }

    /** @return list<CoreSpot> */
    private static function compartments(Machine $machine): array
    {
        return array_values($machine->spots()->where(['kind' => SpotKind::Compartment, 'retired' => false])->get()
            ->map(fn (Spot $spot): CoreSpot => $spot->toCore())->all());
    }
}
