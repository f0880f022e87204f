<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** Whether the engine stands or idles while a level is read. */
enum EngineState: string
{
    case Off = 'off';
    case Idling = 'idling';

    public function inWords(): string
    {
        return "engine {$this->value}";
    }
}
