<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\OpeningRole;

/** The steps by which one opening is opened and shut again. */
final readonly class OpeningSteps
{
    public function __construct(private Draft $draft, private ServicedMachine $machine)
    {
    }

    /** That it can be opened at all is known before anything runs out. */
    public function loosen(Opening $opening): string
    {
        return $this->step('loosen', StepAct::Loosen, $opening, self::sentence(
            $opening->role === OpeningRole::Level
                ? "Loosen {$opening->name}: without it nobody can tell when it is full"
                : "Loosen {$opening->name}: if it will not open, nothing is drained",
            $opening,
        ));
    }

    public function open(Opening $opening, string $because = ''): string
    {
        $verb = $opening->role === OpeningRole::Drain ? 'Pan under it; take out' : 'Open';
        $count = $opening->loose === [] ? '' : '; count what comes off: '.implode(', ', $opening->loose);
        $key = $this->step('open', StepAct::Open, $opening, self::sentence(
            "{$verb} {$opening->name}{$because}{$count}",
            $opening,
        ), pieces: $opening->loose);
        $this->draft->needs($key, 'clean');
        $this->draft->waits($key, "loosen:{$opening->key}");

        return $key;
    }

    /** Shut by hand, with its new seal and all that came off. */
    public function close(Opening $opening): string
    {
        $with = $opening->seal === '' ? '' : " {$this->machine->schools->seal($opening->seal)}";
        $count = $opening->loose === [] ? '' : '; all back that came off: '.implode(', ', $opening->loose);
        $sealant = $opening->sealant === '' ? '' : "; its thread takes {$opening->sealant}";
        $wipe = $opening->magnet ? 'Wipe its magnet; put' : 'Put';
        $key = $this->step(
            'close',
            StepAct::Close,
            $opening,
            "{$wipe} {$opening->name} back{$with}, by hand first{$sealant}{$count}.",
            pieces: $opening->loose,
        );
        $this->draft->onlyIf($key, "open:{$opening->key}");

        return $key;
    }

    /** @param  Phase  $phase  when: at once, or when the level is right */
    public function tighten(Opening $opening, Phase $phase = Phase::Reach): void
    {
        if (! $opening->isTightened()) {
            return;
        }
        $key = $this->step('torque', StepAct::Torque, $opening, $opening->torque === ''
            ? "Tighten {$opening->name}: no torque is written down, so snug plus an eighth of a turn, kept as by feel."
            : "Tighten {$opening->name} to {$opening->torque}.", phase: $phase);
        $this->draft->onlyIf($key, "close:{$opening->key}");
        $this->draft->needs($key, "close:{$opening->key}");
    }

    /** @param  list<string>  $pieces */
    private function step(
        string $verb,
        StepAct $act,
        Opening $opening,
        string $says,
        array $pieces = [],
        Phase $phase = Phase::Reach,
    ): string {
        $key = "{$verb}:{$opening->key}";
        $this->draft->add($phase, new Step(
            $key,
            $act,
            $opening->key,
            $says,
            $act->minutes(),
            cautions: Cautions::atStep($act, $this->machine->class, $opening->subject),
            pieces: $pieces,
        ));

        return $key;
    }

    private static function sentence(string $says, Opening $opening): string
    {
        return implode('. ', array_filter([
            $says.($opening->tool === '' ? '' : ", {$opening->tool}"),
            rtrim($opening->hint, '.'),
        ])).'.';
    }
}
