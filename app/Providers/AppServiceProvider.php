<?php

declare(strict_types=1);

namespace App\Providers;

use App\Bench\JobsOfMachines;
use App\Bench\Kinds\SignOffNote;
use App\Bench\Kinds\StepNote;
use App\Calendar\CalendarFeed;
use App\Contract\Input\StrictValidator;
use App\Logbook\Acts\GreaseIntervals;
use App\Logbook\Acts\WhatMeets;
use App\Logbook\Entry;
use App\Logbook\EntryPolicy;
use App\Logbook\Kinds\AnswerNote;
use App\Logbook\Kinds\FluidNote;
use App\Logbook\Kinds\LiftNote;
use App\Logbook\Kinds\LineNote;
use App\Logbook\Kinds\MeterNote;
use App\Logbook\Kinds\MeterTruthNote;
use App\Logbook\Kinds\ReadingNote;
use App\Logbook\Kinds\RemarkNote;
use App\Logbook\Kinds\ReminderNote;
use App\Logbook\Kinds\StandDownNote;
use App\Logbook\Kinds\StrikeNote;
use App\Logbook\Kinds\TopUpNote;
use App\Logbook\Readings\ReadingChanged;
use App\Machines\CheckLists;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\MachinePolicy;
use App\Machines\SpotChanged;
use App\Machines\Yard;
use App\Notes\KnownJobs;
use App\Notes\NoteKinds;
use App\People\AccessEnded;
use App\People\AccessToken;
use App\People\Person;
use App\People\PersonPolicy;
use App\People\Session\EndedAccess;
use App\People\Session\KnownDevice;
use App\People\Session\PeopleByEpoch;
use App\People\Session\SessionFiles;
use App\People\Token\TokenAbility;
use App\Rulebook\Kinds\CallNote;
use App\Rulebook\Kinds\CorrectionNote;
use App\Rulebook\Kinds\ServiceNote;
use App\Rulebook\Kinds\SkipNote;
use App\Rulebook\Rule;
use App\Rulebook\RuleChanged;
use App\Rulebook\SharedRulebook;
use App\Rulebook\Standings\ClassSeason;
use App\Rulebook\Standings\GreaseAnew;
use App\Rulebook\Standings\KeptStandings;
use App\Rulebook\Standings\RuleIntervals;
use App\Shelf\Kinds\BoughtNote;
use App\Shelf\Kinds\CollectedNote;
use App\Shelf\Kinds\CountedNote;
use App\Shelf\Kinds\GatherNote;
use App\Shelf\Ready\CounterLink;
use App\Walkaround\Kinds\AcceptNote;
use App\Walkaround\Kinds\EndNote;
use App\Walkaround\Kinds\GreaseNote;
use App\Walkaround\Kinds\LookNote;
use App\Walkaround\Kinds\MendedNote;
use App\Walkaround\WalkLine;
use App\Yard\KeptLines;
use App\Yard\YardLine;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\Facades\Validator as ValidatorFactory;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;

/** Ties the rooms together. */
final class AppServiceProvider extends ServiceProvider
{
    /** The kinds of note that the rooms know. */
    private const NOTES = [
        'reading' => ReadingNote::class,
        'line' => LineNote::class,
        'meter' => MeterNote::class,
        'meter_truth' => MeterTruthNote::class,
        'stand_down' => StandDownNote::class,
        'lift' => LiftNote::class,
        'reminder' => ReminderNote::class,
        'remark' => RemarkNote::class,
        'answer' => AnswerNote::class,
        'top_up' => TopUpNote::class,
        'fluid' => FluidNote::class,
        'strike' => StrikeNote::class,
        'service' => ServiceNote::class,
        'correction' => CorrectionNote::class,
        'skip' => SkipNote::class,
        'call' => CallNote::class,
        'look' => LookNote::class,
        'mended' => MendedNote::class,
        'accept' => AcceptNote::class,
        'grease' => GreaseNote::class,
        'end' => EndNote::class,
        'bought' => BoughtNote::class,
        'counted' => CountedNote::class,
        'collected' => CollectedNote::class,
        'gather' => GatherNote::class,
        'step' => StepNote::class,
        'sign_off' => SignOffNote::class,
    ];

    /** The cookie of a test's browser that says how many seconds later it is there. */
    private const CLOCK_MOVED = 'clock_moved_seconds';

    public function register(): void
    {
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Sanctum::authenticateAccessTokensUsing(fn (AccessToken $token, bool $isValid): bool => $isValid && $token->lets());
        $this->app->scoped(EndedAccess::class);
        if (PHP_SAPI === 'fpm-fcgi') {
            $this->keepConnections();
        }
        $this->app->scoped(CheckLists::class);
        $this->app->scoped(Yard::class, fn (): Yard => Yard::query()->firstOrFail());
        $this->app->bind(GreaseIntervals::class, RuleIntervals::class);
        $this->app->bind(KeptStandings::class, KeptLines::class);
        $this->app->bind(KnownJobs::class, JobsOfMachines::class);
        $this->app->singleton(NoteKinds::class, function (Application $app): NoteKinds {
            $kinds = new NoteKinds($app);
            $kinds->register(self::NOTES);

            return $kinds;
        });
    }

    public function boot(): void
    {
        // Whatever host and port a proxy shows to the world, the files are beside the page.
        Vite::createAssetPathsUsing(fn (string $path): string => "/{$path}");
        Date::use(CarbonImmutable::class);
        $this->moveClock((int) config('app.clock_ahead_seconds'));
        Model::preventSilentlyDiscardingAttributes();
        Gate::policy(Machine::class, MachinePolicy::class);
        Gate::policy(Entry::class, EntryPolicy::class);
        Gate::policy(Person::class, PersonPolicy::class);
        Session::extend(
            'file',
            fn (Application $app): SessionFiles => new SessionFiles(
                $app->make('files'),
                config('session.files'),
                config('session.lifetime'),
            ),
        );
        Auth::provider(
            'people-by-epoch',
            fn (Application $app, array $config): PeopleByEpoch => new PeopleByEpoch(
                $app->make('hash'),
                $config['model'],
                fn (): EndedAccess => $app->make(EndedAccess::class),
            ),
        );
        Gate::before(
            fn (Person $person, string $ability): ?bool => TokenAbility::covers($person, $ability) ? null : false,
        );
        Event::listen(
            AccessEnded::class,
            function (AccessEnded $ended): void {
                CalendarFeed::query()->where('person_id', $ended->personId)->delete();
                CounterLink::query()->where('person_id', $ended->personId)->delete();
            },
        );
        EncryptCookies::except(KnownDevice::cookie());
        $this->tieToMachines();
        $this->followFacts();
        ValidatorFactory::resolver(
            fn (
                Translator $translator,
                array $data,
                array $rules,
                array $messages,
                array $attributes,
            ): StrictValidator => new StrictValidator($translator, $data, $rules, $messages, $attributes),
        );
    }

    /** Whoever answers many requests keeps its way to the database from one to the next. */
    private function keepConnections(): void
    {
        $options = 'database.connections.mariadb.options';
        config([$options => config($options) + [\PDO::ATTR_PERSISTENT => true]]);
    }

    /** What the rooms above a machine keep of it. */
    private function tieToMachines(): void
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
    }

    /** What follows from facts is reckoned anew when they change. */
    private function followFacts(): void
    {
        Event::listen(FactsChanged::class, function (FactsChanged $changed): void {
            if ($changed->machineIds === []) {
                return;
            }
            YardLine::outdate($changed->machineIds);
            if (! $changed->byReadingAlone) {
                WalkLine::outdate($changed->machineIds);
            }
        });
        Event::listen(
            ReadingChanged::class,
            fn (ReadingChanged $changed) => ClassSeason::forgetIfItRestsOn(
                $changed->reading->happened_at,
                $changed->machine->class,
                $this->app->make(Yard::class),
            ),
        );
        Event::listen(
            SpotChanged::class,
            fn (SpotChanged $changed) => $this->app->make(WhatMeets::class)->ofPoint($changed->spot),
        );
        Event::listen(
            RuleChanged::class,
            fn (RuleChanged $changed) => $this->app->make(GreaseAnew::class)($changed->rule),
        );
    }

    /**
     * Tests and pictures are made on a day of their own: every clock here, the web's too, runs so far ahead of the
     * computer's.
     *
     * @throws \LogicException in production, where a moved clock would falsify the book
     */
    private function moveClock(int $seconds): void
    {
        if ($seconds === 0) {
            return;
        }
        if ($this->app->isProduction()) {
            throw new \LogicException('CLOCK_AHEAD_SECONDS is for test servers alone. Take it out of the settings.');
        }
        // One browser may stand later than the others, so that nobody waits for a timer.
        $later = (int) ($_COOKIE[self::CLOCK_MOVED] ?? 0);
        Carbon::setTestNow(fn (CarbonInterface $now): CarbonInterface => $now->addSeconds($seconds + $later));
    }
}
