<?php

declare(strict_types=1);

namespace App\Logbook\Line;

use App\Machines\Machine;
use App\Machines\Yard;
use Core\LogLine\LogLine;
use Core\LogLine\NotUnderstood;
use Core\LogLine\Parser;

/** The one-line log, read against the machines of this yard. */
final readonly class LineRead
{
    public function __construct(
        private Yard $yard,
        private ReadingLine $readings,
        private PourLine $pours,
        private WorkLine $works,
        private StockLine $stock,
    ) {}

    /**
     * @return non-empty-list<array{LogLine, SaidLine}> what is said of each machine, or of the shelf
     *
     * @throws NotUnderstood
     */
    public function lines(string $text): array
    {
        $names = Machine::query()->where('retired', false)->orderBy('name')->pluck('name', 'id')->all();
        $lines = (new Parser($names, $this->yard->today()))->lines($text);

        return array_map(fn (LogLine $line): array => [$line, match (true) {
            $line->stock !== null => $this->stock,
            $line->pour !== null => $this->pours,
            $line->work !== null => $this->works,
            default => $this->readings,
        }], $lines);
    }
}
