<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CapacityKind;
use Core\Form\Fields;
use Core\Measure\Dimension;

/**
 * The rows of a job as its calculators are given them: compartments, then parts, then tasks, each key once, and what
 * belongs to another calculator passed over.
 */
final class JobRows
{
    private const MOST = 500;

    /** @var array<string, true> */
    private array $keys = [];

    /** @param  array<string, list<string>>  $passedOver  fields by the kind of row */
    public function __construct(private readonly Fields $given, private readonly array $passedOver) {}

    /**
     * @param  \Closure(Fields): void  $compartment
     * @param  \Closure(Fields): void  $part
     * @param  \Closure(Fields): bool  $task  whether it is something to do
     */
    public function read(\Closure $compartment, \Closure $part, \Closure $task): void
    {
        array_map($compartment, $this->of($this->given, 'compartments', 'the compartments'));
        array_map($part, $this->of($this->given, 'parts', 'the parts'));
        if (! in_array(true, array_map($task, $this->of($this->given, 'tasks', 'the tasks')), true)) {
            $this->given->fault('tasks', 'Say what is to be done.');
        }
    }

    /** @return list<Fields> */
    public function of(Fields $in, string $name, string $what): array
    {
        $rows = $in->rows($name, $what);
        if (count($rows) > self::MOST) {
            $this->given->fault($name, 'At most '.self::MOST.' at once.');
        }

        return array_slice($rows, 0, self::MOST);
    }

    public function key(Fields $row): ?string
    {
        $key = trim((string) $row->text('key', 'the key'));
        if (isset($this->keys[$key])) {
            $row->fault('key', "\"{$key}\" is there already: keys are unique.");
        }
        $this->keys[$key] = true;

        return $key === '' ? null : $key;
    }

    /**
     * Where something is done.
     *
     * @template T of object
     *
     * @param  array<string, T>  $places  by key
     * @return T|null
     */
    public function place(Fields $row, array $places): ?object
    {
        $at = trim((string) $row->text('at', 'where'));
        if ($at !== '' && ! isset($places[$at])) {
            $row->fault('at', "No compartment, opening or part has the key \"{$at}\".");
        }

        return $places[$at] ?? null;
    }

    /** How much a compartment takes by its book: one figure, or from and to. */
    public function capacity(Fields $row): ?Capacity
    {
        $least = null;
        if ($row->isSet('capacity')) {
            $range = $row->within('capacity', 'the capacity');
            $least = $range->optionalMeasure('min', 'the least', Dimension::Volume);
            $most = $range->measure('max', 'the most', Dimension::Volume);
            if ($least !== null && $most !== null && $least->compareTo($most) > 0) {
                $range->fault('min', "The least, {$least->inWords()}, is over the most, {$most->inWords()}.");
            }
        } else {
            $most = $row->optionalMeasure('capacity', 'the capacity', Dimension::Volume);
        }
        if ($most?->value->isZero()) {
            $row->fault('capacity', 'A compartment holds more than nothing.');
        }

        return $most === null ? null : new Capacity(CapacityKind::Refill, $least ?? $most, $most, $most->inWords());
    }

    public function passOver(Fields $row, string $kind): void
    {
        foreach ($this->passedOver[$kind] ?? [] as $name) {
            $row->passOver($name);
        }
    }
}
