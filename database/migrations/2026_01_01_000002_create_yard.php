<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('yard', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->string('name', 80);
            $table->string('time_zone', 60);
            $table->string('distance_unit', 2)->default('km');
            $table->json('severity')->nullable()->comment('shares that differ from the usual, by severity and subject');
            $table->string('coldest_night', 20)->nullable()->comment('as typed');
            $table->json('grease_guns')->nullable()->comment('name and the weight of ten strokes of each');
            $table->boolean('is_demo')->default(false)->comment('an invented estate, which may be thrown away');
            $table->unsignedInteger('version')->default(1);
        });

        $this->make('shared_rulebooks', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('class', 24)->index();
            $table->json('rules')->comment('by key, as a rule\'s own columns');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });

        $this->make('machines', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 60);
            $table->string('class', 24)->index();
            $table->string('place', 60)->index();
            $table->string('maker', 60)->nullable();
            $table->string('model', 60)->nullable();
            $table->string('serial', 60)->nullable();
            $table->text('note')->nullable();
            $table->decimal('countdown_step', 6, 2)->default(1);
            $table->string('history', 8)->comment('new, known or unknown');
            $table->date('began_on')->nullable()->comment('the day a new machine began its life here');
            $table->json('severities')->nullable()->comment('what it lives under, all year or in one part of it');
            $table->date('warranty_until')->nullable();
            $table->decimal('warranty_hours', 9, 2)->nullable();
            $table->date('extended_until')->nullable();
            $table->decimal('extended_hours', 9, 2)->nullable();
            $table->text('reset_note')->nullable()->comment('how the machine\'s own reminder is reset');
            $table->foreignId('shared_rulebook_id')->nullable()->constrained();
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->unsignedBigInteger('facts_version')->default(1);
            $table->timestamps();
            $table->index(['retired', 'name']);
        });

        $this->make('machine_operator', function (Blueprint $table): void {
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->primary(['person_id', 'machine_id']);
        });

        $this->make('meters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('unit', 2);
            $table->dateTime('fitted_at');
            $table->decimal('shown_when_fitted', 12, 2)->default(0);
            $table->decimal('run_when_fitted', 12, 2)->default(0)->comment('what the machine had run by then, in the meter\'s unit');
            $table->unsignedBigInteger('fitted_by_id')->nullable()->index()->comment('the entry that records the change of meters; gone with it when struck');
            $table->boolean('struck')->default(false);
            $table->index(['machine_id', 'fitted_at']);
        });

        $this->make('rules', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('task', 80);
            $table->string('kind', 12);
            $table->json('first');
            $table->json('every');
            $table->json('book')->nullable();
            $table->string('anchor', 10);
            $table->decimal('early', 4, 3);
            $table->decimal('late', 4, 3);
            $table->string('source', 8);
            $table->boolean('common_practice')->default(false);
            $table->boolean('counts_from_beginning')->default(false)->comment('the machine\'s beginning counts as the last time it was done');
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
            $table->string('note', 500)->nullable();
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['machine_id', 'retired']);
        });

        $this->make('yard_lines', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('facts_version');
            $table->date('reckoned_on');
            $table->string('state', 12);
            $table->unsignedTinyInteger('urgency');
            $table->integer('days_left');
            $table->json('line');
            $table->char('season', 12)->default('')->comment('hash of the class\'s season that it was reckoned with');
            $table->index(['urgency', 'days_left', 'machine_id']);
            $table->index('reckoned_on');
        });
    }
};
