<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Logbook\Acts\Act;
use App\Logbook\Entry;
use App\Logbook\StandDowns;
use App\Machines\Yard;
use Core\Inspect\Finding;
use Core\Machine\SafetyWords;
use Core\Machine\Verdict;

/** A finding with the looks that it was seen in. */
final readonly class FindingThread
{
    /** @param  non-empty-list<Act>  $looks  the one that found it first */
    public function __construct(
        public Finding $finding,
        public array $looks,
        public ?Act $closedBy = null,
        private ?StandDowns $said = null,
    ) {}

    public function latest(): Act
    {
        return $this->looks[array_key_last($this->looks)];
    }

    public function verdict(): Verdict
    {
        $keepsOff = $this->seen() !== Verdict::StandDown || $this->said?->stands($this->latest()->uuid) === true;

        return $keepsOff ? $this->seen() : Verdict::Act;
    }

    /** What was said of it last, whether or not its word still keeps people off the machine. */
    public function seen(): Verdict
    {
        return $this->latest()->verdict ?? throw new \LogicException('A finding is seen.');
    }

    /** What ended the word by which it stood the machine down; the finding goes on. */
    private function lift(): ?Entry
    {
        return $this->seen() === Verdict::StandDown ? $this->said?->liftOf($this->latest()->uuid) : null;
    }

    private function liftedInWords(Yard $yard): string
    {
        $lift = $this->lift();

        return $lift === null ? '' : SafetyWords::liftedInWords(
            $yard->dayOf($this->latest()->happened_at),
            $yard->dayOf($lift->happened_at),
            $lift->person?->name,
        ).' ';
    }

    /** @return array<string, mixed> as the contract's `Finding` */
    public function toRecord(Yard $yard): array
    {
        $latest = $this->latest();

        return [
            'check' => $latest->check_key,
            'spot' => $latest->spot->key,
            'spot_name' => $latest->spot->name,
            'title' => $latest->title,
            'verdict' => $this->verdict()->value,
            'open' => $this->finding->isOpen(),
            'course' => $this->finding->course()->value,
            'course_in_words' => $this->finding->course()->label(),
            'why' => trim($this->liftedInWords($yard)."{$latest->words} ".($latest->limit_source?->inWords() ?? '')),
            'do' => $latest->advice ?? '',
            'note' => $latest->note,
            'since' => $yard->dayOf($this->looks[0]->happened_at)->format('Y-m-d'),
            'last_seen' => $yard->dayOf($latest->happened_at)->format('Y-m-d'),
            'seen' => count($this->looks),
            'by' => $this->looks[0]->person?->name,
            'photos' => array_merge(
                ...array_map(fn (Act $look): array => $look->photos->pluck('uuid')->all(), $this->looks),
            ),
        ];
    }
}
