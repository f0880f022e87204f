<?php

declare(strict_types=1);

namespace App\Bench\Plan;

use App\Logbook\Acts\Act;
use App\Machines\Spot;
use Brick\Math\BigRational;
use Core\Fill\StickBand;
use Core\Fill\StickMark;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Procedure\Table\LevelTable;

/** How much lies between the marks of sticks, as their last fillings taught. */
final readonly class LearnedBands
{
    /** @param  array<int, Quantity>  $bands  by compartment */
    private function __construct(private array $bands) {}

    /** @param  array<int|string>  $spots */
    public static function at(array $spots): self
    {
        $bands = [];
        foreach (Act::query()->standing()->whereIn('spot_id', $spots)->whereNotNull('typed->marks')
            ->orderBy('happened_at')->orderBy('id')->get(['spot_id', 'typed']) as $act) {
            $band = StickBand::learned(array_values(array_map(self::mark(...), $act->typed['marks'] ?? [])));
            if ($band !== null) {
                $bands[$act->spot_id] = $band->volume;
            }
        }

        return new self($bands);
    }

    public function of(Spot $compartment): ?Quantity
    {
        return $this->bands[$compartment->id] ?? null;
    }

    /** @param  array{level: int, poured_ml: int, ran: bool}  $mark */
    private static function mark(array $mark): StickMark
    {
        return new StickMark(
            BigRational::nd($mark['level'], LevelTable::PARTS),
            $mark['poured_ml'] === 0 ? null : Quantity::of($mark['poured_ml'], Unit::Millilitre),
            $mark['ran'],
        );
    }
}
