<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('queued_work', function (Blueprint $table): void {
            $table->id();
            $table->string('queue', 40)->index();
            $table->longText('payload');
            $table->unsignedTinyInteger('attempts');
            $table->unsignedInteger('reserved_at')->nullable();
            $table->unsignedInteger('available_at');
            $table->unsignedInteger('created_at');
        });

        $this->make('night_works', function (Blueprint $table): void {
            $table->id();
            $table->string('work', 20);
            $table->dateTime('began_at');
            $table->dateTime('ended_at')->nullable();
            $table->boolean('succeeded')->nullable()->comment('null while it goes on, or where it was cut off');
            $table->string('says', 400)->nullable();
            $table->index(['work', 'id']);
        });
    }
};
