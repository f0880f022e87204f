<?php

declare(strict_types=1);

namespace App\Contract;

use Core\Form\BadInput;
use Core\Reckoner\UnknownCalculator;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** What the world is told of something that was thrown. */
final class ProblemOf
{
    public static function thrown(\Throwable $thrown): Problem
    {
        return match (true) {
            $thrown instanceof Refusal => $thrown->problem,
            $thrown instanceof ValidationException => new Problem(
                422,
                'bad-input',
                'Some of this cannot be used',
                'Look at the fields marked; nothing was saved.',
                $thrown->errors(),
            ),
            $thrown instanceof BadInput => new Problem(
                422,
                'bad-input',
                'Some of this cannot be used',
                $thrown->getMessage(),
                $thrown->errors,
            ),
            $thrown instanceof UnknownCalculator => new Problem(404, 'not-found', 'Not found', $thrown->getMessage()),
            $thrown instanceof AuthenticationException => new Problem(
                401,
                'not-signed-in',
                'Not signed in',
                'Sign in first; what you typed is kept.',
            ),
            $thrown instanceof AuthorizationException => new Problem(
                403,
                'not-allowed',
                'Not yours to do',
                $thrown->response()?->message() ?? 'Your role does not allow this. Ask a keeper.',
            ),
            $thrown instanceof ModelNotFoundException => new Problem(
                404,
                'not-found',
                'Not found',
                'There is no such thing in this yard.',
            ),
            $thrown instanceof HttpExceptionInterface => self::fromHttp($thrown),
            $thrown instanceof UniqueConstraintViolationException => new Problem(
                409,
                'conflict',
                'Not as things stand',
                'Somebody wrote the same a moment ago. Load the page again.',
            ),
            ($busy = Unavailable::because($thrown)) !== null => Problem::unavailable($busy),
            default => new Problem(
                500,
                'our-fault',
                'Something broke here',
                'This is a fault of the program and has been written to its log. Nothing was saved.',
            ),
        };
    }

    private static function fromHttp(HttpExceptionInterface $thrown): Problem
    {
        $headers = array_map(strval(...), $thrown->getHeaders());

        return match ($thrown->getStatusCode()) {
            403 => new Problem(403, 'not-allowed', 'Not yours to do', 'Your role does not allow this. Ask a keeper.'),
            404 => new Problem(404, 'not-found', 'Not found', 'There is no such thing in this yard.'),
            405 => new Problem(
                405,
                'wrong-method',
                'Not done that way',
                'This address does not take that kind of request.',
                headers: $headers,
            ),
            413 => new Problem(413, 'too-large', 'Too large', 'That is larger than this address takes.'),
            429 => new Problem(
                429,
                'too-often',
                'Too many tries',
                sprintf('Wait %s seconds and try again.', $headers['Retry-After'] ?? 'a few'),
                headers: $headers,
            ),
            default => new Problem(
                $thrown->getStatusCode(),
                'refused',
                'Refused',
                'The request cannot be carried out as it stands.',
            ),
        };
    }
}
