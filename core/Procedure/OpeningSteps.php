<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\OpeningRole;

/** The steps by which one opening is opened and shut again. */
final readonly class OpeningSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine) {}

    /** That it can be opened at all is known before anything runs out. */
    public function loosen(Opening $opening): string
    {
        return $this->step(StepVerb::Loosen, $opening, self::sentence(
            $opening->role === OpeningRole::Level
                ? "Loosen {$opening->name}: without it nobody can tell when it is full"
                : "Loosen {$opening->name}: if it will not open, nothing is drained",
            $opening,
        ));
    }

    public function open(Opening $opening, string $because = ''): string
    {
        $verb = $opening->role === OpeningRole::Drain ? 'Pan under it; take out' : 'Open';
        $count = $opening->sheet->loose === [] ? '' : '; count what comes off: '.implode(', ', $opening->sheet->loose);
        $key = $this->step(StepVerb::Open, $opening, self::sentence(
            "{$verb} {$opening->name}{$because}{$count}",
            $opening,
        ), pieces: $opening->sheet->loose);
        $this->draft->needs($key, StepVerb::CleanRound->at());
        $this->draft->waits($key, StepVerb::Loosen->at($opening->key));

        return $key;
    }

    /** Shut by hand, with its new seal and all that came off. */
    public function close(Opening $opening): string
    {
        $sheet = $opening->sheet;
        $with = $sheet->seal === '' ? '' : " {$this->machine->schools->seal($sheet->seal)}";
        $count = $sheet->loose === [] ? '' : '; all back that came off: '.implode(', ', $sheet->loose);
        $sealant = $sheet->sealant === '' ? '' : "; its thread takes {$sheet->sealant}";
        $wipe = $sheet->magnet ? 'Wipe its magnet; put' : 'Put';
        $key = $this->step(
            StepVerb::Close,
            $opening,
            "{$wipe} {$opening->name} back{$with}, by hand first{$sealant}{$count}.",
            pieces: $sheet->loose,
        );
        $this->draft->onlyIf($key, StepVerb::Open->at($opening->key));

        return $key;
    }

    /** @param  Phase  $phase  when: at once, or when the level is right */
    public function tighten(Opening $opening, Phase $phase = Phase::Reach): void
    {
        if (! $opening->isTightened()) {
            return;
        }
        $key = $this->step(StepVerb::Torque, $opening, $opening->sheet->torque === ''
            ? "Tighten {$opening->name}: no torque is written down, so snug plus an eighth of a turn, kept as by feel."
            : "Tighten {$opening->name} to {$opening->sheet->torque}.", phase: $phase);
        $this->draft->onlyIf($key, StepVerb::Close->at($opening->key));
        $this->draft->needs($key, StepVerb::Close->at($opening->key));
    }

    /** @param  list<string>  $pieces */
    private function step(
        StepVerb $verb,
        Opening $opening,
        string $says,
        array $pieces = [],
        Phase $phase = Phase::Reach,
    ): string {
        return $this->draft->step(
            new StepKey($verb, $opening->key),
            $says,
            new Workpiece($opening->key, pieces: $pieces),
            $phase,
            subject: $opening->subject,
        );
    }

    private static function sentence(string $says, Opening $opening): string
    {
        return implode('. ', array_filter([
            $says.($opening->sheet->tool === '' ? '' : ", {$opening->sheet->tool}"),
            rtrim($opening->hint, '.'),
        ])).'.';
    }
}
