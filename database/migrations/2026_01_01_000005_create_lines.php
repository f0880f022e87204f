<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
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
            $table->index(['reckoned_on', 'season']);
        });

        $this->make('machine_dues', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained()->cascadeOnDelete();
            $table->json('dues')->comment('each rule with its state, when it was done last, and the days on which it will fall due');
        });

        $this->make('walk_lines', function (Blueprint $table): void {
            $table->foreignId('machine_id')->primary()->constrained()->cascadeOnDelete();
            $table->dateTime('looked_at')->nullable()->index();
            $table->unsignedSmallInteger('open_findings')->default(0)->index();
            $table->json('line');
            $table->boolean('holds')->default(true)->index()->comment('nothing has changed since');
        });
    }
};
