<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\MachineClass;
use Core\Measure\Quantity;

/** The machine that is serviced. */
final readonly class ServicedMachine
{
    /** Under which steps at no spot of its own stand. */
    public const KEY = 'machine';

    /**
     * @param  bool  $raised  whether the work needs it off the ground
     * @param  list<Quantity>  $pans  what each pan of the shed takes; none where nobody said
     */
    public function __construct(
        public MachineClass $class = MachineClass::Tractor,
        public Engine $engine = Engine::Petrol,
        public bool $raised = false,
        public string $name = 'the machine',
        public Tightened $tightened = Tightened::AtOnce,
        public Schools $schools = new Schools,
        public array $pans = [],
    ) {}

    public function isElectric(): bool
    {
        return $this->engine === Engine::Electric && ! $this->stands();
    }

    /** Whether it stands on its frame: it has no wheels, no brakes and no implement. */
    public function stands(): bool
    {
        return $this->class === MachineClass::Generator;
    }

    /** What makes it safe before a hand is at it. */
    public function madeSafe(): string
    {
        $manual = 'The maker\'s manual wins over anything said here.';

        return match (true) {
            $this->stands() => "Load off, set stopped, level. {$manual}",
            $this->isElectric() => "Park it level, brake on, key out, charger unplugged, wheels that stay on the ground chocked. {$manual}",
            default => "Park it level, brake on, implement down, key out, wheels that stay on the ground chocked. {$manual}",
        };
    }

    /** What is done when it has run. */
    public function stopped(): string
    {
        return match (true) {
            $this->stands() => 'then stop it, control off and its fuse out again',
            $this->isElectric() => 'park it level, key out, back to tow',
            default => 'then engine off, key out',
        };
    }

    /** Whether the shed's largest pan takes what comes; empty where nobody said what its pans take. */
    public function pan(Quantity $comes): string
    {
        $largest = array_reduce(
            $this->pans,
            fn (?Quantity $most, Quantity $pan): Quantity => $most === null || $pan->compareTo($most) > 0 ? $pan : $most,
        );

        return match (true) {
            $largest === null => '',
            $largest->compareTo($comes) >= 0 => ", and your {$largest->inWords()} pan takes it",
            default => ", more than your largest pan takes ({$largest->inWords()}): shut it in between and empty the pan",
        };
    }
}
