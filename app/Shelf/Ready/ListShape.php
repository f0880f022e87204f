<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Yard;

/** A list with all that is on it. */
final readonly class ListShape
{
    public function __construct(private ReadyWorks $works, private KeptNeeds $kept, private Yard $yard)
    {
    }

    /** @return array<string, mixed> as the contract's `GatheringListRead` */
    public function of(GatheringList $list): array
    {
        $list->load('person:id,name', 'things', 'links');

        return [
            ...$list->toRecord(),
            ...$this->needs($list),
            'wanted' => $list->things->map(fn (WantedThing $thing): array => $thing->toRecord())->all(),
            'gathered' => $list->gathered(),
            'links' => $list->links->map(fn (CounterLink $link): array => $link->toRecord())->all(),
        ];
    }

    /** @return array<string, mixed> as the contract's `CounterList`: what is asked for, and nothing else */
    public function atCounter(CounterLink $link): array
    {
        $list = $link->list->load('things');
        $needs = $this->needs($list);

        return [
            'name' => $list->name,
            'for_day' => $list->for_day?->toDateString(),
            'yard' => $this->yard->name,
            'ends_at' => $link->expires_at->toAtomString(),
            'to_buy' => array_map(fn (array $line): array => array_intersect_key(
                $line,
                array_flip(['key', 'name', 'number', 'size', 'count', 'amount']),
            ), $needs['to_buy']),
            'wanted' => $list->things->map(fn (WantedThing $thing): array => $thing->toRecord())->all(),
        ];
    }

    /** @return array<string, mixed> */
    private function needs(GatheringList $list): array
    {
        $asked = ['list', $list->works, $list->preference->value, $list->made_at->toAtomString()];

        return json_decode($this->kept->of($asked, function () use ($list): array {
            $works = $list->readyWorks($this->works);

            return [
                'works' => array_map(fn (ReadyWork $work): array => $work->toRecord(), $works),
                ...app(ReadyNeeds::class)->of($works, $list->preference),
            ];
        }), true, flags: JSON_THROW_ON_ERROR);
    }
}
