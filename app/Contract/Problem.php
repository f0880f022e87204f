<?php

declare(strict_types=1);

namespace App\Contract;

use Core\Form\BadInput;
use Core\Reckoner\UnknownCalculator;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Contracts\Support\Responsable;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Validation\ValidationException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** What went wrong, for a program and a person alike: RFC 9457 problem details. Never a stack trace. */
final readonly class Problem implements Responsable
{
    /**
     * @param  string  $name  the last part of the problem's type address
     * @param  array<string, list<string>>  $errors  messages by field
     * @param  array<string, mixed>  $more  members that belong to this type of problem
     * @param  array<string, string>  $headers
     */
    public function __construct(
        public int $status,
        public string $name,
        public string $title,
        public string $detail,
        public array $errors = [],
        public array $more = [],
        public array $headers = [],
    ) {
    }

    /** What passes by itself: the same may be sent again. */
    public static function unavailable(string $because): self
    {
        return new self(503, 'unavailable', 'Not just now', $because, headers: ['Retry-After' => (string) Unavailable::SECONDS]);
    }

    public static function from(\Throwable $thrown): self
    {
        return match (true) {
            $thrown instanceof Refusal => $thrown->problem,
            $thrown instanceof ValidationException => new self(
                422,
                'bad-input',
                'Some of this cannot be used',
                'Look at the fields marked; nothing was saved.',
                $thrown->errors(),
            ),
            $thrown instanceof BadInput => new self(
                422,
                'bad-input',
                'Some of this cannot be used',
                $thrown->getMessage(),
                $thrown->errors,
            ),
            $thrown instanceof UnknownCalculator => new self(404, 'not-found', 'Not found', $thrown->getMessage()),
            $thrown instanceof AuthenticationException => new self(
                401,
                'not-signed-in',
                'Not signed in',
                'Sign in first; what you typed is kept.',
            ),
            $thrown instanceof AuthorizationException => new self(
                403,
                'not-allowed',
                'Not yours to do',
                $thrown->response()?->message() ?? 'Your role does not allow this. Ask a keeper.',
            ),
            $thrown instanceof ModelNotFoundException => new self(
                404,
                'not-found',
                'Not found',
                'There is no such thing in this yard.',
            ),
            $thrown instanceof HttpExceptionInterface => self::fromHttp($thrown),
            $thrown instanceof UniqueConstraintViolationException => new self(
                409,
                'conflict',
                'Not as things stand',
                'Somebody wrote the same a moment ago. Load the page again.',
            ),
            ($busy = Unavailable::because($thrown)) !== null => self::unavailable($busy),
            default => new self(
                500,
                'our-fault',
                'Something broke here',
                'This is a fault of the program and has been written to its log. Nothing was saved.',
            ),
        };
    }

    public function toResponse($request): JsonResponse
    {
        return new JsonResponse(
            $this->toArray(),
            $this->status,
            [...$this->headers, 'Content-Type' => 'application/problem+json'],
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return array_filter([
            'type' => "/problems/{$this->name}",
            'title' => $this->title,
            'status' => $this->status,
            'detail' => $this->detail,
            'errors' => $this->errors === [] ? null : $this->errors,
            ...$this->more,
        ], fn (mixed $member): bool => $member !== null);
    }

    private static function fromHttp(HttpExceptionInterface $thrown): self
    {
        $headers = array_map(strval(...), $thrown->getHeaders());

        return match ($thrown->getStatusCode()) {
            403 => new self(403, 'not-allowed', 'Not yours to do', 'Your role does not allow this. Ask a keeper.'),
            404 => new self(404, 'not-found', 'Not found', 'There is no such thing in this yard.'),
            405 => new self(
                405,
                'wrong-method',
                'Not done that way',
                'This address does not take that kind of request.',
                headers: $headers,
            ),
            413 => new self(413, 'too-large', 'Too large', 'That is larger than this address takes.'),
            429 => new self(
                429,
                'too-often',
                'Too many tries',
                sprintf('Wait %s seconds and try again.', $headers['Retry-After'] ?? 'a few'),
                headers: $headers,
            ),
            default => new self(
                $thrown->getStatusCode(),
                'refused',
                'Refused',
                'The request cannot be carried out as it stands.',
            ),
        };
    }
}
