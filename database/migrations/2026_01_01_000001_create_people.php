<?php

declare(strict_types=1);

use Database\TablesMadeWhole;
use Illuminate\Database\Schema\Blueprint;

return new class extends TablesMadeWhole
{
    public function up(): void
    {
        $this->make('people', function (Blueprint $table): void {
            $table->id();
            $table->string('name', 80);
            $table->string('sign_in_name', 40)->unique();
            $table->string('password');
            $table->string('role', 12);
            $table->boolean('may_use_all_machines')->default(true);
            $table->boolean('active')->default(true);
            $table->unsignedInteger('epoch')
                ->default(1)
                ->comment('counts on whenever all that let the person in ends at once');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });

        $this->make('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->string('name', 80);
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable();
            $table->timestamps();
        });

        $this->make('idempotency_keys', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('person_id')->constrained('people')->cascadeOnDelete();
            $table->string('key', 100)->collation('utf8mb4_bin');
            $table->char('fingerprint', 64);
            $table->unsignedSmallInteger('status')->nullable();
            $table->mediumText('body')->nullable();
            $table->string('etag', 20)->nullable();
            $table->dateTime('created_at')->index();
            $table->unique(['person_id', 'key']);
        });
    }
};
