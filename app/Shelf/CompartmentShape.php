<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Machines\CheckLists;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\Book;
use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Form\Fields;
use Core\Inspect\Check;
use Core\Inspect\Instrument\Level;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Starter\UsualAmounts;
use Illuminate\Database\Eloquent\Collection;

/** A compartment as a manual's page of capacities tells of it. */
final readonly class CompartmentShape
{
    public function __construct(private CheckLists $checkLists) {}

    /**
     * @param  Collection<int, Spot>  $spots  of the machine, with their sheets
     * @return array<string, mixed> as the contract's `Compartment`
     */
    public function of(Machine $machine, Spot $compartment, Collection $spots): array
    {
        $holder = $spots->find($compartment->shares_with_id);
        $sheet = Sheets::compartment($compartment);

        return [
            ...$compartment->only('id', 'key', 'name', 'place', 'reach', 'trick', 'version'),
            'compartment' => $compartment->compartment?->value,
            'sheet' => $compartment->sheet?->written,
            'capacities' => array_map(fn (Capacity $capacity): array => [
                'kind' => $capacity->kind->label(),
                'written' => $capacity->written,
                'other' => $capacity->other(),
                'book' => $capacity->book->value,
            ], $sheet->capacities),
            'takes' => $this->takes($sheet),
            'drained' => $sheet->out->by?->label(),
            'protocol' => $this->protocol($machine, $compartment),
            'usual' => UsualAmounts::in($machine->class, $compartment->compartment),
            'shares_with' => $holder === null ? null : ['key' => $holder->key, 'name' => $holder->name],
            'shared_by' => array_values($spots->where('shares_with_id', $compartment->id)->map(
                fn (Spot $sharer): array => ['key' => $sharer->key, 'name' => $sharer->name],
            )->all()),
            'openings' => array_values($spots->where('parent_id', $compartment->id)
                ->where('kind', SpotKind::Opening)->where('retired', false)->map(self::opening(...))->all()),
        ];
    }

    /** @return list<array{book: string, in_words: string}> by each book that says so */
    private function takes(CompartmentSheet $sheet): array
    {
        return array_map(
            fn (string $book): array => [
                'book' => Book::from($book)->label(),
                'in_words' => $sheet->specifications[$book]->inWords(),
            ],
            array_keys($sheet->specifications),
        );
    }

    /** How its level is read, as the check that reads it has it. */
    private function protocol(Machine $machine, Spot $compartment): ?string
    {
        foreach ($this->checkLists->of($machine)->checks as $check) {
            if ($check->manner->spot === $compartment->key && $check->readsLevel()) {
                return self::told($check);
            }
        }

        return null;
    }

    private static function told(Check $check): string
    {
        $method = LevelMethod::tryFrom($check->measuring->limits['method'] ?? '');
        $protocol = Level::protocol(new Fields($check->measuring->limits), $method ?? LevelMethod::Stick)->inWords();

        return $method === null ? $protocol : "by {$method->word()}, {$protocol}";
    }

    /** @return array<string, mixed> */
    private static function opening(Spot $opening): array
    {
        return [
            ...$opening->only('id', 'key', 'name', 'place', 'reach', 'trick'),
            'role' => ($opening->role ?? OpeningRole::Fill)->value,
            'sheet' => $opening->sheet?->written,
        ];
    }
}
