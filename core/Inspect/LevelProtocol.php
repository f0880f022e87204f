<?php

declare(strict_types=1);

namespace Core\Inspect;

/** How a level is read, or was: always on level ground. */
final readonly class LevelProtocol
{
    public const TEMPERATURES = ['cold', 'warm', 'hot'];

    /**
     * @param  string|null  $engine  `off` or `idling`, null where it does not matter
     * @param  string|null  $temperature  one of {@see self::TEMPERATURES}, null where it does not matter
     * @param  int|null  $waitMinutes  after the run: the earliest moment, or, of a reading, its own
     * @param  string|null  $held  of a stick: `rested` on its threads or `screwed` in
     * @param  int|null  $latestMinutes  read later than this some engines show far above full, which is normal there
     */
    public function __construct(
        public ?string $engine = null,
        public ?string $temperature = null,
        public ?int $waitMinutes = null,
        public ?string $held = null,
        public ?int $latestMinutes = null,
    ) {
    }

    /**
     * What has to be done, or said, before a reading taken like another counts; empty where it does. What nobody said
     * is not assumed.
     */
    public function asksOf(self $actual, bool $onSlope): string
    {
        return $onSlope
            ? 'Park it level: on a slope the level lies. Then read again.'
            : $this->wrongIn($actual)
            ?? $this->missingIn($actual)
            ?? '';
    }

    private function wrongIn(self $actual): ?string
    {
        return match (true) {
            $this->engine === 'idling'
                && $actual->engine === 'off' => 'Start the engine and let it idle: stopped, this one reads over full.',
            $this->engine === 'off'
                && $actual->engine === 'idling' => 'Stop the engine'.($this->waitMinutes > 0 ? ", wait {$this->waitMinutes} min" : '').' and read again.',
            $this->warmth() !== null && $actual
                ->warmth() !== null && $actual
                ->warmth() > $this
                ->warmth() => "Let it cool until it is {$this->temperature}: it is read {$this->temperature}, and warm fluid stands higher.",
            $this->warmth() !== null && $actual
                ->warmth() !== null && $actual
                ->warmth() < $this
                ->warmth() => "Run it until it is {$this->temperature}: it is read {$this->temperature}, and read sooner it shows low.",
            $this->waitMinutes !== null
                && $actual->waitMinutes !== null
                && $actual->waitMinutes < $this->waitMinutes => 'Wait '.($this->waitMinutes - $actual->waitMinutes).' min more: it has not run down yet.',
            $this->latestMinutes !== null
                && $actual->waitMinutes !== null
                && $actual->waitMinutes > $this->latestMinutes => "Run it again and read within {$this->latestMinutes} min: later this one shows far above full, which is normal there.",
            $this->held !== null
                && $actual->held !== null
                && $actual->held !== $this->held => $this->held === 'rested'
                ? 'Wipe the stick and only rest it on its threads.'
                : 'Wipe the stick and screw it right in.',
            default => null,
        };
    }

    private function missingIn(self $actual): ?string
    {
        return match (true) {
            $this->engine !== null && $actual->engine === null => 'Say whether the engine was off or idling.',
            $this->temperature !== null && $actual->temperature === null => 'Say whether it was cold, warm or hot.',
            ($this->waitMinutes !== null || $this->latestMinutes !== null)
                && $actual->waitMinutes === null => 'Say how many minutes it had stood.',
            $this->held !== null
                && $actual->held === null => 'Say whether the stick was rested on its threads or screwed in.',
            default => null,
        };
    }

    public function inWords(): string
    {
        return implode(', ', array_filter([
            'on level ground',
            match ($this->engine) {
                'off' => 'engine off', 'idling' => 'engine idling', default => null
            },
            $this->temperature,
            match (true) {
                $this->latestMinutes !== null => 'after '.($this->waitMinutes ?? 0)." to {$this->latestMinutes} min",
                $this->waitMinutes > 0 => "after {$this->waitMinutes} min",
                default => null,
            },
            match ($this->held) {
                'rested' => 'stick wiped and rested on its threads',
                'screwed' => 'stick wiped and screwed in',
                default => null
            },
        ]));
    }

    private function warmth(): ?int
    {
        return $this->temperature === null ? null : (int) array_search($this->temperature, self::TEMPERATURES, true);
    }
}
