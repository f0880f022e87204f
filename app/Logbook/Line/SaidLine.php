<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Contract\Refusal;
use App\Notes\Note;
use App\Notes\NoteOutcome;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;

/** One sort of what a log line says: told in words before it is written, and written. */
interface SaidLine
{
    /** What of {@see \App\Machines\MachinePolicy} somebody must be allowed. */
    public function ability(LogLine $line): string;

    /** @throws NotUnderstood|Refusal if it cannot be meant so */
    public function preview(LogLine $line): LinePreview;

    /**
     * Its machine's row is locked.
     *
     * @throws NotUnderstood|Refusal if it cannot be written so
     */
    public function write(LogLine $line, Note $note): NoteOutcome;
}
