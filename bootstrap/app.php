<?php

declare(strict_types=1);

use App\Contract\FaultReport;
use App\Contract\KeepOnce;
use App\Contract\ProblemOf;
use App\Contract\ReadableBody;
use App\Contract\Refusal;
use App\Contract\RefusalLog;
use App\Contract\RoomToWrite;
use App\Contract\SecurityHeaders;
use App\Contract\TrustProxies;
use App\Contract\YardClock;
use App\Machines\Yard;
use App\People\ResetKeeper;
use App\People\Session\EndedAccess;
use App\People\Session\FewTries;
use App\People\Session\PrintKeeperCode;
use App\People\Session\SessionOrToken;
use App\Upkeep\Commands\DoNightWorkNow;
use App\Upkeep\Commands\ListBackups;
use App\Upkeep\Commands\MakeBackup;
use App\Upkeep\Commands\TellStatus;
use App\Upkeep\Commands\UnpackBackup;
use App\Upkeep\Computer\ComputerState;
use App\Upkeep\Night\NightWatch;
use App\Upkeep\Trouble\WriteTrouble;
use App\Yard\Commands\RebuildYard;
use Core\Form\BadInput;
use Core\Reckoner\UnknownCalculator;
use Database\Demo\DemoAccounts;
use Database\Demo\DemoPasswords;
use Database\Demo\LoadDemo;
use Illuminate\Console\Scheduling\Schedule;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Foundation\Http\Middleware\ConvertEmptyStringsToNull;
use Illuminate\Foundation\Http\Middleware\TrimStrings;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Log;
use Symfony\Component\HttpFoundation\Response;

$app = Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', api: __DIR__.'/../routes/api.php')
    ->withCommands([RebuildYard::class, ResetKeeper::class, PrintKeeperCode::class, LoadDemo::class, DemoAccounts::class, DemoPasswords::class, MakeBackup::class, ListBackups::class, UnpackBackup::class, TellStatus::class, WriteTrouble::class, DoNightWorkNow::class])
    ->withSchedule(function (Schedule $schedule): void {
        $schedule->call(new NightWatch)->name('night')->everyMinute()->withoutOverlapping(10);
        $schedule->call(fn () => Yard::query()->get()->each(fn (Yard $yard) => ComputerState::note($yard)))->name('seen')->everyMinute();
    })
    ->withMiddleware(function (Middleware $middleware): void {
        $middleware->use([SecurityHeaders::class, TrustProxies::class, FewTries::class, ReadableBody::class, RoomToWrite::class, TrimStrings::class, ConvertEmptyStringsToNull::class]);
        $middleware->redirectGuestsTo(fn (): ?string => null);
        $middleware->group('web', [SessionOrToken::class]);
        $middleware->group('api', [YardClock::class, SessionOrToken::class, Illuminate\Routing\Middleware\SubstituteBindings::class]);
        $middleware->alias(['once' => KeepOnce::class]);
        $middleware->priority([SessionOrToken::class, Illuminate\Contracts\Auth\Middleware\AuthenticatesRequests::class, Illuminate\Routing\Middleware\SubstituteBindings::class, Illuminate\Auth\Middleware\Authorize::class, KeepOnce::class]);
    })
    ->withExceptions(function (Exceptions $exceptions): void {
        $exceptions->report(fn (Throwable $fault) => Log::error(FaultReport::of($fault)))->stop();
        $exceptions->dontReport([Refusal::class, BadInput::class, UnknownCalculator::class]);
        $exceptions->render(function (Throwable $thrown, Request $request): ?Response {
            if (! $request->is('api/*')) {
                return null;
            }
            $problem = app(EndedAccess::class)->problem($thrown) ?? ProblemOf::thrown($thrown);
            RefusalLog::note($request, $problem);

            return $problem->toResponse($request);
        });
    })
    ->create();

// Everything a running yard writes lives in its own state folder: settings, sessions, logs.
if ($state = getenv('JARDINIER_STATE')) {
    $app->useEnvironmentPath($state);
    $app->useStoragePath($state.'/storage');
}

return $app;
