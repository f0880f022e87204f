<?php

declare(strict_types=1);

namespace Core\Machine;

/** Something said of whether a machine may be used. */
final readonly class SafetyWord
{
    /**
     * @param  string  $id  as whoever said it named it
     * @param  list<string>  $ends  the stand-downs that it lifts
     */
    private function __construct(
        public string $id,
        public \DateTimeImmutable $at,
        public array $ends,
        public bool $standsDown,
    ) {}

    /** Nobody may use it. */
    public static function standDown(string $id, \DateTimeImmutable $at): self
    {
        return new self($id, $at, [], true);
    }

    /**
     * Those stand-downs keep nobody from it any more.
     *
     * @param  list<string>  $standDowns  their ids
     */
    public static function lift(string $id, \DateTimeImmutable $at, array $standDowns): self
    {
        return new self($id, $at, $standDowns, false);
    }
}
