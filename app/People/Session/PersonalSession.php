<?php

declare(strict_types=1);

namespace App\People\Session;

use App\People\Person;
use App\People\SignIn;
use Illuminate\Contracts\Session\Session;
use Illuminate\Http\Request;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/**
 * Sessions are kept for whoever is signed in. A stranger leaves nothing behind, however often they ask; nothing is
 * written where nothing changed, but now and then, so that a session in use lives on.
 */
final class PersonalSession extends StartSession
{
    private const KEPT = 'kept_at';

    private const SECONDS_UNTIL_KEPT_AGAIN = 600;

    /** @var array{string, array<string, mixed>}|null the session as it came */
    private ?array $came = null;

    protected function startSession(Request $request, $session): Session
    {
        $started = parent::startSession($request, $session);
        $this->came = [$started->getId(), $started->all()];

        return $started;
    }

    /** Nobody is sent back to where they were: the web application knows its own way. */
    protected function storeCurrentUrl(Request $request, $session): void {}

    protected function saveSession($request): void
    {
        if (! Auth::guard('web')->check()) {
            return;
        }
        $session = $request->session();
        $now = now()->getTimestamp();
        $isFresh = $now - (int) $session->get(self::KEPT) < self::SECONDS_UNTIL_KEPT_AGAIN;
        if ($isFresh && $this->came === [$session->getId(), $session->all()]) {
            return;
        }
        $session->put(self::KEPT, $now);
        $person = Auth::guard('web')->user();
        SignIn::seen($person instanceof Person ? $person->signIn : null);
        parent::saveSession($request);
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (Auth::guard('web')->check()) {
            parent::addCookieToResponse($response, $session);
        }
    }
}
