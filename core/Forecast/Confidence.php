<?php

declare(strict_types=1);

namespace Core\Forecast;

/** How far a forecast can be trusted. */
enum Confidence: string
{
    case Good = 'good';
    case Fair = 'fair';
    case Thin = 'thin';
    case None = 'none';
}
