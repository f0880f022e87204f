<?php

declare(strict_types=1);

namespace Core\Measure;

/**
 * Something typed that is no number, no quantity, or one of the wrong kind. The message is written for the person who
 * typed it.
 */
class Unreadable extends \InvalidArgumentException {}
