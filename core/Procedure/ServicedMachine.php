<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\MachineClass;

/** The machine that is serviced. */
final readonly class ServicedMachine
{
    /** Under which steps at no spot of its own stand. */
    public const KEY = 'machine';

    /** @param  bool  $raised  whether the work needs it off the ground */
    public function __construct(
        public MachineClass $class = MachineClass::Tractor,
        public Engine $engine = Engine::Petrol,
        public bool $raised = false,
        public string $name = 'the machine',
        public Tightened $tightened = Tightened::AtOnce,
        public Schools $schools = new Schools,
    ) {}

    /** What is done when it has run. */
    public function stopped(): string
    {
        return $this->class === MachineClass::Generator
            ? 'then stop it, control off and its fuse out again'
            : 'then engine off, key out';
    }
}
