<?php

declare(strict_types=1);

namespace Core\Procedure;

use Core\Machine\Caution;

/**
 * One step of a service: something that one person does at one place, or that takes its time by itself.
 *
 * What becomes of it hangs on others in three ways. It waits for all `after`. It is barred where one of `needs` was not
 * done, whatever the reason, or one of `shut` could not be: what is shut again counts as shut where it was never opened.
 * It is spared where none of `onlyIf` was done.
 */
final readonly class Step
{
    /**
     * @param  string  $at  the key of the opening, part or compartment
     * @param  list<string>  $after  keys of those before it, directly
     * @param  list<string>  $needs
     * @param  list<string>  $shut
     * @param  list<string>  $onlyIf
     * @param  bool  $attended  whether somebody's hands are at it
     * @param  list<string>  $uses
     * @param  list<Caution>  $cautions
     * @param  list<string>  $covers  the keys of all places it is done for at once, the first of which is `at`
     * @param  list<string>  $pieces  what is counted
     * @param  string  $object  what it is done to, where that has no spot of its own
     */
    public function __construct(
        public string $key,
        public StepAct $act,
        public string $at,
        public string $says,
        public int $minutes,
        public bool $attended = true,
        public array $after = [],
        public array $needs = [],
        public array $shut = [],
        public array $onlyIf = [],
        public array $uses = [],
        public array $cautions = [],
        public array $covers = [],
        public array $pieces = [],
        public string $object = '',
    ) {
    }

    /** What its key begins with: `shut_off` of `shut_off:fuel`; the whole key of a step that is there once. */
    public function verb(): string
    {
        return explode(':', $this->key, 2)[0];
    }

    /**
     * The same, bound to others.
     *
     * @param  list<string>  $after
     * @param  list<string>  $needs
     * @param  list<string>  $shut
     * @param  list<string>  $onlyIf
     */
    public function bound(array $after, array $needs, array $shut, array $onlyIf): self
    {
        return new self(
            $this->key,
            $this->act,
            $this->at,
            $this->says,
            $this->minutes,
            $this->attended,
            $after,
            $needs,
            $shut,
            $onlyIf,
            $this->uses,
            $this->cautions,
            $this->covers,
            $this->pieces,
            $this->object,
        );
    }
}
