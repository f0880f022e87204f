<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Problem;
use Illuminate\Auth\AuthenticationException;

/**
 * Whether whoever asks was let in once and is no more: put out, or their password changed. A device that hears so keeps
 * nothing of what was read on it.
 */
final class EndedAccess
{
    private bool $isSo = false;

    public function note(): void
    {
        $this->isSo = true;
    }

    public function isSo(): bool
    {
        return $this->isSo;
    }

    public function problem(\Throwable $thrown): ?Problem
    {
        return ! $this->isSo || ! $thrown instanceof AuthenticationException ? null : new Problem(
            401,
            'access-ended',
            'Your access has ended',
            'Whoever was signed in here is so no more. Sign in again; what was not sent is kept on this device.',
        );
    }
}
