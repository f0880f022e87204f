<?php

declare(strict_types=1);

namespace App\Logbook\Fluids;

use App\Logbook\Stock\Container;
use App\Logbook\Stock\Supply;
use Core\Measure\Plain;

/**
 * Out of which container something is poured: the one that is named, which is opened by it; else the one open that will
 * do; else none that is known.
 */
final readonly class Source
{
    /** @param  list<Container>  $couldBe  the open ones that would do, where it is none of them for sure */
    private function __construct(
        public ?Supply $fluid,
        public ?Container $container = null,
        private array $couldBe = [],
        private bool $isShelfKept = false,
    ) {}

    /** As somebody said it; nothing, where nobody did. */
    public static function told(?Supply $fluid = null, ?Container $container = null): self
    {
        return new self($container->supply ?? $fluid, $container);
    }

    /**
     * @param  Supply|null  $fluid  what it was, where somebody said so
     * @param  list<Container>  $open  those that will do, with their supplies
     * @param  bool  $isShelfKept  whether anybody keeps book of what is there
     */
    public static function among(?Supply $fluid, array $open, bool $isShelfKept): self
    {
        return count($open) === 1
            ? new self($open[0]->supply, $open[0])
            : new self($fluid, null, $open, $isShelfKept);
    }

    /** What there is to ask where it came from none that is known. */
    public function doubt(): ?string
    {
        return match (true) {
            $this->container !== null || ! $this->isShelfKept => null,
            $this->couldBe === [] => 'It was poured from no container that is open and will do by the book. Count what is there.',
            default => 'It was poured from '.Plain::either($this->names()).': the book does not know which. Count what is there.',
        };
    }

    /** How it goes on after `topped up with 0.3 qt`. */
    public function inWords(): string
    {
        return match (true) {
            $this->container !== null => ", out of the open {$this->container->size} {$this->container->supply->name}.",
            ! $this->isShelfKept => '.',
            $this->couldBe === [] => ', from no container: none that is open will do.',
            default => ', from no container: '.Plain::either($this->names()).' would do. Choose on its page which.',
        };
    }

    /** @return list<string> */
    private function names(): array
    {
        return array_map(fn (Container $one): string => "the {$one->size} {$one->supply->name}", $this->couldBe);
    }
}
