<?php

declare(strict_types=1);

namespace Core\Procedure;

/** Something that is taken up by one step and let go after another: a stand, a pan. */
final readonly class Hold
{
    public const STAND = 'stand';

    public const PAN = 'pan';

    /**
     * @param  string  $from  the key of the step with whose start it begins
     * @param  string  $to  the key of the step with whose end it ends
     */
    public function __construct(public string $resource, public string $from, public string $to) {}
}
