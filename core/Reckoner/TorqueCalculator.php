<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Form\Notation;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Procedure\TorqueSetting;
use Core\Procedure\WrenchAdapter;

/** What to set on the wrench at hand. */
final class TorqueCalculator implements Calculator
{
    private const MOST_DEGREES = 180;

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $target = $given->measure('target', 'the torque', Dimension::Torque);
        if ($target?->value->isZero()) {
            $given->fault('target', 'A torque is more than nothing.');
        }
        $wrench = $given->has('wrench') ? $this->wrench($given->within('wrench', 'the wrench')) : null;
        $adapter = $given->has('adapter') ? $this->adapter($given->within('adapter', 'the adapter')) : null;
        $given->complete();
        assert($target !== null);
        $setting = TorqueSetting::of($target, $adapter, $wrench);

        return new Answer([
            'settings' => array_map(
                fn (Quantity $inUnit): array => Notation::quantity($inUnit),
                $setting->inEachUnit(),
            ),
            'wrench_setting' => Notation::quantity($setting->setting),
            'verdict' => $setting->verdict->value,
            'warnings' => $setting->warnings,
        ], ($adapter === null
            ? "{$target->display()} is {$setting->setting->inWords()} on the wrench."
            : "{$adapter->inWords()}: {$setting->setting->inWords()} on the wrench gives {$target->inWords()} at the fastener.")
            .' By hand first, then the wrench.', ['NIST SP 811, conversion factors', 'common practice']);
    }

    /** @return array{Quantity, Quantity}|null */
    private function wrench(Fields $given): ?array
    {
        $most = $given->measure('max', 'the wrench\'s greatest', Dimension::Torque);
        $least = $given->measure('min', 'the wrench\'s least', Dimension::Torque, $most?->unit);
        if ($least !== null && $most !== null && $least->compareTo($most) >= 0) {
            $given->fault('min', 'A wrench\'s least is under its greatest.');
        }

        return $least === null || $most === null ? null : [$least, $most];
    }

    private function adapter(Fields $given): ?WrenchAdapter
    {
        $length = $given->measure('wrench_length', 'the wrench\'s length', Dimension::Length);
        $extension = $given->measure('extension', 'the adapter\'s length', Dimension::Length);
        $angle = $given->optionalWholeNumber('angle', 'the angle', self::MOST_DEGREES) ?? 0;
        if ($length !== null && $extension !== null && $extension->compareTo($length) >= 0) {
            $given->fault('extension', 'An adapter is shorter than its wrench.');
        }

        return $length === null || $extension === null ? null : new WrenchAdapter($length, $extension, $angle);
    }
}
