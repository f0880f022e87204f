<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        if (! Schema::hasColumn('yard', 'uuid')) {
            Schema::table('yard', function (Blueprint $table): void {
                $table->char('uuid', 36)->default(DB::raw('(uuid())'))->comment('the same in every copy of it');
            });
        }
    }
};
