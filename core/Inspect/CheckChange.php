<?php

declare(strict_types=1);

namespace Core\Inspect;

/**
 * What a keeper changed about one check: added it, dropped it, moved it, or worded it otherwise.
 *
 * @phpstan-import-type CheckValues from Check
 */
final readonly class CheckChange
{
    /**
     * @param  CheckValues  $values  what is not named stays as it is
     * @param  float|null  $position  where it stands, between the numbers of its neighbours; null where it stays
     */
    public function __construct(
        public string $key,
        public array $values = [],
        public bool $dropped = false,
        public ?float $position = null,
    ) {}

    /** The check as changed; null where it is dropped, or where only a dropped or unknown one is worded otherwise. */
    public function on(?Check $check, LimitSource $by): ?Check
    {
        $values = isset($this->values['limits']) ? [...$this->values, 'limitSource' => $by] : $this->values;

        return match (true) {
            $this->dropped => null,
            $check !== null => $check->with($values),
            isset($values['title']) => (new Check($this->key, ''))->with($values),
            default => null,
        };
    }
}
