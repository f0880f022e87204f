<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Subject;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;

/** A place where a part sits, as a service sees it. */
final readonly class Part
{
    /** Of a part of no sort that anybody said, by what it belongs to. */
    private const BY_SUBJECT = [
        Subject::AirCleaner->value => PartKind::AirElement,
        Subject::Ignition->value => PartKind::SparkPlug,
        Subject::Battery->value => PartKind::Battery,
        Subject::Belts->value => PartKind::VBelt,
    ];

    /** By what its kind was called before there were more. */
    private const FORMERLY = [
        PartKind::Strainer->value => PartKind::Screen,
        PartKind::Belt->value => PartKind::VBelt,
    ];

    public PartKind $kind;

    /**
     * @param  string|null  $in  the compartment it belongs to
     * @param  string  $number  what to ask for
     */
    public function __construct(
        public string $key,
        PartKind $kind,
        public string $name,
        public ?string $in = null,
        public PartFitting $fitting = new PartFitting,
        public string $number = '',
        public string $hint = '',
        public Subject $subject = Subject::Other,
    ) {
        $this->kind = self::FORMERLY[$kind->value] ?? match (true) {
            $kind === PartKind::Other => self::BY_SUBJECT[$subject->value] ?? $kind,
            $kind === PartKind::Plug && $subject === Subject::Ignition => PartKind::SparkPlug,
            $kind === PartKind::Filter => match (true) {
                $subject === Subject::AirCleaner => PartKind::AirElement,
                // In the line of a petrol engine, on a head with its ring on a diesel.
                $subject === Subject::Fuel => PartKind::Filter,
                default => PartKind::SpinOn,
            },
            default => $kind,
        };
    }

    public function isFilter(): bool
    {
        return $this->kind->isFilter();
    }
}
