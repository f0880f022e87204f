<?php

declare(strict_types=1);

namespace Core\Procedure;

/**
 * What becomes of a step hangs on others in three ways. It waits for all `after`. It is barred where one of `needs` was
 * not done, whatever the reason, or one of `shut` could not be: what is shut again counts as shut where it was never
 * opened. It is spared where none of `onlyIf` was done.
 */
final readonly class Bonds
{
    /**
     * @param  list<string>  $after  keys of those before it, directly
     * @param  list<string>  $needs
     * @param  list<string>  $shut
     * @param  list<string>  $onlyIf
     * @param  string  $pair  the step that is its other half: what it undoes is done up there
     * @param  string  $block  steps of one block follow each other at once
     */
    public function __construct(
        public array $after = [],
        public array $needs = [],
        public array $shut = [],
        public array $onlyIf = [],
        public string $pair = '',
        public string $block = '',
    ) {}
}
