<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('shared_rulebooks', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('class', 24)->index();
            $table->json('rules')->comment('by key, as a rule\'s own columns');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });

        Schema::table('yard', function (Blueprint $table): void {
            $table->json('severity')->nullable()->comment('shares that differ from the usual, by severity and subject');
        });

        Schema::table('machines', function (Blueprint $table): void {
            $table->json('severities')->nullable()->comment('what it lives under, all year or in one part of it');
            $table->date('warranty_until')->nullable();
            $table->decimal('warranty_hours', 9, 2)->nullable();
            $table->date('extended_until')->nullable();
            $table->decimal('extended_hours', 9, 2)->nullable();
            $table->text('reset_note')->nullable()->comment('how the machine\'s own reminder is reset');
            $table->foreignId('shared_rulebook_id')->nullable()->constrained();
        });

        Schema::table('rules', function (Blueprint $table): void {
            $table->json('windows')->nullable()->comment('parts of the year in which it comes');
            $table->string('condition', 200)->nullable()->comment('what a check must say');
            $table->foreignId('contained_in_id')->nullable()->constrained('rules')->comment('the bigger task that counts as this one');
            $table->foreignId('goes_with_id')->nullable()->constrained('rules')->comment('the task in whose course it is done');
            $table->boolean('keeps_fluid')->default(false)->comment('the filter alone: the fluid stays in');
            $table->string('top_up', 40)->nullable()->comment('what runs out with it and is poured back, as typed');
            $table->string('subject', 16)->nullable()->comment('what it is about, where the words do not tell');
            $table->boolean('dealer_only')->default(false)->comment('the dealer\'s, while the extended warranty runs');
            $table->string('loosened_because', 500)->nullable()->comment('why it is looser than the book under warranty');
            $table->string('shared_key', 40)->nullable()->comment('the rule of the shared rulebook that it follows');
        });

        Schema::table('entries', function (Blueprint $table): void {
            $table->json('detail')->nullable()->comment('what else this kind of entry says');
        });

        Schema::create('weekly_readings', function (Blueprint $table): void {
            $table->foreignId('meter_id')->primary()->constrained()->cascadeOnDelete();
            $table->json('weekly')->comment('the last reading of each week: day since 1970, value shown');
        });

        Schema::create('class_seasons', function (Blueprint $table): void {
            $table->string('class', 24)->primary();
            $table->char('month', 7)->comment('the month in which it holds');
            $table->char('hash', 12);
            $table->json('weights');
        });

        Schema::table('yard_lines', function (Blueprint $table): void {
            $table->char('season', 12)->default('')->comment('hash of the class\'s season that it was reckoned with');
        });

        Schema::create('calendar_feeds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->boolean('whole_yard');
            $table->unsignedTinyInteger('remind_days')->default(2);
            $table->text('token')->comment('encrypted');
            $table->char('token_hash', 64)->unique();
            $table->timestamps();
        });

        Schema::create('calendar_events', function (Blueprint $table): void {
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
