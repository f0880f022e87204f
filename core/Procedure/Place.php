<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;

/** A spot that is neither a compartment nor an opening nor holds a part: a nipple, a pedal, a set of nuts. */
final readonly class Place
{
    public function __construct(
        public string $key,
        public string $name,
        public string $hint = '',
        public Subject $subject = Subject::Other,
    ) {}
}
