<?php

declare(strict_types=1);

namespace Core\Machine;

/** By what an opening is shut. */
enum Closure: string
{
    /** With a wrench, and to a torque. */
    case Thread = 'thread';
    /** By hand: a cap, or a stick that is only lifted. */
    case Cap = 'cap';
    /** By its handle: nothing comes off, and nothing seals it. */
    case Tap = 'tap';
}
