<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
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
            $table->char('cycle', 16)->comment('hash of when it was last done: the same point keeps its identity however its day moves');
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
