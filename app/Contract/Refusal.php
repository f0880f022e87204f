<?php

declare(strict_types=1);

namespace App\Contract;

/** A request is refused with a problem; whatever it had begun is rolled back. */
final class Refusal extends \RuntimeException
{
    public function __construct(public readonly Problem $problem)
    {
        parent::__construct($problem->detail);
    }

    /** One field is at fault. */
    public static function field(string $field, string $message): self
    {
        return new self(
            new Problem(
                422,
                'bad-input',
                'Some of this cannot be used',
                'Look at the fields marked; nothing was saved.',
                [$field => [$message]],
            ),
        );
    }

    /** The record does not allow this as it now stands. */
    public static function conflict(string $detail): self
    {
        return new self(new Problem(409, 'conflict', 'Not as things stand', $detail));
    }
}
