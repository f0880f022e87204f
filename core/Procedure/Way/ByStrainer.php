<?php

declare(strict_types=1);

namespace Core\Procedure\Way;

use Core\Machine\OpeningRole;
use Core\Procedure\Circuit;
use Core\Procedure\Compartment;
use Core\Procedure\Draft;
use Core\Procedure\OpeningSteps;
use Core\Procedure\Workpiece;

/** At its strainer, screen or sensor below the level, where there is no plug. */
final readonly class ByStrainer implements Empties
{
    /** @param  ByFilter  $byScreen  where the screen is a part of its own */
    public function __construct(
        private Draft $draft,
        private OpeningSteps $openings,
        private RunsOut $runsOut,
        private ByFilter $byScreen,
    ) {}

    public function steps(Circuit $circuit, Compartment $housing): Ports
    {
        $strainers = $housing->openings(OpeningRole::Strainer);
        if ($strainers === []) {
            return $this->byScreen->steps($circuit, $housing);
        }
        $proved = $this->runsOut->proved($circuit);
        $air = $this->runsOut->airIn($circuit);
        $opened = $looked = $shut = [];
        foreach ($strainers as $strainer) {
            $opened[] = $open = $this->openings->open($strainer, $this->runsOut->comes($circuit));
            $this->draft->needs($open, $proved);
            $this->draft->waits($open, $air);
            $looked[] = $look = $this->runsOut->drips($circuit, $housing, new Workpiece($strainer->key), $strainer->name, $open, $strainer->sheet->hole->magnet);
            $shut[] = $close = $this->openings->close($strainer);
            $this->draft->waits($close, $look);
            $this->openings->tighten($strainer);
            $this->runsOut->overAPan($open, $close);
        }

        return new Ports([...$proved, ...$air, ...$opened], $looked, $shut);
    }
}
