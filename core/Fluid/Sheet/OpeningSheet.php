<?php

declare(strict_types=1);

namespace Core\Fluid\Sheet;

use Core\Form\Fields;
use Core\Machine\Closure;
use Core\Measure\Dimension;

/** What is written down of an opening. */
final readonly class OpeningSheet
{
    private const LONGEST = 160;

    private const WORDS = ['tool', 'seal', 'sealant', 'comes_off'];

    /**
     * @param  string  $tool  with its size
     * @param  string  $torque  as the book writes it
     * @param  string  $seal  the washer or ring that belongs to it, with its number
     * @param  string  $sealant  what its thread takes, where it takes any
     * @param  string  $comesOff  what has to come off first
     * @param  list<string>  $loose  what comes off with it and is counted
     */
    public function __construct(
        public string $tool = '',
        public string $torque = '',
        public string $seal = '',
        public string $sealant = '',
        public string $comesOff = '',
        public array $loose = [],
        public Hole $hole = new Hole,
    ) {}

    public function shutBy(Closure $closure): self
    {
        return new self(
            $this->tool,
            $this->torque,
            $this->seal,
            $this->sealant,
            $this->comesOff,
            $this->loose,
            new Hole($this->hole->magnet, $this->hole->side, $closure, $this->hole->also),
        );
    }

    public static function read(Fields $given): self
    {
        $words = [];
        foreach (self::WORDS as $name) {
            $words[$name] = trim((string) $given->optionalText($name, str_replace('_', ' ', $name)));
            if (mb_strlen($words[$name]) > self::LONGEST) {
                $given->fault($name, 'At most '.self::LONGEST.' letters.');
            }
        }
        $torque = $given->optionalMeasure('torque', 'the torque', Dimension::Torque);
        if ($words['seal'] !== '' && $words['sealant'] !== '') {
            $given->fault('sealant', 'A plug with a washer or ring never takes sealant.');
        }

        return new self(
            $words['tool'],
            $torque === null ? '' : $given->written('torque'),
            $words['seal'],
            $words['sealant'],
            $words['comes_off'],
            array_values(array_filter(array_map(trim(...), $given->texts('loose', 'the loose pieces')))),
            Hole::read($given),
        );
    }

    /** @return array<string, mixed> as {@see self::read()} reads it */
    public function written(): array
    {
        return [
            'tool' => $this->tool,
            'torque' => $this->torque === '' ? null : $this->torque,
            'seal' => $this->seal,
            'sealant' => $this->sealant,
            'comes_off' => $this->comesOff,
            'loose' => $this->loose,
            ...$this->hole->written(),
        ];
    }
}
