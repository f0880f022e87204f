<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Specification;
use Core\Form\NotATable;
use Core\Form\PastedTable;
use Core\Machine\CompartmentKind;
use Core\Machine\Spot;
use Core\Machine\SpotWords;
use Core\Machine\TaskKind;
use Core\Measure\Unreadable;

/** A manual's page of capacities, pasted: understood as far as it goes, doubtful rows asked about, nothing saved. */
final readonly class CapacityTable
{
    private const MOST_ROWS = 60;

    /** Words of books for what a machine's plate may call otherwise. */
    private const KINDS = [
        'crankcase|engine|motor' => CompartmentKind::Engine,
        'cooling|radiator|coolant' => CompartmentKind::Coolant,
        'hydrostatic|transaxle' => CompartmentKind::Hydrostatic,
        'hydraulic' => CompartmentKind::Hydraulic,
        'front (axle|diff)' => CompartmentKind::FrontDifferential,
        'rear (axle|diff)' => CompartmentKind::RearDifferential,
        'wet.?brake' => CompartmentKind::WetBrakeAxle,
        'final drive' => CompartmentKind::FinalDrive,
        'pto|power take' => CompartmentKind::Pto,
        'transmission|gearbox' => CompartmentKind::Transmission,
        'transfer' => CompartmentKind::Transfer,
        'reduction' => CompartmentKind::ReductionGear,
        'converter' => CompartmentKind::TorqueConverter,
        'chain' => CompartmentKind::Chaincase,
        'brake' => CompartmentKind::Brake,
        'fuel|tank' => CompartmentKind::Fuel,
        'gear ?case|gear ?box' => CompartmentKind::Gearbox,
    ];

    /** @param  list<CapacityRow>  $rows */
    private function __construct(public array $rows, public string $remark) {}

    /**
     * @param  list<Spot>  $compartments  of the machine
     *
     * @throws NotATable if it is no table, or none of its columns says how much or of what
     */
    public static function read(string $text, array $compartments): self
    {
        $lines = PastedTable::parse($text, 'a page of capacities')->lines;
        $top = array_key_first($lines);
        $headings = array_slice($lines[$top], 1);
        unset($lines[$top]);
        if ($lines === [] || $headings === []) {
            throw new NotATable(
                'Such a page has headings above, like Compartment, Capacity, Oil, and a row for each compartment. Copy the headings too.',
            );
        }
        if (count($lines) > self::MOST_ROWS) {
            throw new NotATable('A machine has at most '.self::MOST_ROWS.' compartments. Paste one machine\'s table.');
        }
        $columns = array_map(CapacityColumn::of(...), $headings);
        $silent = array_keys(array_filter($columns, fn (CapacityColumn $column): bool => $column->saysNothing()));
        if (count($silent) === count($columns)) {
            throw new NotATable(
                'None of these columns says how much or of what. Head one of them "Capacity", "qt" or "L", or "Oil".',
            );
        }
        $rows = [];
        foreach ($lines as $line => $cells) {
            $rows[] = self::row($line, $cells, $columns, $compartments);
        }

        return new self($rows, $silent === [] ? '' : 'Not understood, and left out: '.implode(
            ', ',
            array_map(fn (int $at): string => "\"{$headings[$at]}\"", $silent),
        ).'.');
    }

    /**
     * @param  list<string>  $cells
     * @param  list<CapacityColumn>  $columns
     * @param  list<Spot>  $compartments
     */
    private static function row(int $line, array $cells, array $columns, array $compartments): CapacityRow
    {
        $words = array_shift($cells) ?? '';
        $written = [];
        $fluid = [];
        foreach ($columns as $at => $column) {
            $cell = $cells[$at] ?? '';
            if ($cell === '' || preg_match('/^[-–—]+$/u', $cell)) {
                continue;
            }
            if ($column->capacity !== null) {
                $unit = $column->unit !== null && ! preg_match('/\p{L}/u', $cell) ? " {$column->unit->symbol()}" : '';
                $written[$column->capacity->value][] = $cell.$unit;
            } elseif ($column->isFluid) {
                $fluid[] = $cell;
            }
        }
        [$amounts, $doubts] = self::amounts($written);
        [$specification, $unknown] = $fluid === [] ? [new Specification, ''] : FluidText::read(implode(', ', $fluid));
        if ($unknown !== '') {
            $doubts[] = "\"{$unknown}\" is taken for the maker's own fluid: is it?";
        }
        $likely = self::likely($words, $compartments);
        if (count($likely) !== 1) {
            $doubts[] = $likely === []
                ? "No compartment of this machine is called \"{$words}\": which is it?"
                : "\"{$words}\" may be more than one compartment: which is it?";
        }
        if ($amounts === [] && $doubts === [] && $specification->isEmpty()) {
            $doubts[] = 'This row says neither how much nor of what.';
        }

        return new CapacityRow($line, $words, array_column($likely, 'key'), $amounts, $specification, $doubts);
    }

    /**
     * @param  array<string, non-empty-list<string>>  $written  by kind; what stands in two columns is one thing two
     *     ways
     * @return array{list<array{CapacityKind, string}>, list<string>} and what is doubtful about them
     */
    private static function amounts(array $written): array
    {
        $amounts = $doubts = [];
        foreach ($written as $kind => $ways) {
            $kind = CapacityKind::from($kind);
            $text = count($ways) === 1 ? $ways[0] : "{$ways[0]} ({$ways[1]})";
            try {
                foreach (CapacityText::read($text, $kind) as $capacity) {
                    $amounts[] = [$capacity->kind, $capacity->written];
                }
            } catch (Unreadable $unreadable) {
                $doubts[] = $unreadable->getMessage();
                $amounts[] = [$kind, $text];
            }
        }

        return [$amounts, $doubts];
    }

    /**
     * @param  list<Spot>  $compartments
     * @return list<Spot>
     */
    private static function likely(string $words, array $compartments): array
    {
        $likely = SpotWords::likeliest($words, TaskKind::CheckLevel, $compartments);
        if ($likely !== []) {
            return $likely;
        }
        foreach (self::KINDS as $pattern => $kind) {
            $ofKind = preg_match("~\\b(?:{$pattern})~i", $words)
                ? array_values(array_filter($compartments, fn (Spot $spot): bool => $spot->compartment === $kind))
                : [];
            if ($ofKind !== []) {
                return $ofKind;
            }
        }

        return [];
    }
}
