<?php

declare(strict_types=1);

namespace App\Logbook\Acts;

use App\Logbook\Readings\Reading;
use App\Machines\Machine;
use App\Machines\Meter;
use Brick\Math\BigDecimal;
use Carbon\CarbonImmutable;
use Core\Meter\Limit;
use Core\Meter\Reading as CoreReading;
use Core\Meter\RunBetween;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** Where in a machine's life its acts stand: what it had run by then, by each kind of meter it has. */
final class Placing
{
    private const MOMENTS_AT_ONCE = 200;

    /**
     * @var array<string, list<array{CoreReading|null, CoreReading|null}>> by kind of meter, the pairs of neighbours
     *     that were asked for
     */
    private array $known = [];

    private function __construct(private readonly Machine $machine) {}

    public static function of(Machine $machine): self
    {
        return new self($machine);
    }

    /** What it had run at a moment; null where that is not known. */
    public function run(\DateTimeInterface $moment, Limit $along): ?BigDecimal
    {
        [$before, $after] = $this->neighbours(CarbonImmutable::instance($moment), $along);

        return (new RunBetween($before, $after))->at($moment);
    }

    /** @return array{hours: string|null, km: string|null} the columns of an act */
    public function columns(\DateTimeInterface $moment): array
    {
        $run = fn (Limit $along): ?string => $this->metersOf($along)->isEmpty()
            ? null
            : $this->run($moment, $along)?->__toString();

        return ['hours' => $run(Limit::Hours), 'km' => $run(Limit::Distance)];
    }

    /** Places the acts of a machine between the neighbours of a reading anew, after it was written or struck. */
    public static function anew(Machine $machine, CarbonImmutable $read, Limit $along): void
    {
        $placing = new self($machine);
        $column = $along->value;
        $before = $placing->neighbour(
            $along,
            fn ($readings) => $readings->where('happened_at', '<', $read)
                ->orderByDesc('happened_at')
                ->orderByDesc('value'),
        );
        $after = $placing->neighbour(
            $along,
            fn ($readings) => $readings->where('happened_at', '>', $read)->orderBy('happened_at')->orderBy('value'),
        );
        // Entries that tell themselves what the meter showed keep their acts to that.
        $meters = $machine->metersOf($along)->modelKeys();
        $acts = DB::table('acts')->where('machine_id', $machine->id)
            ->when($before, fn ($acts) => $acts->where('happened_at', '>', $before?->at))
            ->when($after, fn ($acts) => $acts->where('happened_at', '<', $after?->at))
            ->whereNotExists(
                fn ($own) => $own->from('readings')
                    ->whereColumn('readings.entry_id', 'acts.entry_id')
                    ->whereIn('meter_id', $meters)
                    ->where('struck', false),
            );
        foreach ($acts->clone()->distinct()->pluck('happened_at')->chunk(self::MOMENTS_AT_ONCE) as $moments) {
            $run = $moments->flatMap(
                fn (string $stored): array => [
                    $stored,
                    $placing->run(CarbonImmutable::parse($stored, 'UTC'), $along)?->__toString(),
                ],
            );
            $cases = str_repeat(' when ? then ?', $moments->count());
            $places = implode(', ', array_fill(0, $moments->count(), '?'));
            DB::update("update acts set {$column} = case happened_at{$cases} end where machine_id = ? and happened_at in ({$places}) and not exists (select 1 from readings"
                .' where readings.entry_id = acts.entry_id and struck = 0 and meter_id in ('.(implode(', ', $meters) ?: '0').'))', [
                    ...$run,
                    $machine->id,
                    ...$moments,
                ]);
        }
    }

    /** @return array{CoreReading|null, CoreReading|null} */
    private function neighbours(CarbonImmutable $moment, Limit $along): array
    {
        $kind = $along->value;
        foreach ($this->known[$kind] ?? [] as $pair) {
            if ($pair[0] !== null && $pair[0]->at <= $moment && ($pair[1] === null || $pair[1]->at > $moment)) {
                return $pair;
            }
        }

        return $this->known[$kind][] = [
            $this->neighbour(
                $along,
                fn ($readings) => $readings->where('happened_at', '<=', $moment)
                    ->orderByDesc('happened_at')
                    ->orderByDesc('value'),
            ),
            $this->neighbour(
                $along,
                fn ($readings) => $readings->where('happened_at', '>', $moment)
                    ->orderBy('happened_at')
                    ->orderBy('value'),
            ),
        ];
    }

    private function neighbour(Limit $along, \Closure $which): ?CoreReading
    {
        $meters = $this->metersOf($along)->keyBy('id');
        $reading = $meters->isEmpty()
            ? null
            : $which(Reading::query()->standing()->whereIn('meter_id', $meters->keys()))
                ->orderByDesc('id')
                ->first();

        return $reading?->reckoned($meters[$reading->meter_id]);
    }

    /** @return Collection<int, Meter> */
    private function metersOf(Limit $along): Collection
    {
        return $this->machine->metersOf($along)->toBase();
    }
}
