<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('yard', function (Blueprint $table): void {
            $table->unsignedTinyInteger('id')->primary();
            $table->string('name', 80);
            $table->string('time_zone', 60);
            $table->string('distance_unit', 2)->default('km');
            $table->unsignedInteger('version')->default(1);
        });

        Schema::create('machines', function (Blueprint $table): void {
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
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->unsignedBigInteger('facts_version')->default(1);
            $table->timestamps();
            $table->index(['retired', 'name']);
        });

        Schema::create('machine_operator', function (Blueprint $table): void {
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->primary(['person_id', 'machine_id']);
        });

        Schema::create('meters', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('unit', 2);
            $table->dateTime('fitted_at');
            $table->decimal('shown_when_fitted', 12, 2)->default(0);
            $table->decimal('run_when_fitted', 12, 2)->default(0)->comment('what the machine had run by then, in the meter\'s unit');
            $table->index(['machine_id', 'fitted_at']);
        });

        Schema::create('rules', function (Blueprint $table): void {
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
            $table->string('note', 500)->nullable();
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
            $table->index(['machine_id', 'retired']);
        });

        Schema::create('yard_lines', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('facts_version');
            $table->date('reckoned_on');
            $table->string('state', 12);
            $table->unsignedTinyInteger('urgency');
            $table->integer('days_left');
            $table->json('line');
            $table->index(['urgency', 'days_left', 'machine_id']);
            $table->index('reckoned_on');
        });
    }
};
