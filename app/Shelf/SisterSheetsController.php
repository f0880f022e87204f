<?php

declare(strict_types=1);

namespace App\Shelf;

use App\Contract\Refusal;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Sheets;
use App\Machines\Spot;
use Core\Machine\SpotKind;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** Takes over what is written down of a sister machine, spot by spot, asking where it may be for that machine alone. */
final class SisterSheetsController
{
    public function index(Request $request, Machine $machine): JsonResponse
    {
        return new JsonResponse(['sheets' => self::sheets($machine, self::sister($request, $machine))]);
    }

    public function store(Request $request, Machine $machine): JsonResponse
    {
        $sister = self::sister($request, $machine);
        $wanted = $request->validate(
            ['spots' => ['required', 'array', 'list', 'max:200'], 'spots.*' => ['string', 'max:40']],
        )['spots'];
        $machine = Machine::lockForWriting($machine->id);
        $theirs = self::written($sister);
        $own = $machine->spots()->with('sheet')->get()->keyBy('key');
        foreach ($wanted as $index => $key) {
            if (! isset($theirs[$key], $own[$key])) {
                throw Refusal::field("spots.{$index}", 'One of the two machines has no such spot.');
            }
            Sheets::write($own[$key], $theirs[$key]->sheet->written ?? [], "spots.{$index}.");
            $own[$key]->update(['version' => $own[$key]->version + 1]);
        }
        event(new FactsChanged([$machine->id]));

        return new JsonResponse(['written' => count($wanted)]);
    }

    private static function sister(Request $request, Machine $machine): Machine
    {
        $id = $request->validate(
            ['from' => ['required', 'integer', Rule::notIn([$machine->id])]],
            ['from.not_in' => 'Take another machine than this one.'],
        )['from'];
        $sister = Machine::query()->find((int) $id) ?? throw Refusal::field('from', 'There is no such machine in this yard.');

        return $sister->class === $machine->class
            ? $sister
            : throw Refusal::field('from', "{$sister->name} is of another class.");
    }

    /** @return list<array<string, mixed>> what could be taken over, and what speaks against it */
    private static function sheets(Machine $machine, Machine $sister): array
    {
        $own = $machine->spots()->with('sheet')->get()->keyBy('key');
        $sheets = [];
        foreach (self::written($sister) as $key => $theirs) {
            $mine = $own[$key] ?? null;
            $written = $theirs->sheet->written ?? [];
            if ($mine === null || $mine->sheet?->written == $written) {
                continue;
            }
            $onlyFor = (string) ($written['only_for'] ?? '');
            $sheets[] = [
                'key' => $key,
                'name' => $theirs->name,
                'kind' => $theirs->kind->label(),
                'asks' => implode(' ', array_filter([
                    $onlyFor === '' ? '' : "On {$sister->name} this is only for {$onlyFor}: is it the same here?",
                    $mine->sheet === null ? '' : 'Something else is written down here already.',
                ])),
            ];
        }

        return $sheets;
    }

    /**
     * @return Collection<string, Spot> by key, the spots of which something is written down; what others share goes
     *     last
     */
    private static function written(Machine $machine): Collection
    {
        return $machine->spots()->whereIn('kind', [SpotKind::Compartment, SpotKind::Opening, SpotKind::Part])
            ->whereHas('sheet')->with('sheet')->get()
            ->sortBy(fn (Spot $spot): bool => $spot->shares_with_id !== null)->keyBy('key');
    }
}
