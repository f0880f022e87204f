<?php

declare(strict_types=1);

namespace App\Walkaround;

use Core\Inspect\Check;
use Core\Inspect\QuickLimit;

/** A limit for where there is no signal, as the contract's `QuickLimit`. */
final class QuickLimitShape
{
    /** @return array<string, mixed>|null */
    public static function of(Check $check): ?array
    {
        $limit = $check->quickLimit();

        return $limit === null ? null : [
            'fields' => array_map(
                fn (string $name, int $sign): array => ['name' => $name, 'sign' => $sign],
                array_keys($limit->fields),
                array_values($limit->fields),
            ),
            'unit' => $limit->unit->symbol(),
            'per_unit' => QuickLimit::PER_UNIT,
            'bands' => array_map(
                fn (array $band): array => ['below' => $band[0], 'verdict' => $band[1]->value, 'words' => $band[2]],
                $limit->bands,
            ),
            'unless' => $limit->unless,
        ];
    }
}
