<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
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

        $this->make('rounds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->date('day');
            $table->dateTime('started_at');
            $table->dateTime('ended_at')->nullable();
            $table->index(['machine_id', 'day', 'kind']);
            $table->index('day');
        });

        $this->make('observations', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('round_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('subject', 40)->comment('the key of the check, or of a finding of its own');
            $table->string('title', 80);
            $table->string('said', 12);
            $table->string('verdict', 12)->nullable();
            $table->string('words', 500)->nullable();
            $table->string('advice', 500)->nullable();
            $table->string('limit_source', 16)->nullable();
            $table->json('values')->nullable()->comment('as typed');
            $table->json('worn')->nullable()->comment('value, unit, limit, resolution, falls');
            $table->string('note', 1200)->nullable();
            $table->dateTime('happened_at');
            $table->foreignId('person_id')->constrained('people');
            $table->char('replaces', 36)->nullable()->index();
            $table->dateTime('struck_at')->nullable();
            $table->index(['machine_id', 'subject', 'happened_at']);
            $table->index(['machine_id', 'verdict']);
            $table->index(['round_id', 'subject']);
        });

        $this->make('photos', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->char('observation', 36)->index();
            $table->foreignId('person_id')->constrained('people');
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->unsignedInteger('bytes');
            $table->dateTime('created_at');
        });

        $this->make('grease_points', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->double('position');
            $table->string('name', 80);
            $table->string('place', 120);
            $table->string('reach', 200)->default('');
            $table->string('grease', 80);
            $table->unsignedSmallInteger('strokes');
            $table->unsignedSmallInteger('most')->nullable();
            $table->json('every');
            $table->string('end_sign', 12);
            $table->string('job', 80)->nullable()->comment('the job in whose course it is reached');
            $table->unsignedTinyInteger('x');
            $table->unsignedTinyInteger('y');
            $table->boolean('retired')->default(false);
            $table->unsignedInteger('version')->default(1);
            $table->index(['machine_id', 'retired', 'position']);
        });

        $this->make('grease_ticks', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('grease_point_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('strokes');
            $table->string('note', 1200)->nullable();
            $table->dateTime('happened_at');
            $table->foreignId('person_id')->constrained('people');
            $table->char('replaces', 36)->nullable()->index();
            $table->dateTime('struck_at')->nullable();
            $table->index(['grease_point_id', 'happened_at']);
        });

        $this->make('sent_notes', function (Blueprint $table): void {
            $table->char('uuid', 36)->primary();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->char('fingerprint', 64);
            $table->json('result');
            $table->dateTime('created_at')->index();
        });

        $this->make('walk_lines', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained()->cascadeOnDelete();
            $table->dateTime('looked_at')->nullable()->index();
            $table->unsignedSmallInteger('open_findings')->default(0)->index();
            $table->json('line');
        });
    }
};
