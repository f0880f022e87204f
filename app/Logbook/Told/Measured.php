<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Logbook\Acts\Act;
use App\Machines\Spot;
use Core\Inspect\Check;
use Core\Inspect\Judged;
use Core\Inspect\LimitSource;
use Core\Inspect\Occasion;
use Core\Machine\ActKind;
use Core\Machine\Outcome;

/** Something was measured, or a level read. */
final readonly class Measured extends Told
{
    /** @param  array<string, mixed>  $typed  what was entered, by the names that its instrument asks by */
    public function __construct(
        Spot $spot,
        public string $check,
        public ?Judged $judged,
        public array $typed,
        public ?LimitSource $limitSource = null,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    /**
     * @param  array<string, mixed>  $typed
     *
     * @throws \Core\Form\BadInput if it is no measurement
     */
    public static function by(Check $check, Spot $spot, array $typed, Occasion $occasion, Telling $telling): self
    {
        return new self(
            $spot,
            $check->key,
            $check->judge($typed, $occasion),
            $typed,
            $check->measuring->limits === [] ? null : $check->measuring->source,
            $telling,
        );
    }

    public function kind(): ActKind
    {
        return ActKind::Measured;
    }

    public function ability(): string
    {
        return 'log';
    }

    public function check(): string
    {
        return $this->check;
    }

    public function columns(): array
    {
        return [
            'check_key' => $this->check,
            'outcome' => $this->judged?->isUsable() === false ? Outcome::Unusable : Outcome::Done,
            'verdict' => $this->judged?->verdict,
            'words' => $this->judged?->why,
            'advice' => $this->judged?->do,
            'limit_source' => $this->limitSource,
            'typed' => $this->typed,
        ];
    }

    /** The value of a part that wears is followed against the hours. */
    public function hang(Act $act, Holdings $holdings): void
    {
        $worn = $this->judged?->worn;
        if ($worn !== null) {
            $act->measure()->create([
                'value' => (string) $worn->value->rounded(),
                'unit' => $worn->value->unit->value,
                'limit' => (string) $worn->limit->to($worn->value->unit)->rounded(),
                'resolution' => (string) $worn->resolution->simplified(),
                'falls' => $worn->falls,
            ]);
        }
    }
}
