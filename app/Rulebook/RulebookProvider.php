<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Logbook\Acts\GreaseIntervals;
use App\Logbook\Readings\ReadingChanged;
use App\Machines\Machine;
use App\Machines\Yard;
use App\Notes\NoteKinds;
use App\Rulebook\Kinds\CallNote;
use App\Rulebook\Kinds\CorrectionNote;
use App\Rulebook\Kinds\ServiceNote;
use App\Rulebook\Kinds\SkipNote;
use App\Rulebook\Standings\ClassSeason;
use App\Rulebook\Standings\GreaseAnew;
use App\Rulebook\Standings\RuleIntervals;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\ServiceProvider;

/** What the rulebook makes known: its kinds of note, what it ties to a machine, and what it keeps up with. */
final class RulebookProvider extends ServiceProvider
{
    private const NOTES = [
        'service' => ServiceNote::class,
        'correction' => CorrectionNote::class,
        'skip' => SkipNote::class,
        'call' => CallNote::class,
    ];

    public function register(): void
    {
        $this->callAfterResolving(NoteKinds::class, fn (NoteKinds $kinds) => $kinds->register(self::NOTES));
        $this->app->bind(GreaseIntervals::class, RuleIntervals::class);
    }

    public function boot(): void
    {
        Machine::resolveRelationUsing(
            'rules',
            fn (Machine $machine) => $machine
                ->hasMany(Rule::class)
                ->where('retired', false)
                ->orderBy('id')
                ->with('task.spots'),
        );
        Machine::resolveRelationUsing(
            'sharedRulebook',
            fn (Machine $machine) => $machine->belongsTo(SharedRulebook::class, 'shared_rulebook_id'),
        );
        Event::listen(
            ReadingChanged::class,
            fn (ReadingChanged $changed) => ClassSeason::forgetIfItRestsOn(
                $changed->reading->happened_at,
                $changed->machine->class,
                $this->app->make(Yard::class),
            ),
        );
        Event::listen(
            RuleChanged::class,
            fn (RuleChanged $changed) => $this->app->make(GreaseAnew::class)($changed->rule),
        );
    }
}
