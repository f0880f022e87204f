<?php

declare(strict_types=1);

namespace Core\Form;

/** What was pasted cannot be taken for the table that was asked for; the message says why in plain words. */
final class NotATable extends \InvalidArgumentException {}
