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
        if (! Schema::hasColumn('personal_access_tokens', 'epoch')) {
            Schema::table('personal_access_tokens', function (Blueprint $table): void {
                $table->unsignedInteger('epoch')->default(0)->comment('its owner\'s when it was made');
            });
        }
        // Those that are there were taken back whenever their owner's epoch counted on.
        DB::statement('update personal_access_tokens t join people p on p.id = t.tokenable_id set t.epoch = p.epoch');
        Schema::dropIfExists('sign_ins');
        Schema::create('sign_ins', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('device', 60)->nullable()->comment('as it calls itself');
            $table->dateTime('signed_in_at');
            $table->dateTime('last_seen_at');
        });
        Schema::dropIfExists('invitations');
        Schema::create('invitations', function (Blueprint $table): void {
            $table->foreignId('person_id')->primary()->constrained('people')->cascadeOnDelete();
            $table->char('code_hash', 64)->unique();
            $table->dateTime('ends_at');
        });
    }
};
