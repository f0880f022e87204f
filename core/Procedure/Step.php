<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;

/** One step of a service: something that one person does at one place, or that takes its time by itself. */
final readonly class Step
{
    /** Two clocks of one shed may differ by so many seconds. */
    private const LENIENCE = 15;

    public string $key;

    public StepVerb $verb;

    public StepAct $act;

    /**
     * @param  list<Caution>  $cautions
     * @param  string  $place  the housing or spot at which hands are; empty where they go round the machine
     * @param  bool  $cools  whether what it is done to cools meanwhile: it goes before all that can wait
     */
    public function __construct(
        StepKey $key,
        public Workpiece $on,
        public string $says,
        public int $minutes,
        public array $cautions = [],
        public Bonds $bonds = new Bonds,
        public string $place = '',
        public bool $cools = false,
    ) {
        $this->key = (string) $key;
        $this->verb = $key->verb;
        $this->act = $key->verb->act();
    }

    /**
     * When it is over, of a step that takes its time: what is read before has not run down, and is no reading.
     *
     * @param  \DateTimeImmutable|null  $began  null where it has not begun
     */
    public function ripeAt(?\DateTimeImmutable $began): ?\DateTimeImmutable
    {
        return $began?->add(new \DateInterval("PT{$this->minutes}M"));
    }

    /** Whether what is ripe at one moment may be told done at another. */
    public static function isRipe(\DateTimeImmutable $ripe, \DateTimeImmutable $at): bool
    {
        return $ripe <= $at->add(new \DateInterval('PT'.self::LENIENCE.'S'));
    }

    /** Whole minutes that are left until then, at least one. */
    public static function minutesLeft(\DateTimeImmutable $ripe, \DateTimeImmutable $at): int
    {
        return max(1, (int) ceil(($ripe->getTimestamp() - $at->getTimestamp()) / 60));
    }
}
