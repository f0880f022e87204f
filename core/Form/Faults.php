<?php

declare(strict_types=1);

namespace Core\Form;

/** The faults found so far in what was given. */
final class Faults
{
    /** @var array<string, list<string>> */
    private array $messages = [];

    public function add(string $field, string $message): void
    {
        $this->messages[$field][] = $message;
    }

    /** @throws BadInput if there are any */
    public function refuse(): void
    {
        if ($this->messages !== []) {
            throw new BadInput($this->messages);
        }
    }
}
