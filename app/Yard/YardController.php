<?php

declare(strict_types=1);

namespace App\Yard;

use App\Machines\Machine;
use App\Machines\Yard;
use App\Rulebook\Written\WrittenInterval;
use Core\Machine\MachineClass;
use Core\Machine\Subject;
use Core\Measure\Quantity;
use Core\Measure\Unit;
use Core\Procedure\School;
use Core\Schedule\Headline;
use Core\Schedule\Interval;
use Core\Schedule\Severity;
use Core\Schedule\SeverityTable;
use Core\Starter\StarterRule;
use Core\Starter\StarterRulebook;
use Core\Starter\Starters;
use Core\Starter\StarterSpot;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\Rule as Among;

/** The yard as a whole. */
final readonly class YardController
{
    public function __construct(private Yard $yard) {}

    public function show(): JsonResponse
    {
        YardLine::bringUpToDate($this->yard);
        $counts = YardLine::query()->toBase()
            ->groupBy('state')
            ->pluck(DB::raw('count(*)'), 'state')
            ->map(fn (int|string $count): int => (int) $count);

        return $this->yard->respond([
            ...$this->yard->toRecord(),
            'today' => $this->yard->today()->format('Y-m-d'),
            'machines' => (int) $counts->sum(),
            'headline' => Headline::of($this->firstNames($counts), $counts->all()),
            'severities' => $this->severities(),
            'places' => Machine::query()->where('retired', false)->distinct()->orderBy('place')->pluck('place')->all(),
            'classes' => array_map(fn (MachineClass $class): array => [
                'class' => $class->value,
                'label' => $class->label(),
                'usual_meters' => array_map(fn ($unit): string => $unit->value, $class->usualMeters()),
            ], MachineClass::cases()),
            'schools' => array_map(fn (School $school): array => [
                'school' => $school->value,
                'asks' => $school->asks(),
                'ways' => array_map(
                    fn (string $way, string $says): array => ['way' => $way, 'says' => $says],
                    array_keys($school->ways()),
                    array_values($school->ways()),
                ),
            ], School::cases()),
        ]);
    }

    public function update(YardRequest $request): JsonResponse
    {
        $given = $request->validated();
        if (isset($given['severity'])) {
            $given['severity'] = array_map(
                fn (array $shares): array => array_map(strval(...), $shares),
                $given['severity'],
            );
        }
        foreach (['coldest_night', 'hottest_day'] as $extreme) {
            if (isset($given[$extreme])) {
                $given[$extreme] = Quantity::parse($given[$extreme], Unit::DegreeCelsius)->inWords();
            }
        }
        if (array_key_exists('currency', $given)) {
            $given['currency'] ??= '';
        }
        $yard = $this->yard->changeAsSeen(
            $request,
            fn (Yard $current) => $current->fill($given),
            fn (Yard $current): array => $current->toRecord(),
        );

        if (isset($given['severity'])) {
            YardLine::outdate();
        }

        return $yard->respond($yard->toRecord());
    }

    /** Rulebooks to begin with, by class, the usual one first; every figure is common practice. */
    public function starterRulebooks(Request $request): JsonResponse
    {
        $class = MachineClass::from(
            $request->validate(['class' => ['required', Among::enum(MachineClass::class)]])['class'],
        );

        return new JsonResponse(['class' => $class->value, 'rulebooks' => array_map(fn (StarterRulebook $rulebook): array => [
            'name' => $rulebook->name,
            'for' => $rulebook->for,
            'rules' => array_map(fn (StarterRule $rule): array => [
                'task' => $rule->task,
                'kind' => $rule->kind->value,
                'spots' => $rule->spots,
                'check' => $rule->check,
                'goes_with_row' => $rule->goesWith,
                'first' => array_map(
                    fn (Interval $first): object => (object) WrittenInterval::fromCore($first),
                    $rule->rule->first,
                ),
                'every' => (object) WrittenInterval::fromCore($rule->rule->every),
                'windows' => array_map(WrittenInterval::window(...), $rule->rule->windows),
                'condition' => $rule->rule->condition,
                'anchor' => $rule->rule->anchor->value,
                'in_words' => $rule->rule->inWords(),
                'note' => $rule->note,
                'common_practice' => true,
            ], $rulebook->rules),
        ], Starters::for($class)->rulebooks()), 'spots' => array_values(
            array_map(
                fn (StarterSpot $spot): array => ['key' => $spot->spot->key, 'name' => $spot->spot->name],
                Starters::for($class)->spots(),
            ),
        ), 'sources' => ['common practice']]);
    }

    /**
     * @return array<int, array<string, mixed>> every severity with the share it leaves of each subject's intervals, and the
     *     usual one
     */
    private function severities(): array
    {
        $table = $this->yard->severityTable();
        $usual = SeverityTable::usual();

        return array_map(fn (Severity $severity): array => [
            'severity' => $severity->value,
            'label' => $severity->label(),
            'by_use' => $severity->wearsByUse(),
            'shares' => array_map(fn (Subject $subject): array => [
                'subject' => $subject->value,
                'label' => $subject->label(),
                'share' => (string) $table->factor($severity, $subject),
                'usual' => (string) $usual->factor($severity, $subject),
            ], Subject::cases()),
        ], Severity::cases());
    }

    /**
     * @param  Collection<string, int>  $counts
     * @return array<string, list<string>> the first few names of each state
     */
    private function firstNames(Collection $counts): array
    {
        return $counts->map(fn (int $count, string $state): array => array_values(Machine::query()->join(
            'yard_lines',
            'yard_lines.machine_id',
            '=',
            'machines.id',
        )
            ->where('yard_lines.state', $state)->orderBy('urgency')->orderBy('days_left')->orderBy('machine_id')
            ->limit(Headline::NAMES_TOLD)
            ->pluck('name')
            ->map(strval(...))->all()))
            ->all();
    }
}
