<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Form\BadInput;
use Core\Form\Fields;

/** A way of measuring: what is entered, what it is held against, and what follows. */
interface Instrument
{
    /**
     * @param  array<string, string>  $limits  as the check has them: some decide what has to be entered
     * @return list<Ask> what is entered
     */
    public function asks(array $limits = []): array;

    /** @return list<Ask> what it is held against */
    public function limits(): array;

    /** @throws BadInput if anything is missing, unreadable or of the wrong kind */
    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged;
}
