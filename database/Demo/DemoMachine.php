<?php

declare(strict_types=1);

namespace Database\Demo;

use Core\Machine\MachineClass;
use Core\Schedule\Severity;

/** One machine of the invented estate, and how it is used. */
final readonly class DemoMachine
{
    /**
     * @param  float  $atStart  what its meter showed when the history begins
     * @param  list<float>  $weekly  hours (or kilometres, without an hour meter) in a usual week of each month, January
     *     first
     * @param  float  $kmPerHour  for machines with an odometer beside the hour meter
     * @param  array<string, int>  $neglect  task => days since when nobody has done it
     * @param  array{int, int}|null  $busyDaysAgo  from and to: days when nobody had time for services
     * @param  int  $knownDays  for how many days the yard has had it
     * @param  Severity|null  $severity  what it lives under all year
     * @param  float  $finishAt  what the meter shows in the end, where that matters for the story
     */
    public function __construct(
        public string $name,
        public MachineClass $class,
        public string $place,
        public string $maker,
        public string $model,
        public float $atStart,
        public array $weekly,
        public float $kmPerHour = 0,
        public array $neglect = [],
        public ?array $busyDaysAgo = null,
        public int $knownDays = 1095,
        public bool $unknownHistory = false,
        public string $anchor = 'from_done',
        public int $meterReplacedDaysAgo = 0,
        public int $stormDaysAgo = 0,
        public int $unreadDays = 1,
        public ?float $finishAt = null,
        public ?Severity $severity = null,
    ) {}
}
