<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

/** How many rows each table of a database holds, and a hash of them that does not depend on their order. */
final class TableHashes
{
    /** @return array<string, array{rows: int, hash: string}> by table */
    public static function of(\PDO $database, string $name): array
    {
        $columns = $database->prepare(
            'select t.table_name, c.column_name from information_schema.tables t join information_schema.columns c using (table_schema, table_name)'
            ." where t.table_schema = ? and t.table_type = 'BASE TABLE' order by t.table_name, c.ordinal_position",
        );
        $columns->execute([$name]);
        $tables = [];
        foreach ($columns->fetchAll(\PDO::FETCH_NUM) as [$table, $column]) {
            $tables[$table][] = "quote(`{$column}`)";
        }
        $hashes = [];
        foreach ($tables as $table => $quoted) {
            $row = implode(', ', $quoted);
            $counted = $database->query(
                "select count(*), lower(hex(coalesce(bit_xor(cast(conv(left(md5(concat_ws(',', {$row})), 16), 16, 10) as unsigned)), 0))) from `{$name}`.`{$table}`",
            );
            [$rows, $hash] = ($counted === false ? false : $counted->fetch(\PDO::FETCH_NUM)) ?: [0, ''];
            $hashes[$table] = ['rows' => (int) $rows, 'hash' => (string) $hash];
        }

        return $hashes;
    }
}
