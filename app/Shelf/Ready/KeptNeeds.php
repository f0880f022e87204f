<?php

declare(strict_types=1);

namespace App\Shelf\Ready;

use App\Logbook\EntryKind;
use App\Machines\Yard;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\DB;

/** What was reckoned of the needs of many machines, kept until anything that it rests on changes. */
final readonly class KeptNeeds
{
    private const HOURS = 24;

    public function __construct(private Yard $yard) {}

    /**
     * @param  array<mixed>  $asked
     * @param  \Closure(): array<string, mixed>  $reckon
     * @return string as JSON
     */
    public function of(array $asked, \Closure $reckon): string
    {
        $key = self::key($asked);
        $stamp = $this->stamp();
        $kept = Cache::get($key);
        if (! is_array($kept) || $kept['stamp'] !== $stamp) {
            $kept = ['stamp' => $stamp, 'answer' => json_encode($reckon(), JSON_THROW_ON_ERROR)];
            Cache::put($key, $kept, now()->addHours(self::HOURS));
        }

        return $kept['answer'];
    }

    /**
     * What was reckoned last, whether or not it still holds.
     *
     * @param  array<mixed>  $asked
     * @return array{answer: array<string, mixed>, is_behind: bool}|null
     */
    public function last(array $asked): ?array
    {
        $kept = Cache::get(self::key($asked));

        return ! is_array($kept) ? null : [
            'answer' => json_decode($kept['answer'], true, flags: JSON_THROW_ON_ERROR),
            'is_behind' => $kept['stamp'] !== $this->stamp(),
        ];
    }

    /** @param  array<mixed>  $asked */
    private static function key(array $asked): string
    {
        return 'needs '.md5(json_encode($asked, JSON_THROW_ON_ERROR));
    }

    /** Another one whenever a fact, a supply, or the day is another. */
    private function stamp(): string
    {
        $stamp = DB::query()
            ->selectSub(DB::table('machines')->selectRaw("concat_ws(' ', count(*), sum(facts_version), sum(version))"), 'machines')
            ->selectSub(DB::table('supplies')->selectRaw("concat_ws(' ', count(*), sum(version))"), 'supplies')
            ->selectSub(DB::table('moves')->selectRaw('max(id)'), 'moves')
            ->selectSub(
                DB::table('entries')->whereIn('kind', [EntryKind::Bought, EntryKind::Counted])
                    ->whereNotNull('struck_at')->selectRaw('count(*)'),
                'struck',
            )
            ->first();

        return implode(' ', [...(array) $stamp, $this->yard->version, $this->yard->today()->format('Y-m-d')]);
    }
}
