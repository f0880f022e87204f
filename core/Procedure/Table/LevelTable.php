<?php

declare(strict_types=1);

namespace Core\Procedure\Table;

use Brick\Math\BigRational;
use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\FillTo;
use Core\Fluid\Level\LevelMark;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\StickHeld;
use Core\Fluid\Level\Warmth;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/**
 * A level's verdicts made ready for where nobody can ask: for each twentieth of the band what it says and how much is
 * missing or too much, and for each answer about how it was read why it is no reading.
 */
final readonly class LevelTable
{
    /** Into so many parts the band is read. */
    public const PARTS = 20;

    /** In twentieths: from well below the add mark to twice the band. */
    private const LOWEST = -4;

    private const HIGHEST = 40;

    /** So far over full, in twentieths, it is asked whether it has run down. Common practice, no source. */
    private const FAR_OVER = 30;

    /** @param  Quantity|null  $band  what lies between the marks; null where nobody has learned it yet */
    public function __construct(
        private LevelMethod $method,
        private LevelProtocol $protocol,
        private ?Quantity $band,
        private FillTo $fillTo = FillTo::Full,
    ) {}

    /** @return list<array{level: int, label: string, verdict: string, says: string, missing_ml: int|null, over_ml: int|null, stands: string}> */
    public function rows(): array
    {
        if (! $this->method->hasScale()) {
            return array_map(
                fn (LevelMark $mark): array => $this->row($mark === LevelMark::Full ? self::PARTS : 0, $mark),
                $this->method->marks(),
            );
        }

        return array_values(array_map(
            fn (int $part): array => $this->row($part, LevelMark::at(BigRational::nd($part, self::PARTS))),
            range(self::LOWEST, self::HIGHEST),
        ));
    }

    /** @return list<array{name: string, asks: string, options: list<array{value: string, label: string, wrong: string}>}> */
    public function questions(): array
    {
        $protocol = $this->protocol;
        $questions = [$this->question('slope', 'How does it stand?', [
            'level' => ['level', $protocol, false],
            'slope' => ['on a slope', $protocol, true],
        ])];
        if ($protocol->held !== null) {
            $questions[] = $this->question('held', 'How was the stick held?', $this->each(
                StickHeld::cases(),
                fn (StickHeld $held): array => [$held->inWords(), new LevelProtocol(held: $held), false],
            ));
        }
        if ($protocol->engine === EngineState::Idling) {
            $questions[] = $this->question('engine', 'Was the engine running?', $this->each(
                EngineState::cases(),
                fn (EngineState $engine): array => [$engine->inWords(), new LevelProtocol(engine: $engine), false],
            ));
        }
        if ($protocol->warmth !== null) {
            $questions[] = $this->question('temperature', 'How warm was it?', $this->each(
                Warmth::cases(),
                fn (Warmth $warmth): array => [$warmth->value, new LevelProtocol(warmth: $warmth), false],
            ));
        }

        return $questions;
    }

    /** @return array{level: int, label: string, verdict: string, says: string, missing_ml: int|null, over_ml: int|null, stands: string} */
    private function row(int $part, LevelMark $mark): array
    {
        $right = intdiv(self::PARTS * ($this->method->hasScale() ? $this->fillTo->hundredths() : 100), 100);
        $missing = max(0, $right - $part);
        $over = max(0, $part - self::PARTS);
        $missingMl = $this->share($missing);
        $overMl = $this->share($over);

        return [
            'level' => $part,
            'label' => $this->method->label($mark),
            'verdict' => $mark->verdict()->value,
            'says' => match (true) {
                $part >= self::FAR_OVER => 'Far above full. Just poured, it has not run down yet: wait and read again, do not drain. If it smells of fuel, do not run it: fuel gets in.',
                $over > 0 => 'Over full. If it was just poured, wait and read again first; else '
                    .($overMl === null ? 'draw some off.' : "draw off {$this->words($overMl)}."),
                $missing === 0 && $right < self::PARTS => 'Right: it is filled to '.self::partOfBand($right).', no further.',
                $missing === 0 => 'Right.',
                $missingMl === null => ucfirst(self::partOfBand($missing)).' of the band is missing. Pour a little, write down how much, read again: then this stick is known.',
                default => "Pour {$this->words($missingMl)}, then read again.",
            },
            'missing_ml' => $missing === 0 ? 0 : $missingMl,
            'over_ml' => $over === 0 ? 0 : $overMl,
            'stands' => match (true) {
                $mark->verdict() === Verdict::Fit => $missing === 0 ? 'right' : 'enough',
                $missing === 0 => 'over',
                default => 'low',
            },
        ];
    }

    private static function partOfBand(int $parts): string
    {
        return match ($parts) {
            self::PARTS / 4 => 'a quarter',
            self::PARTS / 2 => 'half',
            3 * self::PARTS / 4 => 'three quarters',
            self::PARTS => 'all',
            default => "{$parts}/".self::PARTS,
        };
    }

    private function share(int $parts): ?int
    {
        return $this->band?->times(BigRational::nd($parts, self::PARTS))->wholeMillilitres();
    }

    private function words(int $millilitres): string
    {
        return Quantity::of($millilitres, Unit::Millilitre)->display();
    }

    /**
     * @template T of \BackedEnum
     *
     * @param  list<T>  $cases
     * @param  callable(T): array{string, LevelProtocol, bool}  $answer
     * @return array<string, array{string, LevelProtocol, bool}>
     */
    private function each(array $cases, callable $answer): array
    {
        $answers = [];
        foreach ($cases as $case) {
            $answers[(string) $case->value] = $answer($case);
        }

        return $answers;
    }

    /**
     * @param  array<string, array{string, LevelProtocol, bool}>  $answers
     * @return array{name: string, asks: string, options: list<array{value: string, label: string, wrong: string}>}
     */
    private function question(string $name, string $asks, array $answers): array
    {
        $options = [];
        foreach ($answers as $value => [$label, $actual, $onSlope]) {
            $options[] = [
                'value' => $value,
                'label' => $label,
                'wrong' => $this->protocol->wrongIn($actual, $onSlope),
            ];
        }

        return ['name' => $name, 'asks' => $asks, 'options' => $options];
    }
}
