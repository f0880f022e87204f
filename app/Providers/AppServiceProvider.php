<?php

declare(strict_types=1);

namespace App\Providers;

use App\Contract\Input\StrictValidator;
use App\Notes\NoteKinds;
use Carbon\CarbonImmutable;
use Carbon\CarbonInterface;
use Illuminate\Contracts\Translation\Translator;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Validator as ValidatorFactory;
use Illuminate\Support\Facades\Vite;
use Illuminate\Support\ServiceProvider;

/** What all rooms stand on: one clock, one way to the database, words for what cannot be used. Each room has a provider of its own. */
final class AppServiceProvider extends ServiceProvider
{
    /** The cookie of a test's browser that says how many seconds later it is there. */
    private const CLOCK_MOVED = 'clock_moved_seconds';

    public function register(): void
    {
        if (PHP_SAPI === 'fpm-fcgi') {
            $this->keepConnections();
        }
        $this->app->singleton(NoteKinds::class);
    }

    public function boot(): void
    {
        // Whatever host and port a proxy shows to the world, the files are beside the page.
        Vite::createAssetPathsUsing(fn (string $path): string => "/{$path}");
        Date::use(CarbonImmutable::class);
        $this->moveClock((int) config('app.clock_ahead_seconds'));
        // What comes from outside is validated first; nothing is passed on as it came.
        Model::unguard();
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
