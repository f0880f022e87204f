<?php

declare(strict_types=1);

// The suite's own beginning, but for one file of core that is read from elsewhere.

require __DIR__.'/../../vendor/autoload.php';
require (string) getenv('JARDINIER_MUTANT');
