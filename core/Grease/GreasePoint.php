<?php

declare(strict_types=1);

namespace Core\Grease;

/** What a nipple takes. */
final readonly class GreasePoint
{
    public const USUAL_GREASE = 'NLGI 2, lithium complex';

    /**
     * @param  int  $strokes  that it usually takes
     * @param  int|null  $most  strokes that it must never get at once, because a seal blows or a belt runs there
     */
    public function __construct(
        public int $strokes,
        public EndSign $endSign = EndSign::Shows,
        public ?int $most = null,
        public string $grease = self::USUAL_GREASE,
    ) {
    }
}
