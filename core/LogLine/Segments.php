<?php

declare(strict_types=1);

namespace Core\LogLine;

/**
 * A line that names several machines, told apart: `teal, heron fuel filter` says the same of both, `teal 371, heron
 * 412.6` says something of each. What follows a comma and names no machine belongs to the one before.
 */
final readonly class Segments
{
    /** Letters that a name's beginning has at least where it begins a part of its own. */
    private const FEWEST_LETTERS = 3;

    /** @param  list<string>  $names  of machines, and of whatever else a line may begin with */
    public function __construct(private array $names) {}

    /** @return non-empty-list<string> a line for each machine */
    public function of(string $line): array
    {
        $pieces = preg_split('/(,\s+|\s+(?:and|&)\s+)/iu', trim($line), flags: PREG_SPLIT_DELIM_CAPTURE) ?: [trim($line)];
        $parts = [$pieces[0]];
        for ($at = 2; $at < count($pieces); $at += 2) {
            $before = $parts[count($parts) - 1];
            if ($this->nameIn($pieces[$at]) === null || $this->nameIn($before) === null) {
                $parts[count($parts) - 1] = $before.$pieces[$at - 1].$pieces[$at];
            } else {
                $parts[] = $pieces[$at];
            }
        }

        return count($parts) === 1 ? [trim($line)] : $this->filled($parts);
    }

    /**
     * A machine of which nothing is said has the same said of it as the next, or as the one before.
     *
     * @param  non-empty-list<string>  $parts
     * @return non-empty-list<string>
     */
    private function filled(array $parts): array
    {
        $said = array_map($this->saidBeside(...), $parts);
        foreach ($parts as $index => $part) {
            if ($said[$index] !== '') {
                continue;
            }
            $others = array_filter([...array_slice($said, $index + 1), ...array_reverse(array_slice($said, 0, $index))]);
            $parts[$index] = trim("{$part} ".(reset($others) ?: ''));
        }

        return $parts;
    }

    private function saidBeside(string $part): string
    {
        $name = $this->nameIn($part);

        return $name === null ? $part : trim(preg_replace('/\b'.preg_quote($name, '/').'\b/iu', '', $part, 1) ?? '');
    }

    /** The words of a part that name a machine: its whole name anywhere, or the beginning of one where the part begins. */
    private function nameIn(string $part): ?string
    {
        foreach ($this->names as $name) {
            if (preg_match('/(?<![\p{L}\p{N}])'.preg_quote($name, '/').'(?![\p{L}\p{N}])/iu', $part) === 1) {
                return $name;
            }
        }
        if (preg_match('/^\p{L}{'.self::FEWEST_LETTERS.',}/u', $part, $first) !== 1) {
            return null;
        }
        $begun = array_filter(
            $this->names,
            fn (string $name): bool => str_starts_with(mb_strtolower($name), mb_strtolower($first[0])),
        );

        return count($begun) === 1 ? $first[0] : null;
    }
}
