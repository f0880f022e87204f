<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Record;
use Core\Inspect\Check;
use Core\Inspect\CheckChange;
use Core\Inspect\Degree;
use Core\Inspect\Measurement;
use Core\Inspect\RoundKind;
use Core\Machine\Verdict;
use Core\Schedule\YearWindow;

/**
 * What a keeper changed about one check, for a class of machine or for one machine.
 *
 * @phpstan-import-type CheckValues from Check
 *
 * @property int $id
 * @property string|null $class
 * @property int|null $machine_id
 * @property string $key
 * @property array<string, mixed> $values as the contract's `CheckValues`
 * @property bool $dropped
 * @property float|null $position
 */
final class ChangedCheck extends Record
{
    protected function casts(): array
    {
        return ['values' => 'array', 'dropped' => 'boolean', 'position' => 'float'];
    }

    public function toCore(): CheckChange
    {
        return new CheckChange($this->key, self::read($this->values), $this->dropped, $this->position);
    }

    /**
     * @param  array<string, mixed>  $written  as the contract's `CheckValues`
     * @return CheckValues
     */
    private static function read(array $written): array
    {
        $values = array_intersect_key(
            $written,
            array_flip(['spot', 'title', 'place', 'how', 'fine', 'caution', 'limits', 'after']),
        );
        if (isset($written['rounds'])) {
            $values['rounds'] = array_map(RoundKind::from(...), $written['rounds']);
        }
        if (isset($written['degrees'])) {
            $values['degrees'] = array_map(
                fn (array $degree): Degree => new Degree($degree['words'], Verdict::from($degree['verdict'])),
                $written['degrees'],
            );
        }
        if (array_key_exists('measurement', $written)) {
            $values['measurement'] = $written['measurement'] === null
                ? null
                : Measurement::from($written['measurement']);
        }
        if (array_key_exists('window', $written)) {
            $window = $written['window'];
            $values['window'] = $window === null ? null : YearWindow::between($window['from'], $window['to']);
        }

        /** @var CheckValues $values */
        return $values;
    }
}
