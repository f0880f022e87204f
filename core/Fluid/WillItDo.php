<?php

declare(strict_types=1);

namespace Core\Fluid;

use Core\Fluid\Grade\Grades;
use Core\Machine\CompartmentKind;
use Core\Measure\Quantity;

/**
 * Whether a bottle will do for a compartment in the season ahead. The compartment's own specification judges; where it
 * is silent, common practice says no to what is known to do harm, and else it is asked.
 */
final readonly class WillItDo
{
    /** @param  non-empty-list<Reason>  $reasons  the hardest first */
    private function __construct(public Suitability $answer, public array $reasons) {}

    public static function judge(Bottle $bottle, Housing $housing, Conditions $under): self
    {
        $kind = self::kind($bottle, $housing);
        if ($kind->answer === Suitability::No) {
            return self::of([$kind]);
        }
        $asked = $housing->specification;
        $mixed = $bottle->kind === FluidKind::BrakeFluid ? self::mixedBrakeFluids($bottle, $asked) : null;
        if ($mixed !== null) {
            return self::of([$mixed]);
        }
        $makersOwn = self::makersOwn($bottle, $asked, $under);
        if ($makersOwn?->answer === Suitability::Yes) {
            return self::of([$makersOwn, ...self::cold($bottle, $housing, $under->coldest)]);
        }
        $reasons = [$kind, ...array_filter([
            $makersOwn,
            self::chemistry($bottle, $asked),
            self::designations($bottle, $housing),
            self::grade($bottle, $asked, $under),
            self::airCooled($bottle, $housing),
        ]), ...self::cold($bottle, $housing, $under->coldest)];
        if (! $asked->judgesEquivalents() && $makersOwn === null && ! self::needsNoMore($bottle)) {
            $reasons[] = Reason::ask(
                'The book\'s specification of this compartment is not known here: look it up first.',
            );
        }

        return self::of($reasons);
    }

    /** @param  non-empty-list<Reason>  $reasons */
    private static function of(array $reasons): self
    {
        usort(
            $reasons,
            fn (Reason $one, Reason $other): int => $other->answer->hardness() <=> $one->answer->hardness(),
        );

        return new self($reasons[0]->answer, $reasons);
    }

    private static function kind(Bottle $bottle, Housing $housing): Reason
    {
        $wanted = $housing->specification->kind;
        $usual = FluidKind::usualIn($housing->kind);
        $place = str_replace('_', ' ', $housing->kind->value);

        return match (true) {
            $wanted === $bottle->kind => Reason::yes("The book wants {$wanted->word()} here."),
            $wanted !== null => Reason::no(
                "The book wants {$wanted->word()} here, and this is {$bottle->kind->word()}.".self::harm(
                    $housing->kind,
                    $bottle->kind,
                ),
            ),
            $usual === $bottle->kind => Reason::yes(ucfirst($bottle->kind->word())." is usual in a {$place}."),
            $usual === null && $bottle->kind->isOil() => Reason::ask(
                "Books differ on what a {$place} takes: some name an oil of its own, some a gear oil, some an engine oil.",
            ),
            $bottle->kind === FluidKind::TractorFluid && $housing->kind === CompartmentKind::WetBrakeAxle,
            $usual === FluidKind::HydraulicOil && $bottle->kind->isOil() => Reason::ask(
                "Some of these take {$bottle->kind->word()} by their book: look it up first.",
            ),
            default => Reason::no(
                ucfirst($bottle->kind->word())." does not go into a {$place}.".self::harm(
                    $housing->kind,
                    $bottle->kind,
                ),
            ),
        };
    }

    private static function harm(CompartmentKind $compartment, FluidKind $poured): string
    {
        return match (true) {
            $compartment === CompartmentKind::WetBrakeAxle => ' Brakes that run in oil chatter and wear in an oil without their additives.',
            $compartment === CompartmentKind::Brake => ' It swells every seal: a vehicle so filled is not to be driven.',
            $compartment === CompartmentKind::BatteryCells => ' Cells are filled with distilled water only.',
            $poured === FluidKind::Fuel => ' Fuel does not lubricate, and burns.',
            default => '',
        };
    }

    private static function makersOwn(Bottle $bottle, Specification $asked, Conditions $under): ?Reason
    {
        if ($asked->makersOwn === null) {
            return null;
        }
        $own = $asked->makersOwn;

        return match (true) {
            $bottle->makersOwn !== null && mb_strtolower($bottle->makersOwn) === mb_strtolower($own) => Reason::yes(
                "{$own} is the maker's own for this place.",
            ),
            $under->school->wantsMakersOwn($under->underWarranty) => Reason::no(
                $under->school === FluidSchool::Makers
                    ? "Here the maker's own is always used, and that is {$own}."
                    : "While the warranty runs the maker's own is used, and that is {$own}.",
            ),
            ! $asked->judgesEquivalents() => Reason::ask(
                "The book names only its own {$own}: nothing tells what an equivalent must meet.",
            ),
            default => null,
        };
    }

    private static function chemistry(Bottle $bottle, Specification $asked): ?Reason
    {
        if (
            ! in_array($bottle->kind, [FluidKind::Coolant, FluidKind::BrakeFluid], true)
            || $asked->chemistry === null
        ) {
            return null;
        }
        $wanted = $asked->chemistry->word();

        return match ($bottle->chemistry) {
            null => $bottle->kind === FluidKind::BrakeFluid && $bottle->designations !== []
                ? null
                : Reason::ask(
                    "This place takes {$wanted}: the label must say what this is made of. Colour tells nothing.",
                ),
            $asked->chemistry => Reason::yes("It is {$wanted}, as asked for."),
            default => Reason::no(
                "This place takes {$wanted}, and this is {$bottle->chemistry->word()}: unlike chemistries are never mixed.",
            ),
        };
    }

    /** Silicone and glycol are never mixed, whatever else a label or a book says. */
    private static function mixedBrakeFluids(Bottle $bottle, Specification $asked): ?Reason
    {
        $made = self::brakeChemistries($bottle->chemistry, $bottle->designations);
        $wanted = self::brakeChemistries($asked->chemistry, $asked->designations);
        if (count($made) > 1) {
            return Reason::no('This label contradicts itself: DOT 5 is silicone, DOT 3, 4 and 5.1 are glycol.');
        }
        if (count($wanted) > 1) {
            return Reason::no('What is written down of this system contradicts itself: DOT 5 is silicone, DOT 3, 4 and 5.1 are glycol. Put it right by the book first.');
        }

        return $made === [] || $wanted === [] || $made === $wanted
            ? null
            : Reason::no("This system takes {$wanted[0]->word()}, and this is {$made[0]->word()}: they are never mixed.");
    }

    /**
     * @param  list<string>  $designations
     * @return list<Chemistry> each once
     */
    private static function brakeChemistries(?Chemistry $named, array $designations): array
    {
        $all = array_filter([$named, ...array_map(Chemistry::ofBrakeFluid(...), $designations)]);

        return array_values(array_unique($all, SORT_REGULAR));
    }

    private static function designations(Bottle $bottle, Housing $housing): ?Reason
    {
        $needs = array_merge(...array_map(Designation::all(...), $housing->specification->designations));
        if ($needs === []) {
            return null;
        }
        $has = $bottle->promises();
        if ($has === []) {
            return Reason::ask(
                'The book asks for '.implode(
                    ' or ',
                    $housing->specification->designations,
                ).': what does the label say?',
            );
        }

        return Designation::anyCovers($has, $needs, $housing->yellowMetals);
    }

    private static function grade(Bottle $bottle, Specification $asked, Conditions $under): ?Reason
    {
        if ($asked->grades === []) {
            return null;
        }
        $listed = implode(' or ', array_map(fn (SeasonalGrade $grade): string => $grade->inWords(), $asked->grades));
        if ($bottle->grade === null) {
            return Reason::ask("The book asks for {$listed}: which grade does the label say?");
        }
        $reason = null;
        foreach ($asked->grades as $grade) {
            if ($grade->is($bottle->grade, $bottle->kind)) {
                $found = $grade->in($under->coldest, $under->hottest);
                $reason = $reason === null
                    || $found->answer->hardness() < $reason->answer->hardness()
                    ? $found
                    : $reason;
            }
        }
        if ($reason?->answer !== Suitability::No) {
            return $reason ?? Reason::no("The book lists {$listed}, and {$bottle->grade} is not among them.");
        }
        foreach ($asked->grades as $grade) {
            if (! $grade->is($bottle->grade, $bottle->kind) && $grade->in($under->coldest, $under->hottest)->answer === Suitability::Yes) {
                return Reason::no("{$reason->why} For that the book has {$grade->inWords()}.");
            }
        }

        return $reason;
    }

    /** Common practice, no source. */
    private static function airCooled(Bottle $bottle, Housing $housing): ?Reason
    {
        if ($housing->kind !== CompartmentKind::Engine || $housing->cooling !== Cooling::Air) {
            return null;
        }
        $asksForIt = array_filter(
            array_merge(...array_map(Designation::all(...), $housing->specification->designations)),
            fn (Designation $asked): bool => $asked->savesFuel(),
        );
        $savesFuel = array_filter($bottle->promises(), fn (Designation $has): bool => $has->savesFuel());

        return $savesFuel === [] || $asksForIt !== []
            ? null
            : Reason::no(
                "{$savesFuel[array_key_first($savesFuel)]->name} is made to save fuel in motor cars; a small air-cooled engine runs hotter and wants an oil that stays thick.",
            );
    }

    /**
     * What the grade's own table says of the cold, where the book names no temperatures.
     *
     * @return list<Reason>
     */
    private static function cold(Bottle $bottle, Housing $housing, ?Quantity $coldest): array
    {
        $byTheBook = array_filter(
            $housing->specification->grades,
            fn (SeasonalGrade $grade): bool => $grade->from !== null
                && $bottle->grade !== null
                && $grade->is($bottle->grade, $bottle->kind),
        );
        if ($coldest === null || $bottle->grade === null || $byTheBook !== []) {
            return [];
        }
        if (! in_array($bottle->kind, [FluidKind::EngineOil, FluidKind::GearOil], true)) {
            return [];
        }
        $grade = Grades::of($bottle->kind, $bottle->grade);
        $lowest = $grade->lowest();

        return $lowest === null || $coldest->compareTo($lowest) >= 0
            ? []
            : [Reason::no(
                "{$bottle->grade} is good down to {$lowest->inWords()} by {$grade->table()}, and the season goes down to {$coldest->inWords()}.",
            )];
    }

    /** Where the kind alone decides. */
    private static function needsNoMore(Bottle $bottle): bool
    {
        return $bottle->kind === FluidKind::DistilledWater;
    }
}
