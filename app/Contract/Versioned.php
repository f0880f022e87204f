<?php

declare(strict_types=1);

namespace App\Contract;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/**
 * A record that two people may edit at once. Whoever changes it says in If-Match which version they saw; a stale one
 * gets the newer record back.
 *
 * @property int $version
 *
 * @phpstan-require-extends Model
 */
trait Versioned
{
    /**
     * Locks the record and changes it if the request saw its present version.
     *
     * @param  \Closure(static): mixed  $change
     * @param  \Closure(static): array<string, mixed>  $shape  how the record is shown to one who came too late
     */
    public function changeAsSeen(Request $request, \Closure $change, \Closure $shape): static
    {
        $seen = $request->header('If-Match');
        if ($seen === null) {
            throw new Refusal(
                new Problem(
                    428,
                    'version-missing',
                    'Which version?',
                    'Say in If-Match which version of this record you saw.',
                ),
            );
        }

        return $this->getConnection()->transaction(function () use ($seen, $change, $shape): static {
            $current = static::query()->lockForUpdate()->whereKey($this->getKey())->firstOrFail();
            if (trim($seen, '"W/ ') !== (string) $current->version) {
                throw new Refusal(new Problem(
                    412,
                    'stale',
                    'Somebody was quicker',
                    'This was changed after you opened it. Look at the newer record and decide again.',
                    more: ['current' => $shape($current)],
                    headers: ['ETag' => $current->etag()],
                ));
            }
            $change($current);
            $current->version++;
            $current->save();

            return $current;
        });
    }

    public function etag(): string
    {
        return "\"{$this->version}\"";
    }

    /** @param  array<string, mixed>  $shaped */
    public function respond(array $shaped, int $status = 200): JsonResponse
    {
        return new JsonResponse($shaped, $status, ['ETag' => $this->etag()]);
    }
}
