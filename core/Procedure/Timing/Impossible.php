<?php

declare(strict_types=1);

namespace Core\Procedure\Timing;

/** Steps that no order can bring to an end. */
final class Impossible extends \DomainException
{
    private function __construct(public readonly string $field, string $message)
    {
        parent::__construct($message);
    }

    public static function circle(string $key): self
    {
        return new self('steps', "The steps run in a circle: \"{$key}\" waits for itself.");
    }

    public static function unknownStep(string $where, string $key): self
    {
        return new self($where === 'holds' ? 'holds' : 'steps', "There is no step \"{$key}\".");
    }

    public static function unknownResource(string $resource): self
    {
        return new self('resources', "Nobody has said how many there are of \"{$resource}\".");
    }

    public static function tooFew(string $key, string $resource, int $count): self
    {
        return new self('resources', "\"{$key}\" takes more of \"{$resource}\" than the {$count} there are.");
    }

    public static function nobody(): self
    {
        return new self('people', 'Somebody has to do it: at least one person.');
    }

    public static function stuck(): self
    {
        return new self('holds', 'Each waits for what another holds, and nothing lets go: with so few of it no order comes to an end.');
    }
}
