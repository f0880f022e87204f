<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('tasks', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->string('kind', 12);
            $table->string('check_key', 40)
                ->nullable()
                ->comment('the check by which it is done, where only that one will do');
        });

        $this->make('task_spots', function (Blueprint $table): void {
            $table->foreignId('task_id')->constrained()->cascadeOnDelete();
            $table->foreignId('spot_id')->constrained();
            $table->unsignedSmallInteger('position');
            $table->primary(['task_id', 'spot_id']);
            $table->index('spot_id');
        });

        $this->make('rules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('task_id')->unique()->constrained();
            $table->json('first');
            $table->json('every');
            $table->json('book')->nullable();
            $table->string('anchor', 10);
            $table->decimal('early', 4, 3);
            $table->decimal('late', 4, 3);
            $table->string('source', 8);
            $table->boolean('common_practice')->default(false);
            $table->boolean('counts_from_beginning')
                ->default(false)
                ->comment('the machine\'s beginning counts as the last time it was done');
            $table->json('windows')->nullable()->comment('parts of the year in which it comes');
            $table->string('condition', 200)->nullable()->comment('what a check must say');
            $table->foreignId('goes_with_id')
                ->nullable()
                ->comment('the task in whose course it is done')->constrained('rules');
            $table->string('top_up', 40)->nullable()->comment('what runs out with it and is poured back, as typed');
            $table->boolean('dealer_only')->default(false)->comment('the dealer\'s, while the extended warranty runs');
            $table->string('loosened_because', 500)
                ->nullable()
                ->comment('why it is looser than the book under warranty');
            $table->string('shared_key', 40)->nullable()->comment('the rule of the shared rulebook that it follows');
            $table->string('note', 500)->nullable();
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['machine_id', 'retired']);
        });

        $this->make('weekly_readings', function (Blueprint $table): void {
            $table->foreignId('meter_id')->primary()->constrained()->cascadeOnDelete();
            $table->json('weekly')->comment('the last reading of each week: day since 1970, value shown');
        });

        $this->make('class_seasons', function (Blueprint $table): void {
            $table->string('class', 24)->primary();
            $table->char('month', 7)->comment('the month in which it holds');
            $table->char('hash', 12);
            $table->json('weights');
        });

        $this->make('calendar_feeds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->boolean('whole_yard');
            $table->unsignedTinyInteger('remind_days')->default(2);
            $table->text('token')->comment('encrypted');
            $table->char('token_hash', 64)->unique();
            $table->timestamps();
        });

        $this->make('calendar_events', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('rule_id')->constrained()->cascadeOnDelete();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->char('cycle', 16)->comment(
                'hash of when it was last done: the same point keeps its identity however its day moves',
            );
            $table->date('day');
            $table->string('summary', 160);
            $table->text('description');
            $table->unsignedInteger('sequence')->default(0);
            $table->dateTime('changed_at');
            $table->dateTime('cancelled_at')->nullable();
            $table->unique(['rule_id', 'cycle']);
        });
    }
};
