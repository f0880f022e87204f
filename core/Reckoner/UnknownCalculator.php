<?php

declare(strict_types=1);

namespace Core\Reckoner;

/** No calculator has the name that was asked for. */
final class UnknownCalculator extends \OutOfBoundsException {}
