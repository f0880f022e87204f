<?php

declare(strict_types=1);

namespace Core\Form;

/** The faults found so far in what was given. */
final class Faults
{
    /** @var array<string, list<string>> */
    private array $messages = [];

    /** @var array<string, true> fields that were not given at all */
    private array $missing = [];

    public function add(string $field, string $message, bool $isMissing = false): void
    {
        $this->messages[$field][] = $message;
        if ($isMissing) {
            $this->missing[$field] = true;
        }
    }

    /** @throws BadInput if there are any */
    public function refuse(): void
    {
        if ($this->messages !== []) {
            throw new BadInput($this->messages, array_keys($this->missing));
        }
    }
}
