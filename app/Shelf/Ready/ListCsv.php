<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Core\Form\Csv;

/** A list as a table of text. Source: RFC 4180. */
final class ListCsv
{
    private const HEADINGS = ['what', 'name', 'number or size', 'needed', 'on the shelf', 'to buy', 'cost', 'for', 'got'];

    /** @param  array<string, mixed>  $list  as the contract's `GatheringListRead` */
    public static function of(array $list): string
    {
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
}
