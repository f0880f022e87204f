<?php

declare(strict_types=1);

namespace App\Contract;

/** Ends a transaction whose request was refused, so that nothing of it stays. */
final class RolledBack extends \RuntimeException {}
