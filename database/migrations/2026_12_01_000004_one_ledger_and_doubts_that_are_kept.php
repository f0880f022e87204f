<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * What was poured, drained, fitted, bought and counted lies in one ledger; what there is to ask of an entry stays with
 * it. Each step can be run again after it was interrupted.
 */
return new class extends Migration
{
    public function up(): void
    {
        $this->widenMoves();
        $this->moveStock();
        $this->keepDoubts();
        $this->tellHowLooked();
        $this->tellStrokes();
    }

    private function widenMoves(): void
    {
        foreach (['from_id' => 'from_spot_id', 'to_id' => 'to_spot_id', 'litres' => 'amount'] as $before => $now) {
            if (Schema::hasColumn('moves', $before)) {
                Schema::table('moves', fn (Blueprint $table) => $table->renameColumn($before, $now));
            }
        }
        if (! Schema::hasColumn('moves', 'happened_at')) {
            Schema::table('moves', function (Blueprint $table): void {
                $table->string('kind', 8)->default('')->comment('what became of it: came, poured, drained, fitted, or counted');
                $table->foreignId('from_container_id')->nullable()->constrained('containers');
                $table->foreignId('to_container_id')->nullable()->constrained('containers');
                $table->dateTime('happened_at')->nullable();
                $table->index(['supply_id', 'happened_at', 'id']);
            });
        }
        Schema::table('moves', function (Blueprint $table): void {
            $table->decimal('amount', 14, 6)->nullable()->comment('litres of a fluid, pieces of a part; null where nobody measured it')->change();
        });
    }

    private function moveStock(): void
    {
        if (! Schema::hasTable('stock_moves')) {
            return;
        }
        DB::transaction(function (): void {
            DB::statement('update moves join entries on entries.id = moves.entry_id left join acts on acts.id = moves.act_id'
                ." set moves.kind = if(moves.from_spot_id is null, 'poured', 'drained'), moves.happened_at = coalesce(acts.happened_at, entries.happened_at)"
                ." where moves.kind = ''");
            // Of what was drawn out of several containers, the first stays with the pour itself.
            DB::statement('create temporary table drawn as select min(stock.id) as id, stock.act_id, moves.id as move_id from stock_moves as stock'
                ." join moves on moves.act_id = stock.act_id and moves.supply_id = stock.supply_id and moves.kind = 'poured'"
                ." where stock.kind = 'out' group by stock.act_id, moves.id");
            DB::statement('update moves join drawn on drawn.move_id = moves.id join stock_moves as stock on stock.id = drawn.id'
                .' set moves.from_container_id = stock.container_id, moves.amount = stock.amount');
            DB::statement('insert into moves (entry_id, act_id, kind, from_container_id, to_container_id, to_spot_id, supply_id, fluid, amount, typed, happened_at)'
                .' select stock.entry_id, stock.act_id,'
                ." case when stock.kind = 'in' then 'came' when stock.kind = 'counted' then 'counted' when drawn.act_id is null then 'fitted' else 'poured' end,"
                ." if(stock.kind = 'out', stock.container_id, null), if(stock.kind = 'out', null, stock.container_id), acts.spot_id, stock.supply_id,"
                .' if(drawn.act_id is null, null, supplies.name), stock.amount, stock.typed, stock.happened_at'
                .' from stock_moves as stock join supplies on supplies.id = stock.supply_id left join acts on acts.id = stock.act_id'
                .' left join drawn on drawn.act_id = stock.act_id where stock.id not in (select id from drawn) order by stock.id');
            DB::statement('drop temporary table drawn');
            DB::table('stock_moves')->delete();
        });
        Schema::drop('stock_moves');
        Schema::table('moves', function (Blueprint $table): void {
            $table->dateTime('happened_at')->nullable(false)->change();
        });
    }

    private function keepDoubts(): void
    {
        Schema::dropIfExists('doubts');
        Schema::create('doubts', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('act_id')->nullable()->comment('what of it is asked about')->constrained()->cascadeOnDelete();
            $table->string('asks', 500);
            $table->foreignId('answer_id')->nullable()->comment('the entry that says what is right')->constrained('entries')->cascadeOnDelete();
        });
    }

    private function tellHowLooked(): void
    {
        if (! Schema::hasColumn('acts', 'looked_by')) {
            Schema::table('acts', fn (Blueprint $table) => $table->string('looked_by', 8)->default('check')->comment('the check of the sheet, chance, or greasing'));
        }
        DB::statement("update acts set looked_by = 'greasing' where check_key like 'nipple-%'");
        DB::statement("update acts set looked_by = 'chance' where check_key regexp '^own-((look|fluid)-)?[0-9a-f]{24,32}$'");
        if (! Schema::hasColumn('fittings', 'wrench')) {
            Schema::table('fittings', fn (Blueprint $table) => $table->string('wrench', 60)->nullable()->comment('what it was tightened with'));
        }
    }

    private function tellStrokes(): void
    {
        if (! Schema::hasColumn('grease_points', 'about')) {
            Schema::table('grease_points', fn (Blueprint $table) => $table->boolean('about')->default(false)->comment('nobody has counted its strokes yet'));
        }
        // What nobody ever changed is as the starter had it.
        DB::statement('update grease_points join spots on spots.id = grease_points.spot_id set about = spots.version = 1');
    }
};
