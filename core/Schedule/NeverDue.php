<?php

declare(strict_types=1);

namespace Core\Schedule;

/** A rule or task by which nothing would ever fall due. */
final class NeverDue extends \InvalidArgumentException {}
