<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\BadInput;
use Core\Form\Fields;

/** One calculator: takes the fields of its contract and gives an answer with its reasons. */
interface Calculator
{
    /**
     * @param  \DateTimeImmutable  $now  calculators have no clock of their own
     *
     * @throws BadInput
     */
    public function answer(Fields $given, \DateTimeImmutable $now): Answer;
}
