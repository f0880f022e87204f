<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Machines\Machine;
use App\Machines\Spot;
use Core\Machine\ActKind;
use Core\Machine\LookedBy;
use Core\Machine\Outcome;
use Core\Machine\SpotKind;
use Core\Machine\Verdict;
use Core\Measure\TooMuch;

/**
 * A point that got grease, or into which it did not go: the nipple's own finding begins and ends with that. A housing
 * that is greased instead of filled has its old fluid pushed out, as a change of oil would.
 */
final readonly class Greased extends Told
{
    private const MOST_STROKES = 500;

    /** What squeezes out round the coupler has not gone in. Common practice, no source. */
    private const NOT_IN = 'The grease did not go in.';

    private const DO = 'Press the check ball in with a small blade and try again, or fit a new nipple.';

    /** @param  int|null  $strokes  as counted; null where nobody counted them */
    public function __construct(
        Spot $spot,
        public bool $wentIn = true,
        public ?int $strokes = null,
        public bool $signSeen = false,
        Telling $telling = new Telling,
    ) {
        parent::__construct($spot, $telling);
    }

    /** @param  array<string, mixed>  $given  as {@see self::rules()} validates it */
    public static function of(Spot $spot, array $given, Telling $telling): self
    {
        return new self(
            $spot,
            ($given['did_not_go_in'] ?? false) !== true,
            $given['strokes'] ?? null,
            $given['sign_seen'] ?? false,
            $telling,
        );
    }

    /**
     * @param  string  $path  before each field's name, as in `greased.*.`
     * @return array<string, array<mixed>>
     */
    public static function rules(string $path = ''): array
    {
        return [
            "{$path}did_not_go_in" => ['sometimes', 'boolean'],
            "{$path}strokes" => ['sometimes', 'nullable', 'integer', 'between:1,'.self::MOST_STROKES],
            "{$path}sign_seen" => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public static function messages(string $path = ''): array
    {
        return ["{$path}strokes.between" => 'From 1 to '.self::MOST_STROKES.' strokes.'];
    }

    public function kind(): ActKind
    {
        return $this->isPoint() ? ActKind::Lubricated : ActKind::Changed;
    }

    public function ability(): string
    {
        return $this->isPoint() && $this->telling->taskId === null ? 'log' : 'service';
    }

    public function check(): string
    {
        return $this->isPoint() ? LookedBy::Greasing->key((string) $this->spot->id) : '';
    }

    public function columns(): array
    {
        return [
            'strokes' => $this->wentIn ? $this->strokes ?? $this->usualStrokes() : null,
            ...$this->isPoint() ? [
                'check_key' => $this->check(),
                'looked_by' => LookedBy::Greasing,
                'outcome' => $this->wentIn ? Outcome::Done : Outcome::NotDone,
                'verdict' => $this->wentIn ? Verdict::Fit : Verdict::Act,
                'words' => $this->wentIn ? null : self::NOT_IN,
                'advice' => $this->wentIn ? null : self::DO,
                'sign_seen' => $this->wentIn && $this->signSeen,
            ] : ['words' => 'Greased instead.'],
        ];
    }

    public function questions(Machine $machine, Holdings $holdings): array
    {
        $asks = ! $this->isPoint() || $this->strokes === null
            ? null
            : TooMuch::strokes($this->strokes, $this->spot->name, $this->spot->greasePoint()->strokes);

        return $asks === null ? [] : [Question::first($this->telling->field('strokes'), $asks)];
    }

    /** What the keeper has counted there before; what a starter says is no count. */
    private function usualStrokes(): ?int
    {
        $point = $this->spot->greasePoint();

        return $this->isPoint() && ! $point->isAbout ? $point->strokes : null;
    }

    private function isPoint(): bool
    {
        return $this->spot->kind !== SpotKind::Compartment;
    }
}
