<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\CompartmentSheet;
use Core\Fluid\Sheet\DrainWay;
use Core\Fluid\Sheet\Hole;
use Core\Fluid\Sheet\OpeningSheet;
use Core\Fluid\Sheet\ServiceMinutes;
use Core\Fluid\Sheet\ServiceWay;
use Core\Fluid\Sheet\WayOut;
use Core\Form\Fields;
use Core\Inspect\Instrument\Level;
use Core\Machine\CompartmentKind;
use Core\Machine\MachineClass;
use Core\Machine\OpeningRole;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Measure\Dimension;
use Core\Procedure\Compartment;
use Core\Procedure\Engine;
use Core\Procedure\Opening;
use Core\Procedure\Part;
use Core\Procedure\Schools;
use Core\Procedure\ServicedMachine;
use Core\Procedure\Tightened;
use Core\Procedure\Work;
use Core\Supply\PartFitting;
use Core\Supply\PartKind;

/** Reads a service: what is to be done, and the machine as far as the order of the work depends on it. */
final class ProcedureFields
{
    private const LONGEST_WAIT = 1_440;

    private const MOST_CYCLES = 50;

    /** What belongs to what a service takes, and not to its order. */
    private const OF_NEEDS = ['compartment' => ['fluid', 'pour'], 'part' => ['kit', 'number']];

    /** @var array<string, Compartment|Opening|Part> by key */
    private array $places = [];

    /** @var list<Compartment> */
    private array $compartments = [];

    /** @var list<Part> */
    private array $parts = [];

    /** @var list<Work> */
    private array $works = [];

    private function __construct(private readonly JobRows $rows, private readonly Fields $given) {}

    public static function read(Fields $given): self
    {
        $fields = new self(new JobRows($given, self::OF_NEEDS), $given);
        $fields->rows->read($fields->compartment(...), $fields->part(...), $fields->task(...));

        return $fields;
    }

    public function machine(): ServicedMachine
    {
        if (! $this->given->has('machine')) {
            return new ServicedMachine;
        }
        $row = $this->given->within('machine', 'the machine');

        return new ServicedMachine(
            $row->choice('class', MachineClass::Tractor, 'the class of machine'),
            $row->choice('engine', Engine::Petrol, 'what drives it'),
            $row->flag('raised', 'whether it is off the ground'),
            tightened: $row->choice('tightened', Tightened::AtOnce, 'when its plugs are tightened'),
            schools: $row->has('schools') ? Schools::read($row->within('schools', 'where keepers differ')) : new Schools,
        );
    }

    /** @return list<Work> */
    public function works(): array
    {
        return $this->works;
    }

    /** @return list<Compartment> */
    public function compartments(): array
    {
        return $this->compartments;
    }

    /** @return list<Part> */
    public function parts(): array
    {
        return $this->parts;
    }

    private function compartment(Fields $row): void
    {
        $key = $this->rows->key($row);
        $kind = $row->choice('kind', CompartmentKind::Engine, 'the kind of compartment');
        $capacity = $this->rows->capacity($row);
        $openings = array_values(array_filter(array_map(
            fn (Fields $opening): ?Opening => $this->opening($opening, $kind->subject()),
            $this->rows->of($row, 'openings', 'the openings'),
        )));
        [$method, $service] = $this->service($row);
        $through = trim((string) $row->optionalText('through', 'the opening through which it is sucked out')) ?: null;
        if ($through !== null && ! in_array($through, array_column($openings, 'key'), true)) {
            $row->fault('through', "None of its openings has the key \"{$through}\".");
        }
        $compartment = new Compartment(
            (string) $key,
            $kind,
            (string) $key,
            $openings,
            new CompartmentSheet(
                out: new WayOut(
                    $row->has('drain_way')
                        ? DrainWay::tryFrom((string) $row->option('drain_way', array_column(DrainWay::cases(), 'value'), 'how it is drained'))
                        : null,
                    $this->wordsOrFlag($row, 'valve', 'its valve') ?? '',
                    through: $through,
                ),
                sharesWith: trim((string) $row->optionalText('shares_with', 'the compartment it shares with')) ?: null,
                service: $service,
            ),
            $capacity,
            $method,
            $row->has('protocol') ? Level::protocol($row->within('protocol', 'how its level is read'), $method ?? LevelMethod::Stick) : null,
        );
        $this->rows->passOver($row, 'compartment');
        if ($key !== null) {
            $this->places[$key] = $this->compartments[] = $compartment;
        }
    }

    private function opening(Fields $row, Subject $subject): ?Opening
    {
        $roles = $this->roles($row);
        $key = $this->rows->key($row);
        $torque = $row->optionalMeasure('torque', 'the torque', Dimension::Torque);
        $opening = new Opening(
            (string) $key,
            $roles ?: [OpeningRole::Fill],
            (string) $key,
            new OpeningSheet(
                trim((string) $row->optionalText('tool', 'the tool')),
                $torque === null ? '' : $row->written('torque'),
                $this->seal($row),
                loose: $this->wordsOrList($row, 'loose', 'the loose pieces'),
                hole: new Hole($row->flag('magnet', 'whether it has a magnet'), closure: Hole::closure($row)),
            ),
            subject: $subject,
        );
        if ($key === null || $roles === []) {
            return null;
        }
        $this->places[$key] = $opening;

        return $opening;
    }

    /** @return list<OpeningRole> all that one hole is, by a list of roles or by one */
    private function roles(Fields $row): array
    {
        $each = array_column(OpeningRole::cases(), 'value');
        if (! $row->has('roles')) {
            return array_values(array_filter([OpeningRole::tryFrom((string) $row->option('role', $each, 'what the opening is for'))]));
        }

        return Hole::roles($row, 'roles');
    }

    /** @return array{LevelMethod|null, ServiceWay} how its level is read, and how it is serviced */
    private function service(Fields $row): array
    {
        $warm = $this->minutes($row, 'warm', 'how long it is warmed');
        $drip = $this->minutes($row, 'drip', 'how long it drips');
        if (! $row->has('fill')) {
            return [null, new ServiceWay(new ServiceMinutes($warm, $drip), prefill: false)];
        }
        $fill = $row->within('fill', 'how it is filled');
        $method = $fill->has('method')
            ? LevelMethod::tryFrom((string) $fill->option('method', array_column(LevelMethod::cases(), 'value'), 'how its level is read'))
            : null;
        $share = $fill->optionalNumber('share_first', 'the share that is poured first', aboveZero: true);
        if ($share?->isGreaterThan(1)) {
            $fill->fault('share_first', 'The share that is poured first is at most 1.');
        }

        return [$method, new ServiceWay(
            new ServiceMinutes(
                $warm,
                $drip,
                $this->minutes($fill, 'run', 'how long it runs'),
                $this->minutes($fill, 'wait', 'how long it stands'),
            ),
            $fill->optionalWholeNumber('purge', 'how many cycles', self::MOST_CYCLES),
            $fill->isList('vents')
                ? $fill->texts('vents', 'its vents') !== []
                : $fill->flag('vents', 'whether it is filled until its vents run'),
            $fill->isFlag('prefill')
                ? $fill->flag('prefill', 'whether the filter is filled first')
                : $fill->optionalMeasure('prefill', 'what is in the filter already', Dimension::Volume) !== null,
            shareFirst: $share === null ? null : (string) $share,
        )];
    }

    private function part(Fields $row): void
    {
        $key = $this->rows->key($row);
        $kind = $row->choice('kind', PartKind::Other, 'the sort of part');
        $in = trim((string) $row->optionalText('in', 'the compartment it sits in')) ?: null;
        $hangs = $row->has('hangs') ? $row->option('hangs', ['upright', 'sideways', 'inverted'], 'how it hangs') : null;
        $drinks = $row->isFlag('drinks')
            ? $row->flag('drinks', 'whether it drinks')
            : $row->optionalMeasure('drinks', 'how much it drinks', Dimension::Volume) !== null;
        $torque = $row->optionalMeasure('torque', 'the torque', Dimension::Torque);
        $holder = $this->places[$in ?? ''] ?? null;
        if ($in !== null && ! $holder instanceof Compartment) {
            $row->fault('in', "No compartment has the key \"{$in}\".");
        }
        $part = new Part(
            (string) $key,
            $kind,
            (string) $key,
            $in,
            new PartFitting(
                loose: $this->wordsOrList($row, 'loose', 'the loose pieces'),
                tight: $torque === null ? '' : $row->written('torque'),
                seal: $this->seal($row),
                hangs: $hangs ?? '',
                drinks: $drinks ? 'some' : '',
                under: $this->wordsOrList($row, 'under', 'what lies over it'),
            ),
            subject: $row->choice(
                'subject',
                $holder instanceof Compartment ? $holder->kind->subject() : Subject::Other,
                'what part of the machine it is',
            ),
        );
        $this->rows->passOver($row, 'part');
        if ($key !== null) {
            $this->places[$key] = $this->parts[] = $part;
        }
    }

    private function task(Fields $row): bool
    {
        $act = $row->option('act', array_column(TaskKind::cases(), 'value'), 'what is done');
        $check = trim((string) $row->optionalText('check', 'by which check')) ?: null;
        $undoes = $this->wordsOrList($row, 'undoes', 'what is undone for it');
        $place = $this->rows->place($row, $this->places);
        $kind = TaskKind::tryFrom((string) $act);
        if ($place === null || $kind === null) {
            return false;
        }
        $this->works[] = new Work($kind, $place, $check, $undoes, $this->wordsOrList($row, 'answers', 'the findings that it puts right'));

        return true;
    }

    private function minutes(Fields $row, string $name, string $what): ?int
    {
        return $row->optionalWholeNumber($name, $what, self::LONGEST_WAIT);
    }

    private function wordsOrFlag(Fields $row, string $name, string $what): ?string
    {
        if ($row->isFlag($name)) {
            return $row->flag($name, $what) ? $what : null;
        }

        return trim((string) $row->optionalText($name, $what)) ?: null;
    }

    /** @return list<string> */
    private function wordsOrList(Fields $row, string $name, string $what): array
    {
        $words = $row->isList($name) || ! $row->has($name)
            ? $row->texts($name, $what)
            : [(string) $row->optionalText($name, $what)];

        return array_values(array_filter(array_map(trim(...), $words)));
    }

    /** By its number, whether one or more of it are needed. */
    private function seal(Fields $row): string
    {
        $rows = match (true) {
            $row->isSet('seal') => [$row->within('seal', 'the seal')],
            $row->isList('seal') => $row->rows('seal', 'the seals', short: 'number'),
            default => [],
        };
        if ($rows === []) {
            return trim((string) $row->optionalText('seal', 'the seal'));
        }

        return implode(', ', array_map(function (Fields $seal): string {
            $seal->passOver('count');

            return trim((string) $seal->text('number', 'the number'));
        }, $rows));
    }
}
