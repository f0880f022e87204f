<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Procedure\Circuit;
use Core\Procedure\Draft;
use Core\Procedure\LevelReading;
use Core\Procedure\Opening;
use Core\Procedure\OpeningSteps;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;
use Core\Procedure\Workpiece;

/** New into the reservoir, then out at one wheel after the other until it comes clean and without bubbles. */
final readonly class ThroughTheWheels implements Fills
{
    /** Minutes at a wheel with two people. Common practice, no source. */
    private const MINUTES = 8;

    public function __construct(private Draft $draft, private OpeningSteps $openings) {}

    public function steps(Circuit $circuit, LevelReading $reading): Ports
    {
        $caps = $circuit->openings(OpeningRole::Fill);
        $pour = $this->draft->step(
            new StepKey(StepVerb::Pour, $circuit->key),
            "Fill the reservoir of {$circuit->name} with fresh fluid to its line.",
            new Workpiece($circuit->key, amount: $circuit->holder->capacity?->most),
        );
        $this->draft->needs($pour, array_map(fn (Opening $cap): string => StepVerb::Open->at($cap->key), $caps));
        $last = $pour;
        $done = [];
        foreach (self::screws($circuit) as $screw) {
            $bleed = $this->draft->step(
                new StepKey(StepVerb::Bleed, $screw->key),
                "Bleed {$circuit->name} at {$screw->name}, as its book orders, else the wheel farthest from the reservoir first: hose on and into a bottle; screw open while the pedal goes down, shut before it comes up. Fill the reservoir up before it is low. Go on until it comes clean and without bubbles, then the next wheel.",
                minutes: self::MINUTES,
            );
            $this->draft->needs($bleed, $last);
            $torque = $this->draft->step(new StepKey(StepVerb::Torque, $screw->key), $screw->sheet->torque === ''
                ? "Tighten {$screw->name}: no torque is written down, so look it up; else snug, no more, kept as by feel. Rubber cap on, dry all round."
                : "Tighten {$screw->name} to {$screw->sheet->torque}; rubber cap on, dry all round.");
            $this->draft->onlyIf($torque, $bleed);
            $last = $torque;
            $done[] = $torque;
        }
        foreach ($caps as $cap) {
            $close = $this->openings->close($cap);
            $this->draft->waits($close, $last);
            $this->openings->tighten($cap);
            $done[] = $close;
        }

        $pedal = $this->draft->step(
            new StepKey(StepVerb::Pedal, $circuit->key),
            'Press the pedal before anything moves: hard and high, held half a minute, and it does not sink. Soft, low or uneven: bleed again, or the machine stands down.',
        );
        $this->draft->needs($pedal, $last);
        $this->draft->waits($pedal, $done);

        return new Ports(filled: [$pour, $last], done: [...$done, $pedal]);
    }

    /** @return list<Opening> */
    public static function screws(Circuit $circuit): array
    {
        return $circuit->openings(OpeningRole::Vent) ?: $circuit->openings(OpeningRole::Draw);
    }
}
