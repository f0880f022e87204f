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
    ) {}

    /** @param  LevelReading  $reading  how its level is read after it was filled */
    public function add(Compartment $compartment, LevelReading $reading): void
    {
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            if (! $this->draft->has(StepVerb::Open->at($plug->key))) {
                $open = $this->openings->open($plug, ', which tells when it is full');
                $this->draft->needs($open, StepVerb::Loosen->at($plug->key));
            }
        }
        $pour = $this->pour($compartment);
        $this->shutVents($compartment, $pour);
        $toldBy = [$pour];
        if ($reading === LevelReading::AtThePour) {
            $toldBy[] = $this->read($compartment);
        }
        $this->shutPlugs($compartment, $toldBy, $reading->tightensIn());
    }

    /** Whose openings must be shut for it, and which tell when it is full. */
    private function pour(Compartment $compartment): string
    {
        $plugs = array_column($this->scope->levelPlugsOf($compartment), 'name');
        $book = $compartment->capacity === null ? '' : ", {$compartment->capacity->most->inWords()} by the book";
        $most = $book.$this->mixed($compartment);
        $key = $this->draft->step(new StepKey(StepVerb::Pour, $compartment->key), match (true) {
            $compartment->sheet->service->vents => "Fill {$compartment->name} until it shows at its open vents{$most}.",
            $plugs !== [] => "Fill {$compartment->name} slowly until it just runs at {$plugs[0]}{$most}.",
            default => "Fill {$compartment->name} in stages, never the whole of the book's figure blind{$most}.",
        });
        $drains = $this->drains($compartment);
        $opened = array_map(fn (Opening $fill): string => StepVerb::Open->at($fill->key), $this->scope->fillsOf($compartment));
        $this->draft->needs($key, $opened);
        if (count($drains) === 1) {
            $this->draft->needs($key, $drains);
        }
        $this->draft->onlyIf($key, $drains);
        $this->draft->waits($key, $drains);
        $this->draft->shut($key, $this->mustBeShut($compartment));
        foreach ($this->scope->levelPlugsOf($compartment) as $plug) {
            $this->draft->needs($key, StepVerb::Open->at($plug->key));
        }
        $this->draft->needs($key, StepVerb::TurnLevel->at($compartment->key));

        return $key;
    }

    /** Of what coolant is made up. */
    private function mixed(Compartment $compartment): string
    {
        $schools = $this->machine->schools;
        if (! $compartment->isCoolant() || $schools->way(School::Coolant) === 'premix') {
            return $compartment->isCoolant() ? ": {$schools->says(School::Coolant)}, nothing added" : '';
        }
        $mix = $compartment->capacity === null
            ? null
            : CoolantMix::of($compartment->capacity->most, BigRational::of(self::USUAL_STRENGTH), Glycol::Ethylene);

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
            array_map(fn (string $place): string => StepVerb::Drain->at($place), $places),
            $this->draft->has(...),
        ));
    }

    /** @return list<string> the steps by which everything below is shut: not the vents or plugs that tell when it is full */
    private function mustBeShut(Compartment $compartment): array
    {
        $drains = $this->scope->openingsOf($compartment, OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover);
        $vents = $compartment->sheet->service->vents ? [] : $this->scope->openingsOf($compartment, OpeningRole::Vent);
        $keys = [StepVerb::Close->at($compartment->key)];
        foreach ([...$drains, ...$vents, ...$this->scope->workedIn($compartment)] as $opening) {
            $keys[] = StepVerb::Close->at($opening->key);
        }
        foreach ($this->scope->partsIn($compartment) as $part) {
            $keys = [...$keys, StepVerb::Fit->at($part->key), StepVerb::CountOn->at($part->key)];
        }

        return $keys;
    }

    private function shutVents(Compartment $compartment, string $pour): void
    {
        foreach ($this->scope->openingsOf($compartment, OpeningRole::Vent) as $vent) {
            $close = $this->openings->close($vent);
            if ($compartment->sheet->service->vents) {
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
            if ($this->draft->has(StepVerb::Close->at($plug->key))) {
                $this->draft->waits(StepVerb::Close->at($plug->key), $toldBy);

                continue;
            }
            $this->draft->waits($this->openings->close($plug), $toldBy);
            $this->openings->tighten($plug, $tightened);
        }
    }

    private function read(Compartment $compartment): string
    {
        $read = $this->draft->step(
            new StepKey(StepVerb::Read, $compartment->key),
            "Read {$compartment->name}: it stands at the threads or just runs, and the machine stands level.",
        );
        $this->draft->needs($read, StepVerb::Pour->at($compartment->key));

        return $read;
    }
}
