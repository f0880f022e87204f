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
            $table->string('hottest_day', 20)->nullable()->comment('as typed');
            $table->string('fluid_school', 20)->default('makers_in_warranty');
            $table->json('grease_guns')->nullable()->comment('name and the weight of ten strokes of each');
            $table->json('wrenches')->nullable()->comment('name and range of each torque wrench, as typed');
            $table->json('pans')->nullable()->comment('what catch pans hold, as typed');
            $table->string('currency', 4)->default('');
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
            $table->json('schools')->nullable()->comment('where keepers differ: the way of each school that is not the usual one');
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
            $table->decimal('run_when_fitted', 12, 2)
                ->default(0)
                ->comment('what the machine had run by then, in the meter\'s unit');
            $table->unsignedBigInteger('fitted_by_id')
                ->nullable()
                ->index()
                ->comment('the entry that records the change of meters; gone with it when struck');
            $table->boolean('struck')->default(false);
            $table->index(['machine_id', 'fitted_at']);
        });

        $this->make('spots', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('key', 40)->comment('stable within the machine');
            $table->string('kind', 12);
            $table->string('subject', 16)->comment('what dust, heat, water and load do to it');
            $table->string('name', 80);
            $table->string('place', 160)->default('');
            $table->string('reach', 200)->default('');
            $table->string('trick', 300)->default('');
            $table->foreignId('parent_id')
                ->nullable()
                ->comment('the compartment that it belongs to')->constrained('spots');
            $table->string('compartment', 20)->nullable()->comment('of a compartment: what kind of housing');
            $table->string('role', 12)->nullable()->comment('of an opening: what is done through it');
            $table->foreignId('shares_with_id')
                ->nullable()
                ->comment('of a compartment: the one that holds the fluid of both')->constrained('spots');
            $table->unsignedTinyInteger('x')->default(50);
            $table->unsignedTinyInteger('y')->default(50);
            $table->double('position')->comment('in walking order');
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->unique(['machine_id', 'key']);
        });

        $this->make('grease_points', function (Blueprint $table): void {
            $table->foreignId('spot_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('grease', 80);
            $table->unsignedSmallInteger('strokes');
            $table->unsignedSmallInteger('most')->nullable();
            $table->string('end_sign', 12);
        });

        $this->make('sheets', function (Blueprint $table): void {
            $table->foreignId('spot_id')->primary()->constrained()->cascadeOnDelete();
            $table->json('written')->comment('what the keeper wrote down, by the kind of spot, as typed');
        });

        $this->make('supplies', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80)->unique();
            $table->string('kind', 8)->comment('fluid or part');
            $table->json('label')->nullable()->comment('of a fluid: what stands on the bottle');
            $table->string('number', 80)->nullable()->comment('of a part: the number to ask for');
            $table->string('bare_number', 80)->nullable()->unique()->comment('however its groups are set apart');
            $table->string('code', 12)->unique()->comment('what its label on the shelf carries');
            $table->string('place', 80)->default('')->comment('where it stands');
            $table->json('sold_in')->comment('sizes and prices, as typed');
            $table->unsignedSmallInteger('delivery_days')->nullable();
            $table->unsignedSmallInteger('keeps_months')->nullable()->comment('once opened');
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
        });

        $this->make('containers', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('supply_id')->constrained('supplies');
            $table->unsignedBigInteger('entry_id')->index()->comment('the entry that it came with; gone with it when struck');
            $table->string('size', 40)->comment('as typed');
            $table->decimal('litres', 14, 6);
            $table->date('use_by')->nullable()->comment('as printed on it');
        });

        $this->make('changed_checks', function (Blueprint $table): void {
            $table->id();
            $table->string('class', 24)->nullable();
            $table->foreignId('machine_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('key', 40);
            $table->json('values');
            $table->boolean('dropped')->default(false);
            $table->double('position')->nullable();
            $table->unique(['machine_id', 'key']);
            $table->index(['class', 'key']);
        });
    }
};
