<?php

declare(strict_types=1);

namespace App\People;

use Illuminate\Contracts\Session\Session;
use Illuminate\Session\Middleware\StartSession;
use Illuminate\Support\Facades\Auth;
use Symfony\Component\HttpFoundation\Response;

/** Sessions are kept for whoever is signed in. A stranger leaves nothing behind, however often they ask. */
final class PersonalSession extends StartSession
{
    protected function saveSession($request): void
    {
        if (Auth::guard('web')->check()) {
            parent::saveSession($request);
        }
    }

    protected function addCookieToResponse(Response $response, Session $session): void
    {
        if (Auth::guard('web')->check()) {
            parent::addCookieToResponse($response, $session);
        }
    }
}
