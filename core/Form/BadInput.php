<?php

declare(strict_types=1);

namespace Core\Form;

/** What was given cannot be reckoned with. Every field at fault carries its messages, in the trade's words. */
final class BadInput extends \InvalidArgumentException
{
    /**
     * @param  non-empty-array<string, list<string>>  $errors  field => messages
     * @param  list<string>  $missing  those of the fields that were not given at all
     */
    public function __construct(public readonly array $errors, public readonly array $missing = [])
    {
        parent::__construct('Some of what was given cannot be reckoned with.');
    }
}
