<?php

declare(strict_types=1);

namespace Core\Inspect;

use Core\Machine\Verdict;

/** Something to follow up: from the first look that found it until it was mended or seen no more. */
final readonly class Finding
{
    /** All who look on one occasion do so within this. */
    private const LONGEST_ROUND = '-2 days';

    /** @param  non-empty-list<Sighting>  $sightings  first the one that found it */
    private function __construct(public array $sightings, public ?Sighting $closedBy = null) {}

    /**
     * The findings of one thing, oldest first, from every look at it in whatever order they were written down. What was
     * accepted speaks again only when it is worse than it was then. What stood the machine down is not over because
     * somebody found it fine: it is put right.
     *
     * @param  list<Sighting>  $sightings
     * @return list<self>
     */
    public static function ofOneThing(array $sightings): array
    {
        usort(
            $sightings,
            fn (Sighting $one, Sighting $other): int => [$one->at, $one->id] <=> [$other->at, $other->id],
        );
        $findings = [];
        $seen = [];
        $tolerated = null;
        foreach ($sightings as $sighting) {
            $stoodDown = in_array(Verdict::StandDown, array_column($seen, 'verdict'), true);
            $isFit = $sighting->verdict === Verdict::Fit;
            $ends = $sighting->mended || $sighting->accepted || ($isFit && ! $stoodDown);
            $tolerated = match (true) {
                $sighting->mended => null,
                $sighting->accepted => $sighting->verdict,
                default => $tolerated,
            };
            if (! $ends && ! $isFit && ($seen !== [] || $sighting->verdict->isWorseThan($tolerated))) {
                $seen[] = $sighting;
            } elseif ($ends && $seen !== []) {
                $findings[] = new self($seen, $sighting);
                $seen = [];
            }
        }

        return $seen === [] ? $findings : [...$findings, new self($seen)];
    }

    /**
     * When a thing was last over: put right, or found fit by everybody who looked on that occasion. What stood the
     * machine down since it was last put right is over by no look.
     *
     * @param  \DateTimeImmutable|null  $mended  when it was last put right; null for never
     * @param  \DateTimeImmutable|null  $stoodDown  when it last stood the machine down; null for never
     * @param  iterable<Sighting>  $looks  the newest first; read only as far as it must be
     */
    public static function lastOver(?\DateTimeImmutable $mended, ?\DateTimeImmutable $stoodDown, iterable $looks): ?\DateTimeImmutable
    {
        if ($stoodDown !== null && ($mended === null || $mended <= $stoodDown)) {
            return $mended;
        }
        $fit = [];
        $notFit = [];
        foreach ($looks as $look) {
            if ($mended !== null && $look->at <= $mended) {
                break;
            }
            if ($fit !== [] && reset($fit)->modify(self::LONGEST_ROUND) > $look->at) {
                break;
            }
            if ($look->verdict !== Verdict::Fit) {
                $notFit[$look->occasion] = true;
                unset($fit[$look->occasion]);
            } elseif (! isset($notFit[$look->occasion])) {
                $fit[$look->occasion] ??= $look->at;
            }
        }

        return $fit === [] ? $mended : reset($fit);
    }

    public function isOpen(): bool
    {
        return $this->closedBy === null;
    }

    public function latest(): Sighting
    {
        return $this->sightings[array_key_last($this->sightings)];
    }

    /** How the last look compares with the one before. */
    public function course(): Course
    {
        if ($this->closedBy !== null) {
            return match (true) {
                $this->closedBy->accepted => Course::Accepted,
                $this->closedBy->mended => Course::Mended,
                default => Course::Gone,
            };
        }
        $before = $this->sightings[count($this->sightings) - 2] ?? null;

        return match (true) {
            $before === null => Course::New,
            $this->latest()->verdict->isWorseThan($before->verdict) => Course::Worse,
            $before->verdict->isWorseThan($this->latest()->verdict) => Course::Better,
            default => Course::Same,
        };
    }
}
