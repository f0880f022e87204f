<?php

declare(strict_types=1);

namespace Core\Fluid\Grade;

use Core\Measure\Quantity;

/** How stiff a fluid or a grease is, by the classification of its kind. */
interface Grade
{
    /** The one way of writing it, so that two can be compared. */
    public function written(): string;

    /** Down to where it does its work in the cold; null where its classification promises nothing. */
    public function lowest(): ?Quantity;

    /** The classification. */
    public function table(): string;
}
