<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\OpeningSteps;
use Core\Procedure\Phase;
use Core\Procedure\Workpiece;

/** Through its plugs or taps below, all of a housing opened together. */
final readonly class ByPlug implements Empties
{
    /** @param  Phase  $tightened  when its plugs are tightened */
    public function __construct(
        private Draft $draft,
        private OpeningSteps $openings,
        private RunsOut $runsOut,
        private Phase $tightened = Phase::Reach,
    ) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $proved = $this->runsOut->proved($circuit);
        $air = $this->runsOut->airIn($circuit);
        $opened = $looked = $shut = [];
        foreach ($housing->openings(OpeningRole::Drain) as $nth => $drain) {
            $opened[] = $open = $this->openings->open($drain, $nth === 0 ? $this->runsOut->comes($circuit) : '');
            $this->draft->needs($open, $proved);
            $this->draft->waits($open, $air);
            $looked[] = $look = $this->runsOut->drips($circuit, $housing, new Workpiece($drain->key), $drain->name, $open, $drain->sheet->hole->magnet);
            $shut[] = $close = $this->openings->close($drain);
            $this->draft->waits($close, $look);
            $this->openings->tighten($drain, $this->tightened);
            $this->runsOut->overAPan($open, $close);
        }

        return new Ports([...$proved, ...$air, ...$opened], $looked, $shut);
    }
}
