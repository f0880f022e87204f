<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Database\Eloquent\Model;

/** A row of a table: it says itself when what it tells of was, and its table's name is made out once. */
abstract class Record extends Model
{
    public $timestamps = false;

    /** @var array<class-string, string> */
    private static array $tables = [];

    public function getTable(): string
    {
        return $this->table ??= self::$tables[static::class] ??= parent::getTable();
    }
}
