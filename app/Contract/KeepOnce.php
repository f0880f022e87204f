<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Contracts\Database\ConcurrencyErrorDetector;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Arr;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Response;

/**
 * Carries out a POST in one transaction and, where it has an Idempotency-Key, once only: the same key sent again gets
 * the first answer back. A refused request leaves nothing behind, its key included, so that it can be put right and
 * sent again under the same key.
 */
final class KeepOnce
{
    private const LONGEST_KEY = 100;

    /** Where several requests under one key were refused, the database may make them wait for each other in a ring. */
    private const ATTEMPTS = 8;

    private const DAYS_KEPT = 30;

    /** @param  \Closure(Request): Response  $next */
    public function handle(Request $request, \Closure $next, ?string $secret = null): Response
    {
        $key = $request->header('Idempotency-Key');
        if ($key !== null && preg_match('/^[\x21-\x7E][\x20-\x7E]{0,'.(self::LONGEST_KEY - 1).'}$/D', $key) !== 1) {
            throw new Refusal(
                new Problem(
                    400,
                    'bad-key',
                    'The key cannot be used',
                    'An Idempotency-Key has 1 to '.self::LONGEST_KEY.' characters of ASCII.',
                ),
            );
        }
        $response = null;
        try {
            return DB::transaction(function () use ($request, $next, $key, $secret, &$response): Response {
                $kept = $key === null ? null : $this->claim($request, $key);
                if ($kept instanceof Response) {
                    return $kept;
                }
                $response = $next($request);
                self::raiseConcurrency($response);
                if ($response->getStatusCode() >= 400) {
                    throw new RolledBack;
                }
                if ($key !== null) {
                    $this->keep($request, $key, $response, $secret === null);
                }

                return $response;
            }, attempts: self::ATTEMPTS);
        } catch (RolledBack $thrown) {
            return $response ?? throw $thrown;
        }
    }

    /**
     * By now the router has made an answer of what was thrown. Where others barred the way it is thrown again, so that the
     * whole is tried again from the beginning; what was read before is read anew.
     */
    private static function raiseConcurrency(Response $response): void
    {
        $thrown = $response->exception ?? null;
        if (! $thrown instanceof \Throwable || ! app(ConcurrencyErrorDetector::class)->causedByConcurrencyError($thrown)) {
            return;
        }
        app()->forgetScopedInstances();
        $route = request()->route() ?? throw $thrown;
        foreach ($route->parameters() as $name => $bound) {
            $route->setParameter($name, $bound instanceof Model ? $bound->fresh() ?? $bound : $bound);
        }
        throw $thrown;
    }

    /**
     * Takes the key, or returns the answer kept under it. A twin still under way is waited for by the database's own
     * lock.
     */
    private function claim(Request $request, string $key): ?Response
    {
        $row = ['person_id' => $this->personId($request), 'key' => $key];
        $fingerprint = self::fingerprint($request);
        // Unlike `insert ignore`, this locks a row that is there already for writing at once, so that twins queue
        // instead of barring each other.
        $isNew = DB::affectingStatement(
            'insert into idempotency_keys (person_id, `key`, fingerprint, created_at) values (?, ?, ?, ?)'
                .' on duplicate key update created_at = created_at',
            [...array_values($row), $fingerprint, now()],
        ) === 1;
        if ($isNew) {
            return null;
        }
        $kept = DB::table('idempotency_keys')->where($row)->lockForUpdate()->first();
        if ($kept === null || $kept->fingerprint !== $fingerprint) {
            throw new Refusal(
                new Problem(
                    422,
                    'key-reused',
                    'The key was used before',
                    'This Idempotency-Key belongs to another request. Use a new one.',
                ),
            );
        }

        if ($kept->body === null) {
            throw Refusal::conflict(
                'This was done already under that key. What it gave out was shown once and is not kept.',
            );
        }

        return new JsonResponse(
            $kept->body,
            $kept->status,
            array_filter(['ETag' => $kept->etag, 'Idempotent-Replay' => 'true']),
            json: true,
        );
    }

    /** What a request says, to the last byte of its files. */
    private static function fingerprint(Request $request): string
    {
        $parts = [$request->method().' '.$request->path(), $request->getContent()];
        if ($request->files->count() > 0) {
            $parts[] = json_encode($request->request->all(), JSON_THROW_ON_ERROR);
            foreach (Arr::dot($request->files->all()) as $name => $file) {
                $isWhole = $file instanceof UploadedFile && $file->isValid();
                $parts[] = $name.' '.($isWhole ? hash_file('sha256', $file->getPathname()) : '');
            }
        }

        return hash('sha256', implode("\n", $parts));
    }

    private function keep(Request $request, string $key, Response $response, bool $withBody): void
    {
        DB::table('idempotency_keys')->where(['person_id' => $this->personId($request), 'key' => $key])->update([
            'status' => $response->getStatusCode(),
            'body' => $withBody ? $response->getContent() ?: '{}' : null,
            'etag' => $response->headers->get('ETag'),
        ]);
    }

    private function personId(Request $request): int
    {
        return (int) $request->user()?->getKey();
    }

    /** Forgets the keys, and the answers kept with them, that are older than anybody sends them again. */
    public static function prune(): void
    {
        DB::table('idempotency_keys')->where('created_at', '<', now()->subDays(self::DAYS_KEPT))->delete();
    }
}
