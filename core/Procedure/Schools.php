<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Form\Fields;

/** Which schools a machine's keeper follows. */
final readonly class Schools
{
    /** A seal is used again two or three times. Handbook section 12. */
    private const MOST_REUSES = 3;

    /** @param  array<string, string>  $chosen  the way by the school's key; the default where there is none */
    public function __construct(private array $chosen = []) {}

    public static function read(Fields $given): self
    {
        $chosen = [];
        foreach (School::cases() as $school) {
            $way = $given->has($school->value)
                ? $given->option($school->value, array_keys($school->ways()), mb_strtolower($school->asks()))
                : null;
            if ($way !== null) {
                $chosen[$school->value] = $way;
            }
        }

        return new self($chosen);
    }

    public function way(School $school): string
    {
        $ways = $school->ways();

        return array_key_exists($this->chosen[$school->value] ?? '', $ways)
            ? $this->chosen[$school->value]
            : array_key_first($ways);
    }

    /** What the chosen way says. */
    public function says(School $school): string
    {
        return $school->ways()[$this->way($school)];
    }

    /** @param  int  $times  how often in a row the old one was used again */
    public function areSealsReused(int $times = 0): bool
    {
        return $this->way(School::Seals) === 'reuse' && $times < self::MOST_REUSES;
    }

    /** What goes on with a seal. */
    public function seal(string $seal): string
    {
        return $this->areSealsReused() ? "with its {$seal}, the old one if it is sound" : "with a new {$seal}";
    }

    public function isPlugUsedAgain(): bool
    {
        return $this->way(School::SparkPlug) === 'regapped';
    }

    /** How foam and paper are treated. */
    public function airCleaner(): string
    {
        return "foam is {$this->says(School::PreCleaner)}; paper is {$this->says(School::AirElement)}";
    }

    /** @return array<string, string> the way by the school's key, each of them */
    public function written(): array
    {
        $ways = [];
        foreach (School::cases() as $school) {
            $ways[$school->value] = $this->way($school);
        }

        return $ways;
    }
}
