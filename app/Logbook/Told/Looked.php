<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Outcome;
use Core\Machine\Verdict;
use Illuminate\Support\Str;

/** A spot was looked at, by a check or by the way; or it was not. */
final readonly class Looked extends Told
{
    /** @param  Verdict|null  $verdict  null where nobody looked, or a task is ticked that says no more */
    public function __construct(
        Spot $spot,
        public ?Verdict $verdict,
        public string $check = '',
        public LookedBy $by = LookedBy::Check,
        public ?string $words = null,
        public ?string $advice = null,
        public bool $wasDone = true,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    /** Something was seen that no check asks for: a finding of its own. */
    public static function found(Spot $spot, Verdict $verdict, ?string $words, ?string $advice, Telling $telling): self
    {
        $key = LookedBy::Chance->key($telling->uuid ?? (string) Str::uuid());

        return new self($spot, $verdict, $key, LookedBy::Chance, $words, $advice, telling: $telling);
    }

    public function kind(): ActKind
    {
        return ActKind::Looked;
    }

    public function ability(): string
    {
        return $this->telling->taskId === null ? 'log' : 'service';
    }

    public function check(): string
    {
        return $this->check;
    }

    public function columns(): array
    {
        return [
            'check_key' => $this->check,
            'looked_by' => $this->by,
            'outcome' => $this->wasDone ? Outcome::Done : Outcome::NotDone,
            'verdict' => $this->verdict,
            'words' => $this->words,
            'advice' => $this->advice,
        ];
    }
}
