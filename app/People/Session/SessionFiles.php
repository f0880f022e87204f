<?php

declare(strict_types=1);

namespace App\People\Session;

use Illuminate\Session\FileSessionHandler;

/**
 * The framework's sessions in files. A session that is ended by one request while another is about to read it is no
 * session any more, and no failure.
 */
final class SessionFiles extends FileSessionHandler
{
    public function read($sessionId): string|false
    {
        try {
            return parent::read($sessionId);
        } catch (\ErrorException) {
            return '';
        }
    }

    /** Two requests may sweep at once. */
    public function gc($lifetime): int
    {
        try {
            return parent::gc($lifetime);
        } catch (\RuntimeException) {
            return 0;
        }
    }
}
