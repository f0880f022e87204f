<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Sheet\Capacity;
use Core\Fluid\Sheet\CapacityKind;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\Hole;
use Core\Form\Fields;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Measure\Dimension;
use Core\Measure\Quantity;
use Core\Supply\KitPiece;
use Core\Supply\Materials\Seal;
use Core\Supply\Materials\TaskOpening;
use Core\Supply\Materials\TaskPlace;
use Core\Supply\Materials\TaskWork;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;
use Core\Supply\PartNumbers;
use Core\Supply\PartSheet;

/** Reads tasks with the compartments, openings and parts at which they are done. */
final class TaskFields
{
    private const MOST_PIECES = 99;

    /** What belongs to the order of the work, and not to what it takes. */
    private const OF_ORDER = [
        'compartment' => ['protocol', 'fill', 'warm', 'drip', 'valve', 'drain_way', 'through'],
        'opening' => ['loose', 'torque', 'magnet', 'closure'],
        'part' => ['hangs', 'loose', 'torque', 'under'],
        'task' => ['check', 'undoes', 'answers'],
    ];

    /** @var array<string, TaskPlace> by key */
    private array $places = [];

    /** @var array<string, string> the fluid of each compartment */
    private array $fluids = [];

    /** @var list<TaskWork> */
    private array $works = [];

    private function __construct(private readonly JobRows $rows) {}

    public static function read(Fields $given): self
    {
        $fields = new self(new JobRows($given, self::OF_ORDER));
        $fields->rows->read($fields->compartment(...), $fields->part(...), $fields->task(...));

        return $fields;
    }

    /** @return list<TaskWork> */
    public function works(): array
    {
        return $this->works;
    }

    /** What is poured into a compartment: its fluid, or its key where nobody has said. */
    public function fluid(string $compartment): string
    {
        return $this->fluids[$compartment] ?? $compartment;
    }

    private function compartment(Fields $row): void
    {
        $kind = $row->choice('kind', CompartmentKind::Engine, 'the kind of compartment');
        $key = $this->rows->key($row);
        $pour = $row->optionalMeasure('pour', 'what is poured', Dimension::Volume);
        $capacity = $this->capacity($row, $pour);
        $shares = trim((string) $row->optionalText('shares_with', 'the compartment it shares with')) ?: null;
        $fluid = trim((string) $row->optionalText('fluid', 'the fluid'));
        $this->rows->passOver($row, 'compartment');
        $openings = [];
        foreach ($this->rows->of($row, 'openings', 'the openings') as $opening) {
            $openings[] = $this->opening($opening, $key);
        }
        if ($key === null) {
            return;
        }
        $this->fluids[$key] = $fluid === '' ? $key : $fluid;
        $this->places[$key] = new TaskPlace(
            self::spot($key, SpotKind::Compartment, compartment: $kind),
            new CompartmentSheet($capacity === null ? [] : [$capacity], sharesWith: $shares),
            array_values(array_filter($openings)),
        );
    }

    private function opening(Fields $row, ?string $in): ?TaskOpening
    {
        $role = ($row->has('roles')
            ? Hole::roles($row, 'roles')[0] ?? null
            : OpeningRole::tryFrom((string) $row->option('role', array_column(OpeningRole::cases(), 'value'), 'what the opening is for')));
        $tool = trim((string) $row->optionalText('tool', 'the tool'));
        $seals = $this->seals($row);
        $key = $this->rows->key($row);
        $this->rows->passOver($row, 'opening');
        if ($key === null || $role === null) {
            return null;
        }
        $spot = self::spot($key, SpotKind::Opening, $in, role: $role);
        $opening = new TaskOpening($spot, $tool, $seals);
        $this->places[$key] = new TaskPlace($spot, openings: [$opening]);

        return $opening;
    }

    private function part(Fields $row): void
    {
        $kind = $row->choice('kind', PartKind::Other, 'the sort of part');
        $key = $this->rows->key($row);
        $in = trim((string) $row->optionalText('in', 'the compartment it sits in')) ?: null;
        $number = trim((string) $row->optionalText('number', 'the number'));
        $seals = $this->seals($row);
        $kit = $this->kit($row);
        $drinks = $row->isFlag('drinks') ? null : $row->optionalMeasure('drinks', 'how much it drinks', Dimension::Volume);
        if ($row->isFlag('drinks')) {
            $row->passOver('drinks');
        }
        $this->rows->passOver($row, 'part');
        if ($key !== null) {
            $this->places[$key] = new TaskPlace(
                self::spot($key, SpotKind::Part, $in),
                part: new PartSheet($kind, new PartNumbers($number, kitHolds: $kit), new PartFitting(drinks: $drinks === null ? '' : $row->written('drinks'))),
                seals: $seals,
            );
        }
    }

    private function task(Fields $row): bool
    {
        $acts = array_column(TaskKind::cases(), 'value');
        $act = $row->option('act', $acts, 'what is done');
        $this->rows->passOver($row, 'task');
        $place = $this->rows->place($row, $this->places);
        $kind = TaskKind::tryFrom((string) $act);
        if ($place === null || $kind === null) {
            return false;
        }
        $holder = $place->compartment?->sharesWith === null ? null : $this->places[$place->compartment->sharesWith] ?? null;
        $this->works[] = new TaskWork($kind, array_values(array_filter([$place, $holder])));

        return true;
    }

    /** @param  Quantity|null  $pour  what is poured stands before what it holds */
    private function capacity(Fields $row, ?Quantity $pour): ?Capacity
    {
        $book = $this->rows->capacity($row);
        if ($pour?->value->isZero()) {
            $row->fault('pour', 'A compartment holds more than nothing.');
        }

        return $pour === null ? $book : new Capacity(CapacityKind::Refill, $pour, $pour, $pour->inWords());
    }

    /** @return list<Seal> */
    private function seals(Fields $row): array
    {
        $rows = $row->isSet('seal')
            ? [$row->within('seal', 'the seal')]
            : ($row->isList('seal') ? $row->rows('seal', 'the seals', short: 'number') : []);
        if ($rows === []) {
            return Seal::list(trim((string) $row->optionalText('seal', 'the seal')));
        }

        return array_map(fn (Fields $seal): Seal => new Seal(
            trim((string) $seal->text('number', 'the number')),
            $this->count($seal),
        ), $rows);
    }

    /** @return list<KitPiece> what comes with the part under its number */
    private function kit(Fields $row): array
    {
        return array_map(
            fn (Fields $piece): KitPiece => new KitPiece(
                trim((string) $piece->text('number', 'the number')),
                $this->count($piece),
            ),
            $row->rows('kit', 'what is in the kit', short: 'number'),
        );
    }

    private function count(Fields $row): int
    {
        $count = $row->optionalWholeNumber('count', 'how many', self::MOST_PIECES) ?? 1;
        if ($count === 0) {
            $row->fault('count', 'At least one.');
        }

        return $count;
    }

    private static function spot(
        string $key,
        SpotKind $kind,
        ?string $parent = null,
        ?CompartmentKind $compartment = null,
        ?OpeningRole $role = null,
    ): Spot {
        return new Spot($key, $kind, Subject::Other, $key, parent: $parent, compartment: $compartment, role: $role);
    }
}
