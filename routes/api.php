<?php

declare(strict_types=1);

use App\Bench\JobController;
use App\Calendar\CalendarFeedController;
use App\Contract\ApiDocs;
use App\Logbook\Entry;
use App\Logbook\EntryController;
use App\Logbook\Line\LogLineController;
use App\Machines\Machine;
use App\Machines\SpotController;
use App\Notes\NoteController;
use App\People\Person;
use App\People\PersonController;
use App\People\Session\AccountController;
use App\People\Session\InvitationController;
use App\People\Session\SessionController;
use App\People\Token\TokenController;
use App\Reckoner\ReckonController;
use App\Rulebook\ChartController;
use App\Rulebook\RulebookController;
use App\Rulebook\RuleController;
use App\Shelf\CapacitiesController;
use App\Shelf\CompartmentController;
use App\Shelf\Ready\ListController;
use App\Shelf\Ready\NeedsController;
use App\Shelf\SisterSheetsController;
use App\Shelf\Stock\SupplyController;
use App\Upkeep\Computer\ComputerController;
use App\Walkaround\CheckController;
use App\Walkaround\FindingController;
use App\Walkaround\PhotoController;
use App\Walkaround\WalkController;
use App\Yard\MachineController;
use App\Yard\PlateController;
use App\Yard\YardController;
use Illuminate\Support\Facades\Route;

// An id is a number and nothing else: the database would read more into it.
Route::patterns(array_fill_keys(['machine', 'rule', 'person', 'supply', 'list', 'thing', 'link', 'feed', 'signIn'], '[0-9]{1,18}'));

Route::get('openapi.yaml', [ApiDocs::class, 'contract']);
Route::get('docs', [ApiDocs::class, 'readable']);
Route::get('health', [ComputerController::class, 'health']);
Route::get('calendar/{token}.ics', [CalendarFeedController::class, 'show']);
Route::get('counter/{token}', [ListController::class, 'counter']);
Route::get('session', [SessionController::class, 'show']);
Route::post('session', [SessionController::class, 'store']);
Route::post('first-keeper', [SessionController::class, 'firstKeeper']);
Route::post('invitation', [InvitationController::class, 'accept']);

Route::middleware('auth:sanctum')->group(function (): void {
    $may = fn (string $ability, string $on): string => "can:{$ability},{$on}";

    Route::middleware($may('beSignedIn', Person::class))->group(function (): void {
        Route::get('pulse', [ApiDocs::class, 'pulse']);
        Route::get('reckon', [ReckonController::class, 'index']);
        Route::post('reckon/{name}', [ReckonController::class, 'answer'])->middleware('once');
        Route::post('reckon/{name}/typing', [ReckonController::class, 'typing']);
    });

    Route::middleware($may('keepOwn', Person::class))->group(function (): void {
        Route::delete('session', [SessionController::class, 'destroy']);
        Route::put('password', [AccountController::class, 'changePassword']);
        Route::get('sign-ins', [AccountController::class, 'signIns']);
        Route::delete('sign-ins/{signIn}', [AccountController::class, 'endSignIn']);
        Route::get('tokens', [TokenController::class, 'index']);
        Route::post('tokens', [TokenController::class, 'store'])->middleware('once:secret');
        Route::get('calendar-feeds', [CalendarFeedController::class, 'index']);
        Route::post('calendar-feeds', [CalendarFeedController::class, 'store'])->middleware('once:secret');
        Route::delete('calendar-feeds/{feed}', [CalendarFeedController::class, 'destroy']);
        Route::delete('tokens/{token}', [TokenController::class, 'destroy'])->where('token', '[0-9]{1,18}');
    });

    Route::middleware($may('manage', Person::class))->group(function (): void {
        Route::get('people', [PersonController::class, 'index']);
        Route::post('people', [PersonController::class, 'store'])->middleware('once');
        Route::patch('people/{person}', [PersonController::class, 'update']);
        Route::post('people/{person}/invitation', [InvitationController::class, 'store'])->middleware('once:secret');
    });

    Route::middleware($may('view', Machine::class))->group(function (): void {
        Route::get('yard', [YardController::class, 'show']);
        Route::get('machines', [MachineController::class, 'index']);
        Route::get('machines/{machine}', [MachineController::class, 'show']);
        Route::get('machines/{machine}/use', [MachineController::class, 'use']);
        Route::get('machines/{machine}/chart', [ChartController::class, 'show']);
        Route::get('machines/{machine}/chart.csv', [ChartController::class, 'csv']);
        Route::get('rules/{rule}/consequences', [RuleController::class, 'consequences']);
        Route::get('walkaround', [WalkController::class, 'index']);
        Route::get('walkaround/morning', [WalkController::class, 'morning']);
        Route::get('machines/{machine}/walk', [WalkController::class, 'show']);
        Route::get('machines/{machine}/findings/{check}', [FindingController::class, 'show']);
        Route::get('machines/{machine}/trends', [FindingController::class, 'trends']);
        Route::get('machines/{machine}/spots', [SpotController::class, 'index']);
        Route::get('machines/{machine}/spots/{spot:key}', [PlateController::class, 'spot'])->scopeBindings();
        Route::get('machines/{machine}/plate', [PlateController::class, 'show']);
        Route::get('machines/{machine}/compartments', [CompartmentController::class, 'index']);
        Route::get(
            'machines/{machine}/compartments/{spot:key}',
            [CompartmentController::class, 'show'],
        )->scopeBindings();
        Route::get('shelf', [SupplyController::class, 'index']);
        Route::get('shelf/orders', [NeedsController::class, 'orders']);
        Route::get('supplies/{supply}', [SupplyController::class, 'show']);
        Route::get('needs', [NeedsController::class, 'show']);
        Route::get('works', [NeedsController::class, 'works']);
        Route::get('lists', [ListController::class, 'index']);
        Route::get('lists/{list}', [ListController::class, 'show']);
        Route::get('lists/{list}/list.csv', [ListController::class, 'csv']);
        Route::get('jobs', [JobController::class, 'index']);
        Route::get('jobs/{job}', [JobController::class, 'show']);
        Route::get('machines/{machine}/job-choices', [JobController::class, 'choices']);
        Route::get('machines/{machine}/grease', [FindingController::class, 'grease']);
        Route::get('photos/{photo:uuid}', [PhotoController::class, 'show']);
        Route::get('machines/{machine}/entries', [EntryController::class, 'ofMachine']);
    });

    Route::middleware($may('keep', Machine::class))->group(function (): void {
        Route::patch('yard', [YardController::class, 'update']);
        Route::get('computer', [ComputerController::class, 'show']);
        Route::get('computer/morning', [ComputerController::class, 'morning']);
        Route::get('starter-rulebooks', [YardController::class, 'starterRulebooks']);
        Route::get('shared-rulebooks', [RulebookController::class, 'index']);
        Route::post('machines', [MachineController::class, 'store'])->middleware('once');
        Route::patch('machines/{machine}', [MachineController::class, 'update']);
        Route::post('machines/{machine}/rules', [RuleController::class, 'store'])->middleware('once');
        Route::put('machines/{machine}/chart', [ChartController::class, 'update'])->middleware('once');
        Route::post('machines/{machine}/rulebook-copy', [RulebookController::class, 'copy'])->middleware('once');
        Route::post('machines/{machine}/shared-rulebook', [RulebookController::class, 'share'])->middleware('once');
        Route::put('machines/{machine}/shared-rulebook', [RulebookController::class, 'follow'])->middleware('once');
        Route::delete('machines/{machine}/shared-rulebook', [RulebookController::class, 'leave'])->middleware('once');
        Route::patch('rules/{rule}', [RuleController::class, 'update']);
        Route::put('machines/{machine}/checks/{check}', [CheckController::class, 'update']);
        Route::delete('machines/{machine}/checks/{check}', [CheckController::class, 'destroy']);
        Route::post('machines/{machine}/spots', [SpotController::class, 'store'])->middleware('once');
        Route::post('machines/{machine}/usual-spots', [SpotController::class, 'usual'])->middleware('once');
        Route::post('machines/{machine}/spot-suggestions', [SpotController::class, 'suggest']);
        Route::patch('spots/{spot}', [SpotController::class, 'update'])->where('spot', '[0-9]{1,18}');
        Route::put(
            'machines/{machine}/compartments/{spot:key}',
            [CompartmentController::class, 'update'],
        )->scopeBindings();
        Route::post('machines/{machine}/capacities', [CapacitiesController::class, 'read']);
        Route::put('machines/{machine}/capacities', [CapacitiesController::class, 'update'])->middleware('once');
        Route::get('machines/{machine}/sister-sheets', [SisterSheetsController::class, 'index']);
        Route::post('machines/{machine}/sister-sheets', [SisterSheetsController::class, 'store'])->middleware('once');
    });

    Route::middleware($may('service', Machine::class))->group(function (): void {
        Route::post('supplies', [SupplyController::class, 'store'])->middleware('once');
        Route::patch('supplies/{supply}', [SupplyController::class, 'update']);
        Route::post('machines/{machine}/jobs', [JobController::class, 'store'])->middleware('once');
        Route::patch('jobs/{job}', [JobController::class, 'update']);
        Route::delete('jobs/{job}', [JobController::class, 'destroy']);
        Route::post('lists', [ListController::class, 'store'])->middleware('once');
        Route::patch('lists/{list}', [ListController::class, 'update']);
        Route::post('lists/{list}/things', [ListController::class, 'want'])->middleware('once');
        Route::delete('lists/{list}/things/{thing}', [ListController::class, 'unwant']);
        Route::post('lists/{list}/links', [ListController::class, 'link'])->middleware('once:secret');
        Route::delete('lists/{list}/links/{link}', [ListController::class, 'unlink']);
    });

    Route::middleware('once')->group(function () use ($may): void {
        Route::post('notes', [NoteController::class, 'store'])->middleware($may('logSome', Machine::class));
        Route::post('machines/{machine}/photos', [PhotoController::class, 'store'])->middleware($may('log', 'machine'));
    });

    Route::post(
        'machines/{machine}/checks/{check}/verdict',
        [WalkController::class, 'verdict'],
    )->middleware($may('log', 'machine'));
    Route::post('machines/{machine}/compartments/{spot:key}/will-it-do', [CompartmentController::class, 'willItDo'])
        ->scopeBindings()->middleware($may('view', Machine::class));
    Route::post('log-line/preview', [LogLineController::class, 'preview'])->middleware($may('logSome', Machine::class));
    Route::get('entries', [EntryController::class, 'index'])->middleware($may('viewAny', Entry::class));
});

Route::any('{unknown}', [ApiDocs::class, 'nothing'])->where('unknown', '.*');
