<?php

declare(strict_types=1);

namespace App\Machines;

use App\Contract\Refusal;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\SheetFields;
use Core\Form\BadInput;
use Core\Form\Fields;
use Core\Machine\OpeningRole;
use Core\Machine\SpotKind;
use Core\Measure\Quantity;
use Core\Supply\PartFields;
use Core\Supply\PartSheet;
use Illuminate\Database\Eloquent\Collection;

/** What is written down of spots, read into core's values and written as it was typed. */
final class Sheets
{
    public static function compartment(Spot $spot): CompartmentSheet
    {
        return SheetFields::read(new Fields($spot->sheet->written ?? []));
    }

    /**
     * The most that a compartment can hold, both sides of it together; null where nobody has written it down.
     *
     * @param  Collection<int, Spot>  $spots  at least its openings
     */
    public static function holds(Spot $compartment, Collection $spots): ?Quantity
    {
        $drains = $spots->where('parent_id', $compartment->id)->where('role', OpeningRole::Drain)->count();

        return self::compartment($compartment)->most($drains)?->most;
    }

    public static function opening(Spot $spot): OpeningSheet
    {
        return OpeningSheet::read(new Fields($spot->sheet->written ?? []));
    }

    public static function part(Spot $spot): PartSheet
    {
        return PartFields::read(new Fields($spot->sheet->written ?? []));
    }

    /**
     * @param  array<string, mixed>  $given
     *
     * @throws BadInput if a field is at fault
     * @throws Refusal if it is to share its fluid in a circle, or nothing is written down of such a spot
     */
    public static function write(Spot $spot, array $given, string $path = 'sheet.'): void
    {
        $fields = new Fields($given, $path);
        $written = match ($spot->kind) {
            SpotKind::Compartment => SheetFields::written($sheet = SheetFields::read($fields)),
            SpotKind::Opening => OpeningSheet::read($fields)->written(),
            SpotKind::Part => PartFields::written(PartFields::read($fields)),
            SpotKind::GreasePoint, SpotKind::Plain => throw Refusal::field(
                rtrim($path, '.'),
                "{$spot->name} is no compartment, no opening, and no place of a part.",
            ),
        };
        $fields->refuseUnknown();
        if (isset($sheet)) {
            $holder = $sheet->sharesWith === null
                ? null
                : self::holder($spot, $sheet->sharesWith, "{$path}shares_with");
            $spot->setRelation('holder', $holder)->update(['shares_with_id' => $holder?->id]);
        }
        $spot->setRelation('sheet', Sheet::query()->updateOrCreate(['spot_id' => $spot->id], ['written' => $written]));
    }

    private static function holder(Spot $spot, string $key, string $field): Spot
    {
        $holder = Spot::query()->where(
            ['machine_id' => $spot->machine_id, 'key' => $key, 'kind' => SpotKind::Compartment],
        )->with('holder:id,name')->first() ?? throw Refusal::field($field, 'This machine has no such compartment.');
        $sharer = Spot::query()->where('shares_with_id', $spot->id)->first();

        return match (true) {
            $holder->id === $spot->id => throw Refusal::field($field, 'A compartment does not share with itself.'),
            $holder->shares_with_id === $spot->id, $sharer?->id === $holder->id => throw Refusal::field(
                $field,
                "{$holder->name} shares with {$spot->name} already: one of the two holds the fluid.",
            ),
            $holder->holder !== null => throw Refusal::field(
                $field,
                "{$holder->name} shares with {$holder->holder->name} itself: name that one.",
            ),
            $sharer !== null => throw Refusal::field(
                $field,
                "{$sharer->name} shares the fluid of {$spot->name}: let it share with {$holder->name} first.",
            ),
            default => $holder,
        };
    }
}
