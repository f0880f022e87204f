<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Fluid\Sheet\OpeningSheet;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;

/** A place where a compartment is opened, by what it asks of whoever opens it. */
final readonly class Opening
{
    /** @param  string  $hint  where it is, what has to come off first, the trick that works */
    public function __construct(
        public string $key,
        public OpeningRole $role,
        public string $name,
        public OpeningSheet $sheet = new OpeningSheet,
        public string $hint = '',
        public Subject $subject = Subject::Other,
    ) {}

    /** Whether it is done up with a wrench, and not a cap or a stick that a hand shuts. */
    public function isTightened(): bool
    {
        return $this->sheet->torque !== ''
            || $this->sheet->tool !== ''
            || in_array($this->role, [OpeningRole::Drain, OpeningRole::Strainer, OpeningRole::FilterCover], true);
    }
}
