<?php

declare(strict_types=1);

namespace Core\Procedure;

use Brick\Math\BigRational;
use Core\Fill\CoolantMix;
use Core\Fluid\Glycol;
use Core\Machine\OpeningRole;

/** The steps by which one emptied compartment is filled and shut. */
final readonly class FillSteps
{
    /** Of glycol, in percent by volume, where the book names none. Common practice, no source. */
    private const USUAL_STRENGTH = 50;

    public function __construct(
        private Draft $draft,
        private ServicedMachine $machine,
        private Scope $scope,
        private OpeningSteps $openings,
    ) {
    }

    /** @param  LevelReading  $reading  how its level is read after it was filled */
    public function add(Compartment $compartment, LevelReading $reading): void
    {
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            if (! $this->draft->has("open:{$plug->key}")) {
                $open = $this->openings->open($plug, ', which tells when it is full');
                $this->draft->needs($open, "loosen:{$plug->key}");
            }
        }
        $pour = $this->pour($compartment);
        $this->shutVents($compartment, $pour);
        $toldBy = [$pour];
        if ($reading === LevelReading::AtThePour) {
            $this->read($compartment);
            $toldBy[] = "read:{$compartment->key}";
        }
        $this->shutPlugs($compartment, $toldBy, $reading->tightensIn());
    }

    /** Whose openings must be shut for it, and which tell when it is full. */
    private function pour(Compartment $compartment): string
    {
        $key = "pour:{$compartment->key}";
        $plugs = array_column($this->scope->levelPlugsOf($compartment), 'name');
        $fluid = $compartment->fluid === '' ? '' : " {$compartment->fluid}";
        $most = ($compartment->most === null ? '' : ", {$compartment->most->inWords()} by the book").$this->mixed($compartment);
        $this->draft->add(Phase::Reach, new Step($key, StepAct::Pour, $compartment->key, match (true) {
            $compartment->filling->vents => "Fill {$compartment->name}{$fluid} until it shows at its open vents{$most}.",
            $plugs !== [] => "Fill {$compartment->name}{$fluid} slowly until it just runs at {$plugs[0]}{$most}.",
            default => "Fill {$compartment->name}{$fluid} in stages, never the whole of the book's figure blind{$most}.",
        }, StepAct::Pour->minutes()));
        $drains = $this->drains($compartment);
        $opened = array_map(fn (Opening $fill): string => "open:{$fill->key}", $this->scope->fillsOf($compartment));
        $this->draft->needs($key, $opened);
        if (count($drains) === 1) {
            $this->draft->needs($key, $drains);
        }
        $this->draft->onlyIf($key, $drains);
        $this->draft->waits($key, $drains);
        $this->draft->shut($key, $this->mustBeShut($compartment));
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            $this->draft->needs($key, "open:{$plug->key}");
        }
        $this->draft->needs($key, "turn_level:{$compartment->key}");

        return $key;
    }

    /** Of what coolant is made up. */
    private function mixed(Compartment $compartment): string
    {
        $schools = $this->machine->schools;
        if (! $compartment->isCoolant() || $schools->way(School::Coolant) === 'premix') {
            return $compartment->isCoolant() ? ": {$schools->says(School::Coolant)}, nothing added" : '';
        }
        $mix = $compartment->most === null
            ? null
            : CoolantMix::of($compartment->most, BigRational::of(self::USUAL_STRENGTH), Glycol::Ethylene);

        return ': '.($mix === null
            ? $schools->says(School::Coolant)
            : "{$mix->concentrate->inWords()} of concentrate and {$mix->water->inWords()} of distilled water").', half and half unless its book says otherwise';
    }

    /** @return list<string> the steps in which it runs out */
    private function drains(Compartment $compartment): array
    {
        $places = [
            ...array_column($this->scope->openingsOf($compartment, OpeningRole::Drain, OpeningRole::Draw), 'key'),
            ...array_column($this->scope->partsIn($compartment), 'key'),
            $compartment->key,
        ];

        return array_values(array_filter(
            array_map(fn (string $place): string => "drain:{$place}", $places),
            $this->draft->has(...),
        ));
    }

    /** @return list<string> the steps by which everything below is shut: not the vents or plugs that tell when it is full */
    private function mustBeShut(Compartment $compartment): array
    {
        $drains = $this->scope->openingsOf($compartment, OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover);
        $vents = $compartment->filling->vents ? [] : $this->scope->openingsOf($compartment, OpeningRole::Vent);
        $keys = ["close:{$compartment->key}"];
        foreach ([...$drains, ...$vents, ...$this->scope->workedIn($compartment)] as $opening) {
            $keys[] = "close:{$opening->key}";
        }
        foreach ($this->scope->partsIn($compartment) as $part) {
            $keys = [...$keys, "fit:{$part->key}", "count_on:{$part->key}"];
        }

        return $keys;
    }

    private function shutVents(Compartment $compartment, string $pour): void
    {
        foreach ($this->scope->openingsOf($compartment, OpeningRole::Vent) as $vent) {
            $close = $this->openings->close($vent);
            if ($compartment->filling->vents) {
                $this->draft->waits($close, $pour);
            } else {
                $this->draft->shut($pour, $close);
                $this->draft->waits($close, $this->drains($compartment));
            }
            $this->openings->tighten($vent);
        }
    }

    /** @param  list<string>  $toldBy  the steps that need them open */
    private function shutPlugs(Compartment $compartment, array $toldBy, Phase $tightened): void
    {
        $plugs = [...$this->scope->levelPlugsOf($compartment), ...$this->scope->fillsOf($compartment)];
        foreach (array_column($plugs, null, 'key') as $plug) {
            if ($this->draft->has("close:{$plug->key}")) {
                $this->draft->waits("close:{$plug->key}", $toldBy);

                continue;
            }
            $this->draft->waits($this->openings->close($plug), $toldBy);
            $this->openings->tighten($plug, $tightened);
        }
    }

    private function read(Compartment $compartment): void
    {
        $key = "read:{$compartment->key}";
        $this->draft->add(Phase::Reach, new Step(
            $key,
            StepAct::Read,
            $compartment->key,
            "Read {$compartment->name}: it stands at the threads or just runs, and the machine stands level.",
            StepAct::Read->minutes(),
        ));
        $this->draft->needs($key, "pour:{$compartment->key}");
    }
}
