<?php

declare(strict_types=1);

namespace Core\Inspect;

/** What the look, smell and magnet of a fluid mean. Common practice, no source. */
final readonly class Condition
{
    private function __construct(
        public string $reading,
        public Verdict $verdict,
        public string $do,
    ) {
    }

    /**
     * The hardest of what each thing seen means.
     *
     * @param  non-empty-list<Seen>  $seen
     * @param  bool  $firstService  new gears shed metal
     */
    public static function of(CompartmentKind $kind, array $seen, bool $firstService): self
    {
        $conditions = self::together($kind, $seen);
        foreach ($conditions === [] ? $seen : [] as $one) {
            $conditions[] = self::alone($kind, $one, $firstService);
        }
        usort($conditions, fn (self $one, self $other): int => $other->verdict->rank() <=> $one->verdict->rank());

        return $conditions[0];
    }

    /**
     * Signs that mean more together than each alone.
     *
     * @param  list<Seen>  $seen
     * @return list<self>
     */
    private static function together(CompartmentKind $kind, array $seen): array
    {
        $has = fn (Seen $one): bool => in_array($one, $seen, true);
        $breaking = array_values(array_filter($seen, fn (Seen $one): bool => in_array($one, [Seen::Slivers, Seen::Chips], true)));

        return match (true) {
            $breaking !== [] => [self::alone($kind, $breaking[0], false)],
            $kind === CompartmentKind::Engine && $has(Seen::FuelSmell) && $has(Seen::Overfull) => [new self('fuel in the oil', Verdict::StandDown, 'Do not run it. Mend the pump or carburettor that lets it in, then change the oil.')],
            default => [],
        };
    }

    private static function alone(CompartmentKind $kind, Seen $seen, bool $firstService): self
    {
        $gears = $kind->hasGears();

        return match ($seen) {
            Seen::Clear => new self('normal', Verdict::Fit, 'Go on.'),
            Seen::Dark => $gears || $kind === CompartmentKind::Brake ? new self('ageing', Verdict::Watch, 'Look again at the next service, change it then.') : new self('normal', Verdict::Fit, 'Go on: it carries the dirt it should.'),
            Seen::Black => $gears ? new self('overheated or long overdue', Verdict::Act, 'Change it, shorten the interval, find out why.') : new self('due for a change', Verdict::Watch, 'Change it at the next chance.'),
            Seen::BurntSmell => new self('overheated or long overdue', Verdict::Act, 'Change it, shorten the interval, find out why.'),
            Seen::Grey => $firstService ? new self('break-in metal', Verdict::Watch, 'Change it, check again at the next service.') : new self('fine metal after break-in', Verdict::Act, 'Change it, look at the magnet, check again soon.'),
            Seen::Milky, Seen::WaterDrops, Seen::Foam => new self('water', Verdict::Act, 'Find the way in, change it, change again soon.'),
            Seen::FuelSmell => $kind === CompartmentKind::Fuel ? new self('normal', Verdict::Fit, 'Go on.') : new self('fuel in it', Verdict::Act, 'Find where it comes from before it is run long; change the oil.'),
            Seen::Fuzz => new self('normal wear', Verdict::Fit, 'Wipe it, go on, note it.'),
            Seen::Slivers, Seen::Chips => new self('something is breaking', Verdict::StandDown, 'Stop. Find it before it is run again.'),
            Seen::Overfull => new self('not run down yet, or too much', Verdict::Watch, 'Wait and read again; if it stays, draw some off.'),
            Seen::Low => new self('low', Verdict::Act, 'Top it up, log how much, and look for where it goes.'),
        };
    }
}
