<?php

declare(strict_types=1);

namespace Core\Procedure;

/** What has become of a step. */
enum StepState: string
{
    case Done = 'done';
    /** It could not be done. */
    case Failed = 'failed';
    /** It needs something that was not done. */
    case Barred = 'barred';
    /** It is not called for: what it does up was never undone. */
    case Spared = 'spared';
    /** It can be done now. */
    case Ready = 'ready';
    /** It waits for others. */
    case Waiting = 'waiting';

    public function isSettled(): bool
    {
        return ! in_array($this, [self::Ready, self::Waiting], true);
    }
}
