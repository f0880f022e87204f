<?php

declare(strict_types=1);

namespace Core\Fluid;

use Brick\Math\BigDecimal;
use Brick\Math\BigRational;
use Core\Machine\ActKind;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What came out at the last draining, against what had gone in. */
final readonly class DrainedAgainstPoured
{
    /** Of what went in: so much stays in the housing and in the rags. Common practice, no source. */
    private const STAYS = '0.1';

    private function __construct(
        public Quantity $drained,
        public Quantity $poured,
        public string $why,
        public bool $asks,
    ) {}

    /**
     * @param  list<FluidMove>  $moves  oldest first
     * @param  Unit  $unit  in which it is told
     */
    public static function last(array $moves, Unit $unit): ?self
    {
        $drained = null;
        $occasion = null;
        for ($at = count($moves) - 1; $at >= 0; $at--) {
            $move = $moves[$at];
            if ($move->kind !== ActKind::Drained || $move->litres === null) {
                continue;
            }
            $occasion ??= $move->occasion;
            if ($move->occasion === $occasion) {
                $drained = $drained?->plus($move->litres) ?? $move->litres;
            }
        }
        if ($drained === null || $occasion === null) {
            return null;
        }
        $poured = self::wentIn($moves, $occasion);

        return $poured === null ? null : self::compare(
            Quantity::of($drained, Unit::Litre)->to($unit),
            Quantity::of($poured, Unit::Litre)->to($unit),
        );
    }

    public static function compare(Quantity $drained, Quantity $poured): self
    {
        $told = "{$drained->display()} came out of {$poured->display()} that had gone in";
        $stays = $poured->si()->multipliedBy(BigRational::of(self::STAYS));
        $lacks = $poured->si()->minus($drained->si());

        return match (true) {
            $lacks->negated()->isGreaterThan($stays) => new self(
                $drained,
                $poured,
                "{$told}: more than it held. Is there water or fuel in it?",
                true,
            ),
            $lacks->isGreaterThan($stays) => new self(
                $drained,
                $poured,
                "{$told}: {$poured->minus($drained->to($poured->unit))->display()} stayed inside, ran out by the way or was used up. Is a second, low drain still shut?",
                true,
            ),
            default => new self($drained, $poured, "{$told}.", false),
        };
    }

    /**
     * What filled it the last time before an occasion, or up to now, and what was added since.
     *
     * @param  list<FluidMove>  $moves  oldest first
     * @return BigDecimal|null litres; null where nobody knows
     */
    public static function wentIn(array $moves, ?string $occasion = null): ?BigDecimal
    {
        $news = array_column(array_filter($moves, fn (FluidMove $move): bool => $move->isNew), 'occasion');
        $began = null;
        $poured = null;
        foreach ($moves as $move) {
            if ($move->occasion === $occasion) {
                break;
            }
            if ($move->occasion !== $began && in_array($move->occasion, $news, true)) {
                [$began, $poured] = [$move->occasion, null];
            }
            if ($began !== null && $move->pours() && $move->litres !== null) {
                $poured = $poured?->plus($move->litres) ?? $move->litres;
            }
        }

        return $poured;
    }
}
