<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('rounds', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->date('day');
            $table->dateTime('started_at');
            $table->dateTime('ended_at')->nullable();
            $table->unique(['machine_id', 'day', 'kind']);
            $table->index('day');
        });

        $this->make('entries', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('machine_id')->nullable()->constrained()->cascadeOnDelete();
            $table->string('kind', 16);
            $table->dateTime('happened_at');
            $table->boolean('day_only')->default(false);
            $table->dateTime('written_at');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->string('note', 1200)->nullable();
            $table->foreignId('round_id')->nullable()->constrained();
            $table->char('job_id', 36)->nullable()->index();
            $table->string('confirmed_because', 500)->nullable();
            $table->unsignedBigInteger('corrects_id')->nullable();
            $table->json('detail')->nullable()->comment('what else this kind of entry says');
            $table->dateTime('struck_at')->nullable();
            $table->foreignId('struck_by_id')->nullable()->constrained('people');
            $table->string('struck_because', 500)->nullable();
            $table->index(['happened_at', 'id']);
            $table->index(['kind', 'happened_at', 'id']);
            $table->index(['machine_id', 'happened_at', 'id']);
            $table->index(['machine_id', 'kind', 'happened_at']);
        });

        $this->make('readings', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('meter_id')->constrained();
            $table->decimal('value', 12, 2);
            $table->string('typed', 60)->comment('the value as the person wrote it');
            $table->dateTime('happened_at');
            $table->boolean('day_only')->default(false);
            $table->boolean('struck')->default(false);
            $table->index(['meter_id', 'happened_at', 'value']);
        });

        $this->make('acts', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->foreignId('spot_id')->constrained();
            $table->string('kind', 12);
            $table->string('check_key', 40)->default('')->comment('the check, or a finding of its own');
            $table->string('outcome', 12);
            $table->boolean('meets')->comment('it stands, was done, usable and enough');
            $table->string('verdict', 12)->nullable();
            $table->unsignedBigInteger('task_id')->nullable()->comment('the task that was ticked');
            $table->string('title', 80)->comment('what it was called then');
            $table->string('words', 500)->nullable();
            $table->string('advice', 500)->nullable();
            $table->string('limit_source', 16)->nullable();
            $table->json('typed')->nullable()->comment('what was entered');
            $table->unsignedSmallInteger('strokes')->nullable();
            $table->boolean('sign_seen')->default(false)->comment('the grease showed, or resisted');
            $table->string('note', 1200)->nullable();
            $table->dateTime('happened_at')->comment('of one known by its day: that day\'s end');
            $table->foreignId('person_id')->nullable()->constrained('people');
            $table->string('device', 60)->nullable();
            $table->decimal('hours', 12, 2)->nullable()->comment('run by then');
            $table->decimal('km', 12, 2)->nullable();
            $table->char('replaces', 36)->nullable()->index();
            $table->char('told_with', 36)
                ->nullable()
                ->index()
                ->comment('the act that it was told with, and is taken back with');
            $table->dateTime('struck_at')->nullable();
            $table->index(['spot_id', 'kind', 'check_key', 'meets', 'happened_at', 'hours', 'km'], 'acts_newest');
            $table->index(['machine_id', 'happened_at']);
            $table->index(['machine_id', 'verdict']);
            $table->index(['machine_id', 'check_key', 'happened_at']);
        });

        $this->make('measures', function (Blueprint $table): void {
            $table->foreignId('act_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('value', 24);
            $table->string('unit', 12);
            $table->string('limit', 24);
            $table->string('resolution', 24);
            $table->boolean('falls');
        });

        $this->make('moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('act_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('from_id')
                ->nullable()
                ->comment('the compartment that it ran out of')->constrained('spots');
            $table->foreignId('to_id')
                ->nullable()
                ->comment('the compartment that it was poured into')->constrained('spots');
            $table->decimal('litres', 14, 6)->nullable()->comment('null where nobody measured it');
            $table->string('typed', 40)->nullable();
            $table->foreignId('supply_id')->nullable()->constrained('supplies');
            $table->string('fluid', 80)->nullable()->comment('what it was called then');
        });

        $this->make('stock_moves', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('act_id')->nullable()->comment('what it was used for')->constrained()->cascadeOnDelete();
            $table->foreignId('supply_id')->constrained('supplies');
            $table->foreignId('container_id')
                ->nullable()
                ->comment('of a fluid: null where it came from none that is known')->constrained();
            $table->string('kind', 8)->comment('in, out, or counted: what was there then');
            $table->decimal('amount', 14, 6)->comment('litres of a fluid, pieces of a part');
            $table->string('typed', 40)->nullable();
            $table->dateTime('happened_at');
            $table->index(['supply_id', 'container_id', 'happened_at', 'id']);
        });

        $this->make('gathering_lists', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->date('for_day')->nullable();
            $table->string('preference', 12);
            $table->json('works')->comment('rules, and spots with something found, each with when it was done last');
            $table->foreignId('person_id')->constrained('people');
            $table->dateTime('made_at');
            $table->dateTime('closed_at')->nullable();
            $table->unsignedInteger('version')->default(1);
        });

        $this->make('wanted_things', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('gathering_list_id')->constrained()->cascadeOnDelete();
            $table->string('name', 80);
            $table->unsignedSmallInteger('count');
        });

        $this->make('gathered', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->foreignId('gathering_list_id')->constrained()->cascadeOnDelete();
            $table->string('item', 160)->comment('the line of the list');
            $table->boolean('got');
            $table->dateTime('happened_at');
            $table->index(['gathering_list_id', 'item', 'happened_at', 'id']);
        });

        $this->make('counter_links', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('gathering_list_id')->constrained()->cascadeOnDelete();
            $table->foreignId('person_id')->constrained('people');
            $table->text('token')->comment('encrypted');
            $table->char('token_hash', 64)->unique();
            $table->dateTime('expires_at');
            $table->timestamps();
        });

        $this->make('fittings', function (Blueprint $table): void {
            $table->foreignId('act_id')->primary()->constrained()->cascadeOnDelete();
            $table->string('number', 80)->nullable()->comment('the part that was fitted');
            $table->string('found', 200)->nullable()->comment('how the old one looked');
            $table->string('seal', 80)->nullable();
            $table->boolean('reused')->default(false)->comment('the old seal was used again');
            $table->string('torque', 40)->nullable()->comment('as typed');
            $table->boolean('by_feel')->default(false);
        });

        $this->make('decisions', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('entry_id')->constrained()->cascadeOnDelete();
            $table->unsignedBigInteger('task_id');
            $table->string('task', 80)->comment('what it was called then');
            $table->string('kind', 8);
            $table->decimal('hours', 12, 2)->nullable();
            $table->decimal('km', 12, 2)->nullable();
            $table->date('date')->nullable();
            $table->index(['task_id', 'entry_id']);
        });

        $this->make('photos', function (Blueprint $table): void {
            $table->id();
            $table->char('uuid', 36)->unique();
            $table->foreignId('machine_id')->constrained()->cascadeOnDelete();
            $table->char('act', 36)->index()->comment('what was said, which may arrive after it');
            $table->foreignId('person_id')->constrained('people');
            $table->unsignedSmallInteger('width');
            $table->unsignedSmallInteger('height');
            $table->unsignedInteger('bytes');
            $table->dateTime('created_at');
        });

        $this->make('sent_notes', function (Blueprint $table): void {
            $table->char('uuid', 36)->primary();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->char('fingerprint', 64);
            $table->json('result');
            $table->dateTime('created_at')->index();
        });
    }
};
