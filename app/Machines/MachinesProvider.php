<?php

declare(strict_types=1);

namespace App\Machines;

use Illuminate\Support\Facades\Gate;
use Illuminate\Support\ServiceProvider;

/** What is read once a request of the yard and its machines, and who may do what with them. */
final class MachinesProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(CheckLists::class);
        $this->app->scoped(Yard::class, fn (): Yard => Yard::query()->firstOrFail());
    }

    public function boot(): void
    {
        Gate::policy(Machine::class, MachinePolicy::class);
    }
}
