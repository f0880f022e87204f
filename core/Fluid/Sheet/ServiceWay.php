<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Fluid\Level\FillTo;
use Core\Form\Fields;

/** How a compartment wants to be serviced, where that is otherwise than usual; what is null is as usual. */
final readonly class ServiceWay
{
    private const MOST_CYCLES = 50;

    /**
     * @param  int|null  $purge  cycles
     * @param  bool  $vents  whether it is filled until its vents run
     * @param  bool  $prefill  whether an upright filter is filled before it is fitted
     * @param  bool  $seatedByHand  whether its plugs stay seated by hand until the level is right
     * @param  string|null  $shareFirst  of the book's figure, what is poured before it is run
     * @param  FillTo  $fillTo  how far up its stick
     */
    public function __construct(
        public ServiceMinutes $minutes = new ServiceMinutes,
        public ?int $purge = null,
        public bool $vents = false,
        public bool $prefill = true,
        public bool $seatedByHand = false,
        public ?string $shareFirst = null,
        public FillTo $fillTo = FillTo::Full,
    ) {}

    public static function read(Fields $given): self
    {
        $share = $given->optionalNumber('share_first', 'the share that is poured first', aboveZero: true);
        if ($share?->isGreaterThan(1)) {
            $given->fault('share_first', 'The share that is poured first is at most 1.');
        }

        return new self(
            ServiceMinutes::read($given),
            $given->optionalWholeNumber('purge', 'how many cycles', self::MOST_CYCLES),
            $given->flag('vents', 'whether it is filled until its vents run'),
            ! $given->has('prefill') || $given->flag('prefill', 'whether the filter is filled first'),
            $given->flag('seated_by_hand', 'whether its plugs are seated by hand first'),
            $share === null ? null : (string) $share,
            $given->choice('fill_to', FillTo::Full, 'how far it is filled'),
        );
    }

    /** @return array<string, mixed> as {@see self::read()} reads it */
    public function written(): array
    {
        return [
            'warm' => $this->minutes->warm,
            'drip' => $this->minutes->drip,
            'run' => $this->minutes->run,
            'purge' => $this->purge,
            'vents' => $this->vents,
            'prefill' => $this->prefill,
            'seated_by_hand' => $this->seatedByHand,
            'share_first' => $this->shareFirst,
            'fill_to' => $this->fillTo->value,
        ];
    }
}
