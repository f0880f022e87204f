<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Logbook\Stock\Container;
use App\Logbook\Stock\Supply;
use App\Machines\Spot;
use Core\Inspect\LimitSource;
use Core\Inspect\Worn;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Core\Measure\Quantity;

/** An act as somebody tells of it. */
final readonly class GivenAct
{
    /**
     * @param  string  $check  the check, or a finding of its own
     * @param  array<string, mixed>|null  $typed  what was entered
     * @param  Quantity|null  $poured  what went in or out
     * @param  string|null  $pouredTyped  the same as it was written
     * @param  Supply|null  $fluid  what it was
     * @param  Container|null  $container  out of which it was poured
     * @param  array<string, mixed>  $fitting  the columns of {@see Fitting}
     * @param  string|null  $uuid  as its device named it
     * @param  string|null  $replaces  what the same person said before
     * @param  string|null  $with  the act that it was told with, and is taken back with
     */
    public function __construct(
        public Spot $spot,
        public ActKind $kind,
        public string $title,
        public Outcome $outcome = Outcome::Done,
        public string $check = '',
        public ?Verdict $verdict = null,
        public ?int $taskId = null,
        public ?string $words = null,
        public ?string $advice = null,
        public ?LimitSource $limitSource = null,
        public ?array $typed = null,
        public ?Worn $worn = null,
        public ?Quantity $poured = null,
        public ?string $pouredTyped = null,
        public ?Supply $fluid = null,
        public ?Container $container = null,
        public ?int $strokes = null,
        public bool $signSeen = false,
        public array $fitting = [],
        public ?string $note = null,
        public ?string $uuid = null,
        public ?string $replaces = null,
        public ?string $with = null,
    ) {
    }

    /** The same, done at another spot. */
    public function at(Spot $spot): self
    {
        return new self(...['spot' => $spot] + get_object_vars($this));
    }
}
