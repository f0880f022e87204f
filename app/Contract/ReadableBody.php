<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

/**
 * Turns away what nobody can have typed before any of it is worked on: too long, broken, endlessly many values, no
 * text.
 *
 * Only photographs are large.
 */
final class ReadableBody
{
    private const LARGEST_PHOTO = 8 * 1024 * 1024;

    private const LARGEST = 256 * 1024;

    private const MOST_VALUES = 20_000;

    private const DEEPEST = 24;

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next): Response
    {
        if (! $request->is('api/*')) {
            return $next($request);
        }
        $most = $request->is('api/machines/*/photos') ? self::LARGEST_PHOTO : self::LARGEST;
        if ((int) $request->server('CONTENT_LENGTH') > $most || strlen($request->getContent()) > $most) {
            throw new Refusal(new Problem(413, 'too-large', 'Too large', 'That is larger than this address takes.'));
        }
        if ($request->isJson() && $request->getContent() !== '') {
            $this->refuseBrokenJson($request->getContent());
        }
        $faults = [];
        $values = 0;
        $body = $request->isJson() ? $request->json()->all() : $request->request->all();
        foreach ([$request->query->all(), $body] as $given) {
            $this->walk($given, '', $values, $faults);
        }
        if ($faults !== []) {
            throw new Refusal(
                new Problem(
                    422,
                    'bad-input',
                    'Some of this cannot be used',
                    'Look at the fields marked; nothing was saved.',
                    $faults,
                ),
            );
        }

        return $next($request);
    }

    private function refuseBrokenJson(string $content): void
    {
        $body = json_decode($content, true, self::DEEPEST, JSON_BIGINT_AS_STRING);
        if (! is_array($body)) {
            throw new Refusal(
                new Problem(
                    400,
                    'broken-body',
                    'The request is broken',
                    'The body of this request is not a JSON object, so nothing of it was used.',
                ),
            );
        }
    }

    /**
     * @param  array<mixed>  $given
     * @param  array<string, list<string>>  $faults  by field
     */
    private function walk(array $given, string $path, int &$values, array &$faults): void
    {
        foreach ($given as $name => $value) {
            if (++$values > self::MOST_VALUES) {
                throw new Refusal(
                    new Problem(413, 'too-large', 'Too large', 'That is more than this address takes at once.'),
                );
            }
            $field = $path.mb_scrub((string) $name);
            if (is_array($value)) {
                $this->walk($value, "{$field}.", $values, $faults);
            } elseif (is_string($value) && (! mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0"))) {
                $faults[$field] = ['This cannot be read as text.'];
            } elseif (is_float($value) && ! is_finite($value)) {
                $faults[$field] = ['That number is too large.'];
            }
        }
    }
}
