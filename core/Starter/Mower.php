<?php

declare(strict_types=1);

namespace Core\Starter;

use Core\Machine\TaskKind;

/** A mower: what falls due on each of them, by hours, by the season, or sooner for dust. */
abstract class Mower extends Starter
{
    private const DECK = ['deck'];

    private const BLADES = ['blades'];

    private const AIR_CLEANER = ['pre_cleaner', 'air_cleaner'];

    private const ENGINE_OIL = ['engine_oil', 'engine_oil_filter'];

    private const FUEL_FILTER = ['fuel_filter'];

    private const SHARP = 'Sharp, balanced, tight.';

    /** @return list<string> where its hydrostatic oil is, and the filters of it */
    abstract protected function hydrostatic(): array;

    /** @return list<StarterRule> of what wears beside the blades, where the usual look at it is due by so many hours */
    abstract protected function wearing(int $hours): array;

    /** What of that is looked at in spring. */
    abstract protected function inSpring(): StarterRule;

    /** @return list<StarterRule> what falls due by hours on no other mower */
    protected function besides(): array
    {
        return [];
    }

    public function rulebooks(): array
    {
        return [
            $this->rulebook('By hours', 'a mower at work most weeks of the season', [
                $this->rule('Deck underside', TaskKind::Clean, self::DECK, 25),
                $this->rule('Blades', TaskKind::Clean, self::BLADES, 50, note: 'Sharp, balanced, tight; the right side down.'),
                $this->greaseAll(50),
                $this->rule('Air cleaner', TaskKind::Clean, self::AIR_CLEANER, 50, note: 'Sooner in dust.'),
                $this->engineOil(100),
                $this->rule('Fuel filter', TaskKind::Replace, self::FUEL_FILTER, 100),
                ...$this->wearing(100),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, $this->hydrostatic(), 250, first: 100),
                ...$this->besides(),
            ]),
            $this->rulebook('By the season', 'a small lawn: once before the first mowing and once before storage', [
                $this->spring('Engine oil and filter', TaskKind::Replace, self::ENGINE_OIL, first: 25),
                $this->spring('Blades', TaskKind::Clean, self::BLADES, note: self::SHARP),
                $this->inSpring(),
                $this->spring('Air cleaner', TaskKind::Clean, self::AIR_CLEANER),
                $this->spring('Tyres and battery', TaskKind::Inspect, ['front_tyres', 'rear_tyres', 'battery']),
                $this->greaseAllInSpring(),
                $this->storage('Deck underside', TaskKind::Clean, self::DECK),
                $this->storage('Fuel', TaskKind::Inspect, ['fuel'], note: 'Valve shut and run dry, or stabilised.'),
                $this->rule('Fuel filter', TaskKind::Replace, self::FUEL_FILTER, months: 60),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, $this->hydrostatic(), 250, months: 60, first: 100),
            ]),
            $this->rulebook('Tighter, for dust', 'dry ground, big areas, hired drivers', [
                $this->rule('Air cleaner', TaskKind::Clean, self::AIR_CLEANER, 10),
                $this->rule('Air cleaner', TaskKind::Replace, ['air_cleaner'], 100),
                $this->rule('Deck underside', TaskKind::Clean, self::DECK, 10),
                $this->rule('Blades', TaskKind::Clean, self::BLADES, 25, note: self::SHARP),
                $this->greaseAll(25),
                $this->engineOil(50),
                $this->rule('Fuel filter', TaskKind::Replace, self::FUEL_FILTER, 100, months: 12),
                ...$this->wearing(50),
                $this->rule('Hydrostatic oil and filter', TaskKind::Replace, $this->hydrostatic(), 200, first: 75),
            ]),
        ];
    }

    private function engineOil(int $hours): StarterRule
    {
        return $this->rule('Engine oil and filter', TaskKind::Replace, self::ENGINE_OIL, $hours, months: 12, first: 25);
    }
}
