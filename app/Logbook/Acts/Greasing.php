<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;

/** A point that got grease, or into which it did not go: the nipple's own finding begins and ends with that. */
final class Greasing
{
    /** What squeezes out round the coupler has not gone in. Common practice, no source. */
    private const NOT_IN = 'The grease did not go in.';

    private const DO = 'Press the check ball in with a small blade and try again, or fit a new nipple.';

    public static function act(
        Spot $spot,
        bool $wentIn,
        ?int $strokes = null,
        bool $signSeen = false,
        ?int $taskId = null,
        ?string $title = null,
        ?string $note = null,
        ?string $uuid = null,
        ?string $replaces = null,
    ): GivenAct {
        return new GivenAct(
            $spot,
            ActKind::Lubricated,
            $title ?? $spot->name,
            $wentIn ? Outcome::Done : Outcome::NotDone,
            "nipple-{$spot->id}",
            $wentIn ? Verdict::Fit : Verdict::Act,
            $taskId,
            words: $wentIn ? null : self::NOT_IN,
            advice: $wentIn ? null : self::DO,
            strokes: $wentIn ? $strokes ?? $spot->greasePoint()->strokes : null,
            signSeen: $wentIn && $signSeen,
            note: $note,
            uuid: $uuid,
            replaces: $replaces,
        );
    }
}
