<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use Core\Machine\TaskKind;

/** What is to be done, and where. */
final readonly class ReadyTask
{
    /**
     * @param  list<int>  $spots  where it is done
     * @param  string|null  $topUp  how much is poured back for what runs out with the filters, as typed
     */
    public function __construct(
        public string $name,
        public TaskKind $kind,
        public array $spots,
        public ?string $topUp = null,
    ) {}
}
