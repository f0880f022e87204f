<?php

declare(strict_types=1);

namespace Core\Supply;

/** What is to be said of a part at its place. */
final readonly class PartAnswer
{
    /** @param  bool|null  $willDo  null where nobody has said */
    public function __construct(
        public ?bool $willDo,
        public string $why,
    ) {
    }
}
