<?php

declare(strict_types=1);

namespace App\Logbook\Line;

/** What a line will do, in words. */
final readonly class LinePreview
{
    /**
     * @param  list<string>  $suggestions  whole lines that may have been meant
     * @param  bool  $asks  whether it can hardly be right, and a reason will be asked for
     */
    public function __construct(public string $sentence, public array $suggestions = [], public bool $asks = false) {}
}
