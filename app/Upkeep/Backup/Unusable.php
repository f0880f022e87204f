<?php

declare(strict_types=1);

namespace App\Upkeep\Backup;

/** A backup that cannot be made, read or believed; what is wrong, in words for the keeper. */
final class Unusable extends \RuntimeException {}
