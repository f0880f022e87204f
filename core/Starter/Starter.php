<?php

declare(strict_types=1);

namespace Core\Starter;

use Brick\Math\BigDecimal;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Sheet\DrainWay;
use Core\Grease\EndSign;
use Core\Grease\GreasePoint;
use Core\Inspect\Check;
use Core\Inspect\CheckLibrary;
use Core\Inspect\CheckList;
use Core\Machine\Closure;
use Core\Machine\CompartmentKind;
use Core\Machine\OpeningRole;
use Core\Machine\Spot;
use Core\Machine\SpotKind;
use Core\Machine\Subject;
use Core\Machine\TaskKind;
use Core\Machine\Whereabouts;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Rule;
use Core\Schedule\YearWindow;
use Core\Supply\PartKind;

/**
 * What a machine of one class begins with: its spots in walking order, its walk, its rulebooks. Every figure is common
 * practice, no source: the maker's manual of the machine at hand wins.
 */
abstract class Starter
{
    private const GREASE_ALL = 'Grease all points';

    /** @var array<string, StarterSpot>|null by key */
    private ?array $spots = null;

    /** @return array<string, StarterSpot> by key, in walking order */
    final public function spots(): array
    {
        if ($this->spots === null) {
            $this->spots = [];
            foreach ($this->places() as $place) {
                foreach (is_array($place) ? $place : [$place] as $spot) {
                    $this->spots[$spot->spot->key] = $spot;
                }
            }
        }

        return $this->spots;
    }

    final public function checkList(): CheckList
    {
        return new CheckList($this->walk());
    }

    /** @return non-empty-list<StarterRulebook> where keepers differ there are several, the usual one first */
    abstract public function rulebooks(): array;

    /** @return list<StarterSpot|list<StarterSpot>> */
    abstract protected function places(): array;

    /** @return list<Check> */
    abstract protected function walk(): array;

    /**
     * A compartment with the places where it is opened. One of the last five says how its level is read.
     *
     * @param  string|list<string>  $drain  where it is drained, low to high
     * @param  string|null  $draw  where it is sucked out, where it has no drain
     * @param  DrainWay|null  $out  how it is emptied, where its openings do not tell
     * @param  bool  $taps  whether its drains are taps
     * @return list<StarterSpot>
     */
    final protected function compartment(
        string $key,
        CompartmentKind $kind,
        string $name,
        string $place,
        int $x,
        int $y,
        string $fill,
        string|array $drain = [],
        ?string $draw = null,
        ?string $stick = null,
        ?string $glass = null,
        ?string $line = null,
        ?string $plug = null,
        ?string $gauge = null,
        string $reach = '',
        ?DrainWay $out = null,
        bool $taps = false,
    ): array {
        $opening = fn (
            string $suffix,
            OpeningRole $role,
            string $what,
            string $where,
            int $dx,
            int $dy,
            ?Closure $closure = null,
        ): StarterSpot => new StarterSpot(
            new Spot(
                "{$key}_{$suffix}",
                SpotKind::Opening,
                $kind->subject(),
                "{$name} {$what}",
                new Whereabouts($where, mark: [max(0, min(100, $x + $dx)), max(0, min(100, $y + $dy))]),
                $key,
                role: $role,
            ),
            way: new StarterWay(closure: $closure));
        $drains = (array) $drain;

        return array_values(array_filter([
            new StarterSpot(
                new Spot(
                    $key,
                    SpotKind::Compartment,
                    $kind->subject(),
                    $name,
                    new Whereabouts($place, $reach, mark: [$x, $y]),
                    compartment: $kind,
                ),
                way: new StarterWay($out, match (true) {
                    $stick !== null => LevelMethod::Stick,
                    $glass !== null => LevelMethod::SightGlass,
                    $line !== null => $kind === CompartmentKind::BatteryCells ? LevelMethod::Cells : LevelMethod::Line,
                    $plug !== null => LevelMethod::LevelPlug,
                    $gauge !== null => LevelMethod::Gauge,
                    default => null,
                }),
            ),
            $opening('fill', OpeningRole::Fill, 'filler', $fill, -3, -5),
            ...array_map(
                fn (string $where, int $nth): StarterSpot => $opening(
                    $nth === 0 ? 'drain' : 'drain_'.($nth + 1),
                    OpeningRole::Drain,
                    $nth === 0 ? 'drain' : 'second drain',
                    $where,
                    2 * $nth,
                    5,
                    $taps ? Closure::Tap : null,
                ),
                $drains,
                array_keys($drains),
            ),
            $draw === null ? null : $opening('draw', OpeningRole::Draw, $kind === CompartmentKind::Brake ? 'bleed screws' : 'draw-off', $draw, 3, 5),
            match (true) {
                $stick !== null => $opening('level', OpeningRole::Level, 'stick', $stick, 3, -5),
                $glass !== null => $opening('level', OpeningRole::Level, 'sight glass', $glass, 3, -5),
                $line !== null => $opening('level', OpeningRole::Level, 'line', $line, 3, -5),
                $plug !== null => $opening('level', OpeningRole::Level, 'level plug', $plug, 3, -5),
                $gauge !== null => $opening('level', OpeningRole::Level, 'gauge', $gauge, 3, -5),
                default => null,
            },
        ]));
    }

    /**
     * @param  string|null  $in  the compartment whose fluid runs through it
     * @param  list<string>  $under  the keys of what lies over it
     */
    final protected function part(
        string $key,
        Subject $subject,
        string $name,
        string $place,
        int $x,
        int $y,
        ?string $in = null,
        string $reach = '',
        PartKind $kind = PartKind::Other,
        array $under = [],
    ): StarterSpot {
        return new StarterSpot(
            new Spot($key, SpotKind::Part, $subject, $name, new Whereabouts($place, $reach, mark: [$x, $y]), $in),
            part: $kind,
            way: new StarterWay(under: $under),
        );
    }

    /** @param  string|null  $in  the compartment whose fluid runs through it */
    final protected function filter(
        string $key,
        Subject $subject,
        string $name,
        string $place,
        int $x,
        int $y,
        ?string $in = null,
        string $reach = '',
    ): StarterSpot {
        return $this->part($key, $subject, $name, $place, $x, $y, $in, $reach, PartKind::Filter);
    }

    final protected function spot(
        string $key,
        Subject $subject,
        string $name,
        string $place,
        int $x,
        int $y,
    ): StarterSpot {
        return new StarterSpot(new Spot($key, SpotKind::Plain, $subject, $name, new Whereabouts($place, mark: [$x, $y])));
    }

    /**
     * A nipple.
     *
     * @param  int|null  $every  hours, where it is not greased with the others
     * @param  string|null  $with  the spot whose work opens the way to it
     */
    final protected function point(
        string $key,
        string $name,
        string $place,
        int $x,
        int $y,
        int $strokes,
        EndSign $end = EndSign::Shows,
        ?int $most = null,
        string $reach = '',
        ?int $every = null,
        ?string $with = null,
    ): StarterSpot {
        return new StarterSpot(
            new Spot($key, SpotKind::GreasePoint, Subject::Grease, $name, new Whereabouts($place, $reach, mark: [$x, $y])),
            new GreasePoint($strokes, $end, $most),
            $every,
            $with,
        );
    }

    /**
     * Something that is looked at on the walk.
     *
     * @param  string  $check  in the library
     * @param  array<string, string>|null  $limits  where such a machine's differ
     */
    final protected function look(string $check, string $at, ?string $place = null, ?array $limits = null): Check
    {
        $known = CheckLibrary::check($check);
        $place ??= ($known->readsLevel() ? $this->spots()["{$at}_level"] ?? null : null)->spot->at->place
            ?? $this->spots()[$at]->spot->at->place;

        return $known->with(['spot' => $at, 'place' => $place, ...($limits === null ? [] : ['limits' => $limits])]);
    }

    /** @param  non-empty-list<StarterRule>  $rules */
    final protected function rulebook(
        string $name,
        string $for,
        array $rules,
        Anchor $anchor = Anchor::FromDone,
    ): StarterRulebook {
        foreach ($this->spots() as $key => $point) {
            if ($point->everyHours !== null) {
                $rules[] = new StarterRule(
                    $point->spot->name,
                    TaskKind::Lubricate,
                    [$key],
                    new Rule($this->hours($point->everyHours)),
                    note: $point->spot->at->reach ?: null,
                    goesWith: self::rowAt($rules, $point->with),
                );
            }
        }

        return new StarterRulebook(
            $name,
            $for,
            array_map(fn (StarterRule $rule): StarterRule => $rule->countedBy($anchor), $rules),
        );
    }

    /** @param  list<string>  $spots */
    final protected function rule(
        string $task,
        TaskKind $kind,
        array $spots,
        ?int $hours = null,
        ?int $km = null,
        ?int $months = null,
        ?int $first = null,
        ?int $firstKm = null,
        ?string $check = null,
        ?string $note = null,
    ): StarterRule {
        return new StarterRule(
            $task,
            $kind,
            $spots,
            new Rule(new Interval(self::length($hours), self::length($km), $months), self::first($first, $firstKm)),
            $note,
            $check,
        );
    }

    /** Every nipple that has no task of its own. */
    final protected function greaseAll(
        ?int $hours = null,
        ?int $km = null,
        ?int $months = null,
        ?string $note = null,
    ): StarterRule {
        return $this->rule(self::GREASE_ALL, TaskKind::Lubricate, [], $hours, $km, $months, note: $note);
    }

    final protected function greaseAllInSpring(): StarterRule
    {
        return $this->spring(self::GREASE_ALL, TaskKind::Lubricate, []);
    }

    /** @param  list<string>  $spots */
    final protected function spring(
        string $task,
        TaskKind $kind,
        array $spots,
        ?int $first = null,
        ?string $check = null,
        ?string $note = null,
    ): StarterRule {
        return new StarterRule(
            $task,
            $kind,
            $spots,
            new Rule(new Interval, self::first($first), windows: [YearWindow::between('03-01', '04-15', 'spring')]),
            $note,
            $check,
        );
    }

    /** @param  list<string>  $spots */
    final protected function storage(
        string $task,
        TaskKind $kind,
        array $spots,
        ?string $check = null,
        ?string $note = null,
    ): StarterRule {
        return new StarterRule(
            $task,
            $kind,
            $spots,
            new Rule(new Interval, windows: [YearWindow::between('10-15', '11-30', 'before storage')]),
            $note,
            $check,
        );
    }

    /** @param  list<string>  $spots */
    final protected function called(string $task, TaskKind $kind, array $spots, string $when): StarterRule
    {
        return new StarterRule($task, $kind, $spots, new Rule(new Interval, condition: $when));
    }

    private function hours(int $hours): Interval
    {
        return Interval::ofHours($hours);
    }

    /** @param  list<StarterRule>  $rules */
    private static function rowAt(array $rules, ?string $spot): ?int
    {
        foreach ($spot === null ? [] : $rules as $row => $rule) {
            if (in_array($spot, $rule->spots, true)) {
                return $row;
            }
        }

        return null;
    }

    /** @return list<Interval> */
    private static function first(?int $hours, ?int $km = null): array
    {
        return $hours === null && $km === null ? [] : [new Interval(self::length($hours), self::length($km))];
    }

    private static function length(?int $length): ?BigDecimal
    {
        return $length === null ? null : BigDecimal::of($length);
    }
}
