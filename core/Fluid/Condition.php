<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Machine\CompartmentKind;
use Core\Machine\Verdict;

/** What the look, smell and magnet of a fluid mean. Common practice, no source. */
final readonly class Condition
{
    private const NORMAL = 'normal';

    private function __construct(public string $reading, public Verdict $verdict, public string $do) {}

    /**
     * Every cause that what is seen points to, the gravest first; the normal alone where there is no other.
     *
     * @param  non-empty-list<Seen>  $seen  in any order
     * @param  bool  $firstService  new gears shed metal
     * @param  bool  $justFilled  foam is air for now
     * @return non-empty-list<self>
     */
    public static function of(
        CompartmentKind $kind,
        array $seen,
        bool $firstService = false,
        bool $justFilled = false,
    ): array {
        $together = self::together($kind, $seen);
        $alone = $together === null
            ? $seen
            : array_filter($seen, fn (Seen $one): bool => ! in_array($one, [Seen::FuelSmell, Seen::Overfull], true));
        $conditions = $together === null ? [] : [$together->reading => $together];
        foreach ($alone as $one) {
            $condition = self::alone(LookFamily::in($kind), $one, $firstService, $justFilled);
            $conditions[$condition->reading] ??= $condition;
        }
        usort(
            $conditions,
            fn (self $one, self $other): int => [
                $other->verdict->rank(),
                $one->reading,
            ] <=> [$one->verdict->rank(), $other->reading],
        );
        $causes = array_values(
            array_filter($conditions, fn (self $condition): bool => $condition->reading !== self::NORMAL),
        );

        assert($conditions !== []);

        return $causes === [] ? [$conditions[0]] : $causes;
    }

    /**
     * Signs that mean more together than each alone.
     *
     * @param  list<Seen>  $seen
     */
    private static function together(CompartmentKind $kind, array $seen): ?self
    {
        return $kind === CompartmentKind::Engine
            && in_array(Seen::FuelSmell, $seen, true)
            && in_array(Seen::Overfull, $seen, true)
            ? new self(
                'fuel in the oil',
                Verdict::StandDown,
                'Do not run it. Mend the pump or carburettor that lets it in, then change the oil.',
            )
            : null;
    }

    private static function alone(LookFamily $fluid, Seen $seen, bool $firstService, bool $justFilled): self
    {
        $isOil = in_array($fluid, [LookFamily::EngineOil, LookFamily::GearOil, LookFamily::HydraulicOil], true);

        return match (true) {
            $seen === Seen::Foam
                && $justFilled => new self(
                    'air from filling',
                    Verdict::Watch,
                    'Let it stand, or run it as its book says, until the foam is gone; then look again.',
                ),
            $seen === Seen::Grey
                && $firstService
                && $isOil => new self('break-in metal', Verdict::Watch, 'Change it, check again at the next service.'),
            default => new self(...$fluid->condition($seen)),
        };
    }
}
