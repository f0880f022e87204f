<?php

declare(strict_types=1);

namespace Core\Supply\Waste;

use Brick\Math\BigDecimal;
use Core\Measure\Plain;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/**
 * What waits for collection of one kind: what was left at the last collection, and what came out since. Where nobody
 * measured what ran out, it is taken for what was poured in its place.
 */
final readonly class WasteTally
{
    private function __construct(
        public WasteKind $kind,
        public BigDecimal $amount,
        public int $unmeasured,
        public string $why,
    ) {}

    /**
     * @param  list<Waste>  $waste  of this kind
     * @param  \DateTimeImmutable|null  $collected  when it was taken away last
     * @param  BigDecimal|null  $left  what was left then
     */
    public static function of(WasteKind $kind, array $waste, ?\DateTimeImmutable $collected, ?BigDecimal $left): self
    {
        $occasions = [];
        foreach ($waste as $one) {
            if ($collected === null || $one->at > $collected) {
                $occasions[$one->occasion][] = $one;
            }
        }
        $amount = $left ?? BigDecimal::zero();
        $unmeasured = 0;
        foreach ($occasions as $together) {
            $out = array_filter(array_column($together, 'out'));
            $in = array_filter(array_column($together, 'in'));
            $amount = $amount->plus(match (true) {
                $out !== [] => BigDecimal::sum(...$out),
                $in !== [] => BigDecimal::sum(...$in),
                default => 0,
            });
            $unmeasured += $out === [] && $in === [] ? 1 : 0;
        }

        return new self($kind, $amount, $unmeasured, self::why(count($occasions), $unmeasured, $collected, $left));
    }

    /** `23.4 L`, `6 pieces`, `nobody knows how much` */
    public function inWords(): string
    {
        return match (true) {
            $this->kind === WasteKind::Filters => Plain::count($this->amount->toInt(), 'piece'),
            $this->amount->isZero() && $this->unmeasured > 0 => 'nobody knows how much',
            default => Quantity::of($this->amount->toBigRational(), Unit::Litre)->display(),
        };
    }

    private static function why(
        int $occasions,
        int $unmeasured,
        ?\DateTimeImmutable $collected,
        ?BigDecimal $left,
    ): string {
        return 'From '.Plain::count($occasions, 'occasion')
            .($collected === null ? '' : ' since '.Plain::day($collected).', when it was taken away')
            .($left === null || $left->isZero() ? '' : ', '.Plain::number($left).' left of before')
            .'.'.($unmeasured === 0 ? '' : ' Of '.Plain::count($unmeasured, 'occasion').' nobody wrote down how much.');
    }
}
