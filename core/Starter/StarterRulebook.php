<?php

declare(strict_types=1);

namespace Core\Starter;

/** A rulebook to begin with. Every figure is common practice, no source: the maker's manual of the machine at hand wins. */
final readonly class StarterRulebook
{
    /**
     * @param  string  $for  whom it suits
     * @param  non-empty-list<StarterRule>  $rules
     */
    public function __construct(
        public string $name,
        public string $for,
        public array $rules,
    ) {}
}
