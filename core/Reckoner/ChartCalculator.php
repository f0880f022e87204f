<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Brick\Math\BigDecimal;
use Core\Chart\Column;
use Core\Chart\ColumnChart;
use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Plain;

/** Which tasks fall due at which hours. */
final class ChartCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $rules = [];
        foreach ($given->rows('rules', 'the rules') as $index => $fields) {
            $name = $fields->optionalText('name', 'the task') ?? '';
            if ($name === '' || isset($rules[$name])) {
                $fields->fault('name', $name === '' ? 'The task is missing.' : "\"{$name}\" stands there twice.");
            }
            $rules[$name === '' ? "#{$index}" : $name] = RuleFields::read($fields);
        }
        if ($rules === []) {
            $given->fault('rules', 'The rules are missing.');
        }
        $from = $given->number('from', 'the beginning');
        $to = $given->number('to', 'the end');
        if ($from !== null && $to !== null && $to->isLessThan($from)) {
            $given->fault('to', 'The end lies before the beginning.');
        }
        $given->complete();
        try {
            $columns = ColumnChart::between(
                array_filter($rules),
                $from ?? BigDecimal::zero(),
                $to ?? BigDecimal::zero(),
            );
        } catch (\LengthException $tooMany) {
            $given->fault('to', $tooMany->getMessage());
            $given->complete();

            throw $tooMany;
        }

        return new Answer(
            [
                'columns' => array_map(
                    fn (Column $column): array => ['at' => Notation::number($column->at), 'tasks' => $column->tasks],
                    $columns,
                ),
            ],
            sprintf(
                '%s between %s and %s h: first points, then by the anchor of each rule.',
                Plain::count(count($columns), 'column'),
                Plain::number($from ?? BigDecimal::zero()),
                Plain::number($to ?? BigDecimal::zero()),
            ),
            ['common practice'],
        );
    }
}
