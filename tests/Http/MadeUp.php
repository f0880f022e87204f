<?php

declare(strict_types=1);

namespace Tests\Http;

/** A made-up request. */
final readonly class MadeUp
{
    /**
     * @param  string  $address  below /api, with what stands after the question mark
     * @param  array<string, string>  $headers
     */
    public function __construct(
        public string $method,
        public string $address,
        public string $type,
        public string $body,
        public array $headers,
    ) {}
}
