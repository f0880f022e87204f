<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('jobs', function (Blueprint $table): void {
            $table->char('id', 36)->primary();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('name', 160);
            $table->json('wanted')->comment('the rules, findings and spots that it was made of');
            $table->boolean('raised')->comment('whether the machine stands off the ground for it');
            $table->json('plan')->comment('the steps, with their tables made ready');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->dateTime('made_at');
            $table->unsignedInteger('version')->default(1);
            $table->index(['machine_id', 'made_at']);
        });

        $this->make('job_steps', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->char('job_id', 36);
            $table->foreign('job_id')->references('id')->on('jobs')->cascadeOnDelete();
            $table->string('step', 160);
            $table->string('did', 12);
            $table->json('said')->nullable()->comment('what was entered at it');
            $table->dateTime('happened_at');
            $table->dateTime('written_at');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->index(['job_id', 'happened_at', 'id']);
        });
    }
};
