<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Form\Fields;

/** How long a compartment's service takes its time; what is null is as usual. */
final readonly class ServiceMinutes
{
    private const LONGEST = 1_440;

    /**
     * @param  int|null  $warm  before it is drained
     * @param  int|null  $run  after it was filled, before it is read
     * @param  int|null  $wait  after that run
     */
    public function __construct(
        public ?int $warm = null,
        public ?int $drip = null,
        public ?int $run = null,
        public ?int $wait = null,
    ) {}

    public static function read(Fields $given): self
    {
        return new self(
            $given->optionalWholeNumber('warm', 'how long it is warmed', self::LONGEST),
            $given->optionalWholeNumber('drip', 'how long it drips', self::LONGEST),
            $given->optionalWholeNumber('run', 'how long it runs', self::LONGEST),
        );
    }
}
