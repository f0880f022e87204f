<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->dateTime('happened_at');
            $table->boolean('day_only')->default(false);
            $table->dateTime('written_at');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->string('note', 1000)->nullable();
            $table->foreignId('meter_id')->nullable()->constrained();
            $table->decimal('value', 12, 2)->nullable();
            $table->string('typed', 60)->nullable()->comment('the value as the person wrote it');
            $table->string('confirmed_because', 500)->nullable();
            $table->unsignedBigInteger('part_of_id')->nullable()->index();
            $table->unsignedBigInteger('corrects_id')->nullable();
            $table->dateTime('struck_at')->nullable();
            $table->foreignId('struck_by_id')->nullable()->constrained('people');
            $table->string('struck_because', 500)->nullable();
            $table->index(['machine_id', 'happened_at', 'id']);
            $table->index(['machine_id', 'kind', 'happened_at']);
            $table->index(['meter_id', 'happened_at', 'value']);
        });

        Schema::table('meters', function (Blueprint $table): void {
            $table->foreignId('fitted_by_id')->nullable()->constrained('entries')->comment('the entry that records the change of meters; gone with it when struck');
            $table->boolean('struck')->default(false);
        });

        Schema::create('entry_tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('rule_id')->nullable()->constrained();
            $table->string('task', 80);
            $table->string('kind', 12);
            $table->index(['rule_id', 'entry_id']);
        });
    }
};
