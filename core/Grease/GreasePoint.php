<?php

declare(strict_types=1);

namespace Core\Grease;

use Core\Measure\Plain;

/** What a nipple takes. */
final readonly class GreasePoint
{
    public const USUAL_GREASE = 'NLGI 2, lithium complex';

    /**
     * @param  int  $strokes  that it usually takes
     * @param  int|null  $most  strokes that it must never get at once, because a seal blows or a belt runs there
     * @param  bool  $isAbout  whether nobody has counted its strokes yet
     */
    public function __construct(
        public int $strokes,
        public EndSign $endSign = EndSign::Shows,
        public ?int $most = null,
        public string $grease = self::USUAL_GREASE,
        public bool $isAbout = false,
    ) {}

    /** `about 3 strokes` */
    public function inWords(): string
    {
        return ($this->isAbout ? 'about ' : '').Plain::count($this->strokes, 'stroke');
    }
}
