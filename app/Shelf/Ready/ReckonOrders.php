<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Core\Supply\Need\Preference;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;

/** Reckons what to order while nobody waits for it. */
final class ReckonOrders implements ShouldBeUnique, ShouldQueue
{
    use Dispatchable;

    /** Where the worker was killed, it may be handed over again after so many seconds. */
    public int $uniqueFor = 600;

    public int $tries = 1;

    public function __construct(private readonly Preference $preference) {}

    public function uniqueId(): string
    {
        return $this->preference->value;
    }

    public function handle(KeptNeeds $kept, Orders $orders): void
    {
        $kept->of(Orders::key($this->preference), fn (): array => [...$orders->reckoned($this->preference), 'is_behind' => false]);
    }
}
