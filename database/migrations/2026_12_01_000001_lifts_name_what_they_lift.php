<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** A lift used to end whatever stood a machine down before it. Those that are written say now what that was. */
return new class extends Migration
{
    public function up(): void
    {
        // A stand-down goes by the act that it comes from.
        DB::statement("update entries set uuid = json_value(detail, '$.act') where kind = 'stood_down' and json_value(detail, '$.act') is not null");
        $said = DB::table('entries')->whereIn('kind', ['stood_down', 'lifted'])->whereNull('struck_at')
            ->orderBy('machine_id')->orderBy('happened_at')->orderBy('id')->get(['id', 'uuid', 'machine_id', 'kind', 'detail']);
        foreach ($said->groupBy('machine_id') as $ofMachine) {
            $standing = [];
            foreach ($ofMachine as $entry) {
                if ($entry->kind === 'stood_down') {
                    $standing[] = $entry->uuid;

                    continue;
                }
                $detail = [...(array) json_decode($entry->detail ?? '{}', true), 'lifts' => $standing];
                DB::table('entries')->where('id', $entry->id)->update(['detail' => json_encode($detail, JSON_THROW_ON_ERROR)]);
                $standing = [];
            }
        }
    }
};
