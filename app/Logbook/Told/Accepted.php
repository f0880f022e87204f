<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Core\Measure\Plain;

/** Something found is known and lived with: it speaks again only when it is worse. */
final readonly class Accepted extends Told
{
    /**
     * @param  Verdict  $verdict  what was said of it last
     * @param  string|null  $words  of whoever saw it last
     * @param  string|null  $losesAYear  what it usually loses, as typed
     * @param  Spot|null  $of  the compartment that it loses it of
     */
    public function __construct(
        Spot $spot,
        public string $check,
        public Verdict $verdict,
        public ?string $words = null,
        public ?string $losesAYear = null,
        public ?Spot $of = null,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    public function kind(): ActKind
    {
        return ActKind::Looked;
    }

    public function ability(): string
    {
        return 'keep';
    }

    public function check(): string
    {
        return $this->check;
    }

    public function columns(): array
    {
        $of = $this->of === null ? '' : ' of '.Plain::within($this->of->name);

        return [
            'check_key' => $this->check,
            'outcome' => Outcome::Accepted,
            'verdict' => $this->verdict,
            'words' => $this->losesAYear === null ? $this->words : "Loses {$this->losesAYear} a year{$of}.",
            'typed' => $this->losesAYear === null ? null : ['loses_a_year' => $this->losesAYear, 'of' => $this->of?->key],
        ];
    }
}
