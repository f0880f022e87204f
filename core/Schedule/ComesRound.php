<?php

declare(strict_types=1);

namespace Core\Schedule;

/** Tasks that go with each other in a circle. */
final class ComesRound extends \InvalidArgumentException {}
