<?php

declare(strict_types=1);

namespace App\Rulebook\Standings;

use App\Machines\Yard;
use Brick\Math\BigDecimal;
use Core\Machine\ActKind;
use Core\Machine\NewestAct;
use Core\Machine\Point;
use Core\Machine\Verdict;
use Illuminate\Database\Query\Builder;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The newest acts that stand at some spots, of each kind and check, read in two queries however many spots they are. */
final readonly class NewestActs
{
    /** @param  array<int, list<NewestAct>>  $acts  by spot id */
    private function __construct(private array $acts) {}

    /**
     * @param  list<int>  $spotIds
     * @param  list<int>  $fitAt  those of them where it counts what was found fit
     */
    public static function at(array $spotIds, array $fitAt, Yard $yard): self
    {
        $newest = DB::table('acts')->whereIn('spot_id', $spotIds)
            ->where('meets', true)
            ->groupBy('spot_id', 'kind', 'check_key')
            ->select('spot_id', 'kind', 'check_key', DB::raw('max(happened_at) as newest'));
        $rows = self::placed($newest, false)->concat(
            $fitAt === []
                ? []
                : self::placed(
                    $newest->clone()
                        ->whereIn('spot_id', $fitAt)
                        ->where('verdict', Verdict::Fit)
                        ->where('check_key', '!=', ''),
                    true,
                ),
        );
        $number = fn (?string $run): ?BigDecimal => $run === null ? null : BigDecimal::of($run)->stripTrailingZeros();
        $utc = new \DateTimeZone('UTC');
        $acts = $moments = [];
        foreach ($rows as $row) {
            [$at, $day] = $moments[$row->happened_at] ??= [
                $moment = new \DateTimeImmutable($row->happened_at, $utc),
                $yard->dayOf($moment),
            ];
            $acts[$row->spot_id][] = new NewestAct(
                ActKind::from($row->kind),
                $row->check_key,
                $at,
                new Point($number($row->hours), $number($row->km), $day),
                $row->fit,
            );
        }

        return new self($acts);
    }

    /** @return list<NewestAct> */
    public function of(int $spotId): array
    {
        return $this->acts[$spotId] ?? [];
    }

    /** @return Collection<int, \stdClass> */
    private static function placed(Builder $newest, bool $fit): Collection
    {
        return DB::table('acts')->joinSub($newest, 'newest', fn ($join) => $join->on(
            'newest.spot_id',
            'acts.spot_id',
        )->on('newest.kind', 'acts.kind')
            ->on(
                'newest.check_key',
                'acts.check_key',
            )->on('newest.newest', 'acts.happened_at'))->where('acts.meets', true)
            ->groupBy('acts.spot_id', 'acts.kind', 'acts.check_key', 'acts.happened_at')
            ->get(
                [
                    'acts.spot_id',
                    'acts.kind',
                    'acts.check_key',
                    'acts.happened_at',
                    DB::raw('max(acts.hours) as hours'),
                    DB::raw('max(acts.km) as km'),
                ],
            )
            ->each(function (\stdClass $row) use ($fit): void {
                $row->fit = $fit;
            });
    }
}
