<?php

declare(strict_types=1);

namespace App\People;

use App\People\Session\EndedAccess;
use App\People\Session\KnownDevice;
use App\People\Session\PeopleByEpoch;
use App\People\Session\SessionFiles;
use App\People\Token\TokenAbility;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Cookie\Middleware\EncryptCookies;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use Laravel\Sanctum\Sanctum;

/** How people and programs come in, and what lets them. */
final class PeopleProvider extends ServiceProvider
{
    public function register(): void
    {
        Sanctum::usePersonalAccessTokenModel(AccessToken::class);
        Sanctum::authenticateAccessTokensUsing(fn (AccessToken $token, bool $isValid): bool => $isValid && $token->lets());
        $this->app->scoped(EndedAccess::class);
    }

    public function boot(): void
    {
        Gate::policy(Person::class, PersonPolicy::class);
        Gate::before(
            fn (Person $person, string $ability): ?bool => TokenAbility::covers($person, $ability) ? null : false,
        );
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
        EncryptCookies::except(KnownDevice::cookie());
    }
}
