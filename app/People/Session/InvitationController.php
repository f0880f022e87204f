<?php

declare(strict_types=1);

namespace App\People\Session;

use App\Contract\Refusal;
use App\People\Invitation;
use App\People\NewPassword;
use App\People\Person;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;

/** Inviting somebody, and coming in by an invitation. */
final readonly class InvitationController
{
    public function __construct(private SessionController $session) {}

    /** For somebody new, or who has forgotten their password; theirs holds until the invitation is used. */
    public function store(Person $person): JsonResponse
    {
        if (! $person->active) {
            throw Refusal::conflict("{$person->name} may not sign in. Allow that first.");
        }

        return new JsonResponse(Invitation::open($person), 201);
    }

    /** Chooses a password and is signed in. */
    public function accept(Request $request): JsonResponse
    {
        $request->validate(['code' => ['required', 'string', 'max:60'], 'password' => ['required', 'string', 'max:200']]);
        $person = DB::transaction(function () use ($request): Person {
            $invitation = Invitation::byCode($request->input('code'))
                ?? throw Refusal::field('code', 'That invitation has been used, or has ended. Ask your keeper for a new one.');
            $person = Person::query()->lockForUpdate()->findOrFail($invitation->person_id);
            if (! $person->active) {
                throw Refusal::field('code', 'That invitation has ended. Ask your keeper for a new one.');
            }
            $request->validate(['password' => NewPassword::rules($person->sign_in_name)]);
            $person->fill(['password' => $request->input('password')])->endAccess()->save();

            return $person;
        });

        return $this->session->begin($request, $person);
    }
}
