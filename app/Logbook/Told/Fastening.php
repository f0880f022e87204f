<?php

declare(strict_types=1);

namespace App\Logbook\Told;

/** How a part went on, or an opening was closed. */
final readonly class Fastening
{
    /**
     * @param  string|null  $number  of the part
     * @param  string|null  $found  how the old one looked
     * @param  bool  $reused  whether the old seal, or the old part, was used again
     * @param  string|null  $torque  as typed
     * @param  string|null  $wrench  what it was tightened with
     */
    public function __construct(
        public ?string $number = null,
        public ?string $found = null,
        public ?string $seal = null,
        public bool $reused = false,
        public ?string $torque = null,
        public ?string $wrench = null,
        public bool $byFeel = false,
    ) {}

    /** @param  array<string, mixed>  $given  as {@see self::rules()} validates it */
    public static function of(array $given): self
    {
        return new self(
            $given['number'] ?? null,
            $given['found'] ?? null,
            $given['seal'] ?? null,
            $given['reused'] ?? false,
            $given['torque'] ?? null,
            $given['wrench'] ?? null,
            $given['by_feel'] ?? false,
        );
    }

    /**
     * @param  string  $path  before each field's name, as in `other.*.`
     * @return array<string, array<mixed>>
     */
    public static function rules(string $path = ''): array
    {
        return [
            "{$path}number" => ['sometimes', 'nullable', 'string', 'max:80'],
            "{$path}found" => ['sometimes', 'nullable', 'string', 'max:200'],
            "{$path}seal" => ['sometimes', 'nullable', 'string', 'max:80'],
            "{$path}reused" => ['sometimes', 'boolean'],
            "{$path}torque" => ['sometimes', 'nullable', 'string', 'max:40'],
            "{$path}wrench" => ['sometimes', 'nullable', 'string', 'max:60'],
            "{$path}by_feel" => ['sometimes', 'boolean'],
        ];
    }

    /** @return array<string, string|true> what was said of it */
    public function columns(): array
    {
        return array_filter([
            'number' => $this->number,
            'found' => $this->found,
            'seal' => $this->seal,
            'reused' => $this->reused,
            'torque' => $this->torque,
            'wrench' => $this->wrench,
            'by_feel' => $this->byFeel,
        ]);
    }
}
