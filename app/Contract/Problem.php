<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Contracts\Support\Responsable;
use Illuminate\Http\JsonResponse;

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
    ) {}

    /** What passes by itself: the same may be sent again. */
    public static function unavailable(string $because): self
    {
        return new self(503, 'unavailable', 'Not just now', $because, headers: ['Retry-After' => (string) Unavailable::SECONDS]);
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
}
