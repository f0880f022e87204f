<?php

declare(strict_types=1);

namespace Core\Procedure;

use Brick\Math\BigRational;
use Core\Machine\Verdict;
use Core\Measure\Quantity;
use Core\Measure\Unit;

/** What to set on a wrench so that the fastener gets its torque. */
final readonly class TorqueSetting
{
    private const UNITS = [Unit::NewtonMetre, Unit::FootPound, Unit::InchPound];

    /** Of a click wrench's greatest, below which it is not to be trusted. Common practice, no source. */
    private const TRUSTED_FROM = '1/5';

    /** @param  list<string>  $warnings */
    private function __construct(public Quantity $setting, public Verdict $verdict, public array $warnings) {}

    /** @param  array{Quantity, Quantity}|null  $wrench  its least and its greatest */
    public static function of(Quantity $target, ?WrenchAdapter $adapter, ?array $wrench): self
    {
        $setting = $adapter === null ? $target : Quantity::of(
            $target->value->multipliedBy($adapter->factor()),
            $target->unit,
        );
        $setting = $wrench === null ? $setting : $setting->to($wrench[1]->unit);
        $out = $wrench === null ? null : self::outOfRange($setting, ...$wrench);

        return new self(
            $setting,
            $out === null ? Verdict::Fit : Verdict::Act,
            array_values(array_filter([$out, self::inchOrFoot($target, $setting), $wrench === null || $out !== null
                ? null
                : self::low($setting, $wrench[1])])),
        );
    }

    /** @return array<string, Quantity> by unit */
    public function inEachUnit(): array
    {
        $settings = [];
        foreach (self::UNITS as $unit) {
            $settings[$unit->value] = $this->setting->to($unit);
        }

        return $settings;
    }

    private static function outOfRange(Quantity $setting, Quantity $least, Quantity $most): ?string
    {
        return match (true) {
            $setting->compareTo($most) > 0 => "{$setting->inWords()} is more than this wrench gives ({$most->inWords()}): take a larger one.",
            $setting->compareTo($least) < 0 => "{$setting->inWords()} is less than this wrench can be set to ({$least->inWords()}): take a smaller one.",
            default => null,
        };
    }

    /** A twelvefold mistake is easily made. */
    private static function inchOrFoot(Quantity $target, Quantity $setting): ?string
    {
        return match (true) {
            $target->unit === Unit::InchPound => "{$target->inWords()} are inch-pounds: as foot-pounds that would be twelve times too much.",
            $setting->unit === Unit::InchPound => "This wrench reads inch-pounds: {$target->inWords()} is {$setting->inWords()} on it.",
            default => null,
        };
    }

    private static function low(Quantity $setting, Quantity $most): ?string
    {
        return $setting->value->isLessThan(
            $most->to($setting->unit)->value->multipliedBy(BigRational::of(self::TRUSTED_FROM)),
        )
            ? 'This is in the lowest fifth of the wrench, where it is least to be trusted: a smaller one is better.'
            : null;
    }
}
