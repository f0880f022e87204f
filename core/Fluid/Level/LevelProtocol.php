<?php

declare(strict_types=1);

namespace Core\Fluid\Level;

/** How a level is read, or was: always on level ground. What is null does not matter, or was not said. */
final readonly class LevelProtocol
{
    /**
     * @param  int|null  $waitMinutes  after the run: the earliest moment, or, of a reading, its own
     * @param  int|null  $latestMinutes  read later than this some engines show far above full, which is normal there
     */
    public function __construct(
        public ?EngineState $engine = null,
        public ?Warmth $warmth = null,
        public ?int $waitMinutes = null,
        public ?StickHeld $held = null,
        public ?int $latestMinutes = null,
    ) {}

    /**
     * What has to be done, or said, before a reading taken like another counts; empty where it does. What nobody said
     * is not assumed.
     */
    public function asksOf(self $actual, bool $onSlope): string
    {
        return $this->wrongIn($actual, $onSlope) ?: $this->missingIn($actual) ?? '';
    }

    /** What was otherwise than it should have been, of what was said; empty where nothing was. */
    public function wrongIn(self $actual, bool $onSlope): string
    {
        return match (true) {
            $onSlope => 'Park it level: on a slope the level lies. Then read again.',
            default => $this->wrongEngine($actual) ?? $this->wrongWarmth($actual) ?? $this->wrongMoment($actual)
                ?? ($actual->held === null || $actual->held === $this->held ? '' : (string) $this->held?->toDo()),
        };
    }

    private function wrongEngine(self $actual): ?string
    {
        if ($actual->engine === null || $actual->engine === $this->engine) {
            return null;
        }
        $wait = $this->waitMinutes > 0 ? ", wait {$this->waitMinutes} min" : '';

        return match ($this->engine) {
            null => null,
            EngineState::Idling => 'Start the engine and let it idle: stopped, this one reads over full.',
            EngineState::Off => "Stop the engine{$wait} and read again.",
        };
    }

    private function wrongWarmth(self $actual): ?string
    {
        $asked = $this->warmth;
        if ($asked === null || $actual->warmth === null || $actual->warmth === $asked) {
            return null;
        }

        return $actual->warmth->isMoreThan($asked)
            ? "Let it cool until it is {$asked->value}: it is read {$asked->value}, and warm fluid stands higher."
            : "Run it until it is {$asked->value}: it is read {$asked->value}, and read sooner it shows low.";
    }

    private function wrongMoment(self $actual): ?string
    {
        $waited = $actual->waitMinutes;

        return match (true) {
            $waited === null => null,
            $this->waitMinutes !== null
                && $waited < $this->waitMinutes => 'Wait '.($this->waitMinutes - $waited).' min more: it has not run down yet.',
            $this->latestMinutes !== null
                && $waited > $this->latestMinutes => "Run it again and read within {$this->latestMinutes} min: "
                    .'later this one shows far above full, which is normal there.',
            default => null,
        };
    }

    private function missingIn(self $actual): ?string
    {
        $isTimed = $this->waitMinutes !== null || $this->latestMinutes !== null;

        return match (true) {
            $this->engine !== null && $actual->engine === null => 'Say whether the engine was off or idling.',
            $this->warmth !== null && $actual->warmth === null => 'Say whether it was cold, warm or hot.',
            $isTimed && $actual->waitMinutes === null => 'Say how many minutes it had stood.',
            $this->held !== null
                && $actual->held === null => 'Say whether the stick was rested on its threads or screwed in.',
            default => null,
        };
    }

    public function inWords(): string
    {
        return implode(', ', array_filter([
            'on level ground',
            $this->engine?->inWords(),
            $this->warmth?->value,
            match (true) {
                $this->latestMinutes !== null => 'after '.($this->waitMinutes ?? 0)." to {$this->latestMinutes} min",
                $this->waitMinutes > 0 => "after {$this->waitMinutes} min",
                default => null,
            },
            $this->held?->inProtocol(),
        ]));
    }
}
