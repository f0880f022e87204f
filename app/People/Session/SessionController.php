<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Refusal;
use App\People\NewPassword;
use App\People\Person;
use App\People\Role;
use App\People\SignIn;
use Illuminate\Contracts\Hashing\Hasher;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Signing in and out, and the first keeper of a new yard. */
final class SessionController
{
    private const TRIES_A_NAME = 5;

    /** Several who would all be first may bar each other. */
    private const ATTEMPTS = 5;

    public function __construct(private readonly EndedAccess $endedAccess) {}

    public function show(Request $request): JsonResponse
    {
        $person = $request->user();
        $yard = DB::table('yard')->first(['name', 'time_zone']);

        return new JsonResponse([
            'yard' => $yard?->name,
            'time_zone' => $yard?->time_zone,
            'first_visit' => $isFirst = $person === null && Person::query()->doesntExist(),
            'needs_code' => $isFirst && FirstKeeperCode::isNeeded($request),
            'ended' => $person === null && $this->endedAccess->isSo(),
            'person' => $person instanceof Person ? $person->toAccount() : null,
        ]);
    }

    public function store(Request $request, FewTries $tries, Hasher $hasher): JsonResponse
    {
        $given = $request->validate([
            'sign_in_name' => ['required', 'string', 'max:40'],
            'password' => ['required', 'string', 'max:200'],
        ]);
        $name = mb_strtolower(trim($given['sign_in_name']));
        $person = Person::query()->where(['sign_in_name' => $name, 'active' => true])->first();
        $known = KnownDevice::of($request);
        $isKnown = $known?->knows($person) === true;
        $where = "sign-in:{$name}|".($isKnown ? $known->id : $request->ip());
        $tries->count($where, self::TRIES_A_NAME);
        if (! $isKnown) {
            $tries->countOverAll("sign-in:{$name}");
        }
        // A name that nobody has is as much work as one that somebody has, so that the time taken tells neither.
        if (
            ! $hasher->check($given['password'], $person->password ?? $this->nobodysPassword($hasher))
            || $person === null
        ) {
            throw Refusal::field('password', 'That name and password do not belong together.');
        }
        if ($hasher->needsRehash($person->password)) {
            $person->update(['password' => $given['password']]);
        }
        $tries->forget($where);
        $tries->forgetOverAll("sign-in:{$name}");

        return $this->begin($request, $person);
    }

    private function nobodysPassword(Hasher $hasher): string
    {
        return Cache::rememberForever('nobodys-password', fn (): string => $hasher->make(Str::random()));
    }

    /** From here on this person asks from this device. */
    public function begin(Request $request, Person $person, int $status = 200): JsonResponse
    {
        $person->signIn = SignIn::begin($person, $request)->id;
        Auth::guard('web')->login($person);
        $request->session()->regenerate();
        KnownDevice::remember($request, $person);

        return $this->show($request)->setStatusCode($status);
    }

    public function destroy(Request $request): Response
    {
        $person = Person::asking($request);
        $person->signIns()->whereKey($person->signIn)->delete();
        Auth::guard('web')->logout();
        $request->session()->invalidate();

        return new Response(status: 204);
    }

    /** On the first visit to an empty yard: names the yard and its first keeper, and signs them in. */
    public function firstKeeper(Request $request): JsonResponse
    {
        $given = $request->validate([
            'code' => ['sometimes', 'nullable', 'string', 'max:40'],
            'yard' => ['required', 'string', 'max:80'],
            'time_zone' => ['required', 'timezone:all'],
            'distance_unit' => ['required', 'in:km,mi'],
            'name' => ['required', 'string', 'max:80'],
            'sign_in_name' => ['required', 'string', 'max:40', 'regex:/^[\p{L}\p{N}._@-]+$/u'],
            'password' => NewPassword::rules($request->input('sign_in_name')),
        ]);
        FirstKeeperCode::check($request);
        $keeper = DB::transaction(function () use ($given): Person {
            // The yard's one row lets only one first keeper through at a time.
            DB::table('yard')->upsert(
                [
                    'id' => 1,
                    'name' => $given['yard'],
                    'time_zone' => $given['time_zone'],
                    'distance_unit' => $given['distance_unit'],
                ],
                ['id'],
                ['id'],
            );
            DB::table('yard')->lockForUpdate()->find(1);
            if (Person::query()->exists()) {
                throw Refusal::conflict('This yard has its keeper already. Sign in instead.');
            }
            DB::table('yard')->where('id', 1)->update(
                [
                    'name' => $given['yard'],
                    'time_zone' => $given['time_zone'],
                    'distance_unit' => $given['distance_unit'],
                ],
            );

            return Person::query()->create(
                [
                    'name' => $given['name'],
                    'sign_in_name' => mb_strtolower($given['sign_in_name']),
                    'password' => $given['password'],
                    'role' => Role::Keeper,
                ],
            );
        }, attempts: self::ATTEMPTS);
        FirstKeeperCode::forget();

        return $this->begin($request, $keeper, 201);
    }
}
