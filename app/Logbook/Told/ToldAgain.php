<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Logbook\Acts\Act;
use App\Logbook\Stock\Move;
use App\Machines\Spot;
use Core\Machine\ActKind;

/** What an entry that is corrected told, and the correction leaves as it was. */
final readonly class ToldAgain extends Told
{
    private const COLUMNS = [
        'check_key',
        'looked_by',
        'outcome',
        'verdict',
        'words',
        'advice',
        'limit_source',
        'typed',
        'strokes',
        'sign_seen',
    ];

    public function __construct(public Act $before, ?Spot $spot = null)
    {
        parent::__construct($spot ?? $before->spot, new Telling($before->title, $before->task_id, $before->note));
    }

    public function at(Spot $spot): static
    {
        return new self($this->before, $spot);
    }

    public function kind(): ActKind
    {
        return $this->before->kind;
    }

    /** It was told already; whoever corrects it may strike it. */
    public function ability(): string
    {
        return 'log';
    }

    public function check(): string
    {
        return $this->before->check_key;
    }

    public function columns(): array
    {
        return $this->before->only(self::COLUMNS);
    }

    public function hang(Act $act, Holdings $holdings): void
    {
        foreach (array_filter([$this->before->measure, $this->before->fitting]) as $hung) {
            $hung->replicate()->setAttribute('act_id', $act->id)->save();
        }
        foreach (Move::query()->where('act_id', $this->before->id)->orderBy('id')->get() as $move) {
            $move->replicate()->fill([
                'act_id' => $act->id,
                'entry_id' => $act->entry_id,
                'happened_at' => $act->happened_at,
            ])->save();
        }
    }
}
