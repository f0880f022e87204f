<?php

declare(strict_types=1);

namespace Database;

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\Schema;

/**
 * A migration that makes tables, and can be run again after it was interrupted: MariaDB keeps what was made before the
 * interruption, and until a migration
 * has run to its end nobody has written anything into its tables.
 */
abstract class TablesMadeWhole extends Migration
{
    /** @param  \Closure(\Illuminate\Database\Schema\Blueprint): void  $columns */
    protected function make(string $table, \Closure $columns): void
    {
        Schema::withoutForeignKeyConstraints(fn () => Schema::dropIfExists($table));
        Schema::create($table, $columns);
    }
}
