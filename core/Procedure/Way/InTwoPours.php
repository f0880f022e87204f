<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Brick\Math\BigRational;
use Core\Fill\CoolantMix;
use Core\Fluid\Glycol;
use Core\Procedure\Circuit;
use Core\Procedure\School;
use Core\Procedure\StepKey;
use Core\Procedure\StepVerb;

/** Coolant: concentrate and distilled water are two pours whose shares are kept, or a premix is one; read at the line, cold. */
final readonly class InTwoPours extends Filling
{
    /** Of glycol, in percent by volume, where the book names none. Common practice, no source. */
    private const USUAL_STRENGTH = 50;

    public function says(Circuit $circuit): string
    {
        return "Read {$circuit->name} at the line on its tank, cold, and again tomorrow: it may still find its level.";
    }

    public function tops(Circuit $circuit): string
    {
        return "Top up {$circuit->name} to its cold line with the same mixture, and shut it.";
    }

    protected function until(Circuit $circuit): string
    {
        return "Heater open where there is one; fill {$circuit->name} slowly, so that no air is shut in";
    }

    protected function pours(Circuit $circuit): array
    {
        $schools = $this->machine->schools;
        $pour = new StepKey(StepVerb::Pour, $circuit->key);
        if ($schools->way(School::Coolant) === 'premix') {
            return [$this->pour($pour, $circuit, "{$this->until($circuit)}{$this->book($circuit)}: {$schools->says(School::Coolant)}, nothing added.", $circuit->holder->capacity?->most)];
        }
        $most = $circuit->holder->capacity?->most;
        $mix = $most === null ? null : CoolantMix::of($most, BigRational::of(self::USUAL_STRENGTH), Glycol::Ethylene);
        $shares = $mix === null
            ? $schools->says(School::Coolant)
            : "{$mix->concentrate->inWords()} of concentrate and {$mix->water->inWords()} of distilled water";
        $concentrate = $this->pour($pour, $circuit, "{$this->until($circuit)}{$this->book($circuit)}: {$shares}, half and half unless its book says otherwise. The concentrate first.", $mix?->concentrate);
        $water = $this->pour(
            new StepKey(StepVerb::Pour, $circuit->key, StepKey::WATER),
            $circuit,
            'Distilled water after it'.($mix === null ? '' : ", {$mix->water->inWords()}").": fill {$circuit->name} up slowly. Under a third of concentrate it no longer protects against rust.",
            $mix?->water,
        );
        $this->draft->needs($water, $concentrate);

        return [$concentrate, $water];
    }
}
