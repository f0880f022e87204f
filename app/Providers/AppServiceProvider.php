<?php

declare(strict_types=1);

namespace App\Providers;

use App\Calendar\CalendarFeed;
use App\Contract\EarlyLengths;
use App\Logbook\Entry;
use App\Logbook\EntryPolicy;
use App\People\AccessEnded;
use App\People\PeopleByEpoch;
use App\People\Person;
use App\People\PersonPolicy;
use App\People\SessionFiles;
use App\People\TokenAbility;
use App\Yard\Machine;
use App\Yard\MachinePolicy;
use App\Yard\Yard;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Contracts\Translation\Translator;
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

/** Ties the rooms together. */
final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->scoped(Yard::class, fn (): Yard => Yard::query()->firstOrFail());
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
        Session::extend('file', fn (Application $app): SessionFiles => new SessionFiles($app->make('files'), config('session.files'), config('session.lifetime')));
        Auth::provider('people-by-epoch', fn (Application $app, array $config): PeopleByEpoch => new PeopleByEpoch($app->make('hash'), $config['model']));
        Gate::before(fn (Person $person, string $ability): ?bool => TokenAbility::covers($person, $ability) ? null : false);
        Event::listen(AccessEnded::class, fn (AccessEnded $ended) => CalendarFeed::query()->where('person_id', $ended->person->id)->delete());
        ValidatorFactory::resolver(fn (Translator $translator, array $data, array $rules, array $messages, array $attributes): EarlyLengths => new EarlyLengths($translator, $data, $rules, $messages, $attributes));
    }

    /**
     * Tests and pictures are made on a day of their own: every clock here, the web's too, runs so far ahead of the computer's.
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
        Carbon::setTestNow(fn (CarbonInterface $now): CarbonInterface => $now->addSeconds($seconds));
    }
}
