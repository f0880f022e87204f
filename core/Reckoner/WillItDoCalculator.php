<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Conditions;
use Core\Fluid\Cooling;
use Core\Fluid\FluidFields;
use Core\Fluid\FluidSchool;
use Core\Fluid\Housing;
use Core\Fluid\WillItDo;
use Core\Form\Fields;
use Core\Machine\CompartmentKind;
use Core\Measure\Dimension;
use Core\Measure\Unit;

/** Whether a bottle will do for a compartment. */
final class WillItDoCalculator implements Calculator
{
    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $bottle = FluidFields::bottle($given->within('fluid', 'the fluid'));
        $housing = $this->housing($given->within('compartment', 'the compartment'));
        $coldest = $given->optionalMeasure('coldest', 'the coldest', Dimension::Temperature, Unit::DegreeCelsius);
        $hottest = $given->optionalMeasure('hottest', 'the hottest', Dimension::Temperature, Unit::DegreeCelsius);
        $warranty = $given->flag('warranty', 'whether the warranty runs');
        $school = $given->choice('school', FluidSchool::MakersInWarranty, 'the keeper\'s way');
        if ($coldest !== null && $hottest !== null && $coldest->compareTo($hottest) > 0) {
            $given->fault('hottest', 'The hottest cannot be below the coldest.');
        }
        $given->complete();
        $judged = WillItDo::judge($bottle, $housing, new Conditions($coldest, $hottest, $warranty, $school));

        return new Answer(
            ['will_it' => $judged->answer->value, 'reasons' => array_column($judged->reasons, 'why')],
            $judged->reasons[0]->why,
            ['SAE J300 and SAE J306 (values from memory)', ...CoversCalculator::SOURCES],
        );
    }

    private function housing(Fields $given): Housing
    {
        $kind = $given->option('kind', array_column(CompartmentKind::cases(), 'value'), 'the kind of compartment');
        $cooling = $given->has('cooling')
            ? $given->option('cooling', array_column(Cooling::cases(), 'value'), 'the cooling')
            : null;

        return new Housing(
            CompartmentKind::tryFrom((string) $kind) ?? CompartmentKind::Engine,
            FluidFields::specification($given->has('specification')
                ? $given->within('specification', 'the specification')
                : new Fields([])),
            Cooling::tryFrom((string) $cooling),
            $given->has('yellow_metals') ? $given->flag('yellow_metals', 'whether there is brass or bronze') : null,
        );
    }
}
