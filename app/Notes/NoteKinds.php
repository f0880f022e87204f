<?php

declare(strict_types=1);

namespace App\Notes;

use Illuminate\Contracts\Container\Container;

/** Every kind of note that the rooms have made known. */
final class NoteKinds
{
    /** @var array<string, class-string<NoteKind>> */
    private array $classes = [];

    public function __construct(private readonly Container $container) {}

    /** @param  array<string, class-string<NoteKind>>  $classes  by the name of their kind */
    public function register(array $classes): void
    {
        $this->classes += $classes;
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_keys($this->classes);
    }

    public function named(string $kind): ?NoteKind
    {
        return isset($this->classes[$kind]) ? $this->container->make($this->classes[$kind]) : null;
    }
}
