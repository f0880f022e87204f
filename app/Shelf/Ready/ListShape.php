<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Machines\Yard;
use Core\Form\Csv;

/** A list with all that is on it. */
final readonly class ListShape
{
    private const HEADINGS = ['what', 'name', 'number or size', 'needed', 'on the shelf', 'to buy', 'cost', 'for', 'got'];

    public function __construct(private ReadyWorks $works, private KeptNeeds $kept, private Yard $yard) {}

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

    /** As a table of text. Source: RFC 4180. */
    public function csv(GatheringList $gathering): string
    {
        $list = $this->of($gathering);
        $got = fn (array $line): string => in_array($line['key'], $list['gathered'], true) ? 'yes' : '';
        $rows = [self::HEADINGS];
        foreach ($list['fluids'] as $line) {
            $amounts = [$line['amount']['display'], $line['have']['display']];
            $rows[] = ['fluid', $line['name'], $line['in_words'], ...$amounts, '', '', implode('; ', $line['for']), $got($line)];
        }
        foreach ($list['parts'] as $line) {
            $counts = [$line['count'], $line['have']];
            $rows[] = ['part', $line['name'], $line['number'], ...$counts, '', '', implode('; ', $line['for']), $got($line)];
        }
        foreach ($list['to_buy'] as $line) {
            $of = $line['size'] ?? $line['number'] ?? '';
            $many = $line['count'] ?? $line['amount']['display'] ?? '';
            $rows[] = ['buy', $line['name'], $of, '', '', $many, $line['cost'] ?? '', '', $got($line)];
        }
        foreach ($list['wanted'] as $line) {
            $rows[] = ['buy', $line['name'], '', '', '', $line['count'], '', 'put on the list by hand', $got($line)];
        }
        foreach ($list['tools'] as $line) {
            $rows[] = ['tool', $line['tool'], '', '', '', '', '', $line['for'], $got($line)];
        }
        foreach ($list['uses'] as $line) {
            $rows[] = ['used up', $line['name'], '', '', '', '', '', $line['for'], $got($line)];
        }

        return Csv::of($rows);
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
