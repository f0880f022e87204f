<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('entries', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->dateTime('happened_at');
            $table->boolean('day_only')->default(false);
            $table->dateTime('written_at');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->string('note', 1200)->nullable();
            $table->foreignId('meter_id')->nullable()->constrained();
            $table->decimal('value', 12, 2)->nullable();
            $table->string('typed', 60)->nullable()->comment('the value as the person wrote it');
            $table->string('confirmed_because', 500)->nullable();
            $table->unsignedBigInteger('part_of_id')->nullable()->index();
            $table->unsignedBigInteger('corrects_id')->nullable();
            $table->dateTime('struck_at')->nullable();
            $table->foreignId('struck_by_id')->nullable()->constrained('people');
            $table->string('struck_because', 500)->nullable();
            $table->json('detail')->nullable()->comment('what else this kind of entry says');
            $table->index(['happened_at', 'id']);
            $table->index(['kind', 'happened_at', 'id']);
            $table->index(['machine_id', 'happened_at', 'id']);
            $table->index(['machine_id', 'kind', 'happened_at']);
            $table->index(['meter_id', 'happened_at', 'value']);
        });

        $this->make('entry_tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('rule_id')->nullable()->constrained();
            $table->string('task', 80);
            $table->string('kind', 12);
            $table->index(['rule_id', 'entry_id']);
        });
    }
};
