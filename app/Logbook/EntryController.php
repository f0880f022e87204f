<?php

declare(strict_types=1);

namespace App\Logbook;

use App\Contract\Cursor;
use App\Contract\Refusal;
use App\Contract\TypedNumber;
use App\People\Person;
use App\Walkaround\PutRight;
use App\Walkaround\WalkLine;
use App\Yard\Machine;
use App\Yard\Yard;
use App\Yard\YardLine;
use Core\Schedule\Anchor;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Relations\HasMany;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Str;
use Illuminate\Validation\Rule;

/** The logbook: reading it, and writing the kinds of entry that a machine gets. */
final class EntryController
{
    public function __construct(
        private readonly LogReading $logReading,
        private readonly RecordService $recordService,
        private readonly StrikeEntry $strikeEntry,
        private readonly PutRight $putRight,
    ) {
    }

    public function index(Request $request): JsonResponse
    {
        return $this->page($request, Entry::query());
    }

    public function ofMachine(Request $request, Machine $machine): JsonResponse
    {
        return $this->page($request, $machine->entries());
    }

    public function storeReading(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate([...Circumstances::rules(), 'value' => ['required', new TypedNumber('The reading')], 'meter' => ['sometimes', 'in:hours,distance']]);
        $machine = Machine::lockForWriting($machine->id);
        $distance = ($given['meter'] ?? ($machine->meterAt(now()->toImmutable())?->unit->isDistance() === true ? 'distance' : 'hours')) === 'distance';
        $reading = $distance ? GivenReading::distance($given['value']) : GivenReading::hours($given['value']);

        return $this->written($request, $machine, ($this->logReading)($machine, $reading, Circumstances::of($request)));
    }

    public function storeService(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate($this->serviceRules($machine), ['rule_ids.required' => 'Choose what was done.']);
        $machine = Machine::lockForWriting($machine->id);
        $entry = ($this->recordService)($machine, $given['rule_ids'], $this->serviceReadings($given), Circumstances::of($request));
        $this->countFromNowOn($machine, $given['anchors'] ?? [], Circumstances::of($request));
        foreach ($given['puts_right'] ?? [] as $index => $subject) {
            ($this->putRight)($machine, $subject, $entry, Circumstances::of($request), (string) Str::uuid(), "puts_right.{$index}");
        }
        if (isset($given['puts_right'])) {
            WalkLine::rewrite([$machine->id]);
        }

        return $this->written($request, $machine, $entry);
    }

    public function replaceMeter(Request $request, Machine $machine, ReplaceMeter $replaceMeter): JsonResponse
    {
        $given = $request->validate([
            ...Circumstances::rules(),
            'meter' => ['required', 'in:hours,distance'],
            'old_value' => ['sometimes', 'nullable', new TypedNumber('The old meter')],
            'new_value' => ['required', new TypedNumber('The new meter')],
            'run' => ['sometimes', 'nullable', new TypedNumber('What the machine has run')],
        ]);
        $machine = Machine::lockForWriting($machine->id);
        $read = $given['meter'] === 'distance' ? GivenReading::distance(...) : GivenReading::hours(...);
        $entry = $replaceMeter($machine, isset($given['old_value']) ? $read($given['old_value']) : null, $read($given['new_value']),
            isset($given['run']) ? TypedNumber::read($given['run']) : null, Circumstances::of($request));

        return $this->written($request, $machine, $entry);
    }

    public function standDown(Request $request, Machine $machine): JsonResponse
    {
        return $this->changeStand($request, $machine, EntryKind::StoodDown, 'Say what is wrong with it.');
    }

    public function lift(Request $request, Machine $machine): JsonResponse
    {
        return $this->changeStand($request, $machine, EntryKind::Lifted, 'Say why it may be used again.');
    }

    public function strike(Request $request, Entry $entry): JsonResponse
    {
        $given = $request->validate(['because' => ['required', 'string', 'max:500']]);
        $machine = Machine::lockForWriting($entry->machine_id);
        ($this->strikeEntry)($entry->refresh(), $this->person($request), $given['because']);

        return $this->written($request, $machine->unsetRelation('meters'), $entry->refresh(), 200);
    }

    /** Strikes a reading or a service and writes what is right beside it. */
    public function correct(Request $request, Entry $entry): JsonResponse
    {
        if (! in_array($entry->kind, [EntryKind::Reading, EntryKind::Service], true)) {
            throw Refusal::conflict('Only readings and services are corrected. Strike this one and write it anew.');
        }
        $isReading = $entry->kind === EntryKind::Reading;
        $given = $request->validate(['because' => ['required', 'string', 'max:500'], ...Circumstances::rules(),
            ...($isReading ? ['value' => ['required', new TypedNumber('The reading')]] : $this->serviceRules($entry->machine))]);
        $machine = Machine::lockForWriting($entry->machine_id);
        ($this->strikeEntry)($entry->refresh(), $this->person($request), $given['because']);
        $at = $given['at'] ?? ($entry->day_only ? Yard::query()->firstOrFail()->dayOf($entry->happened_at)->format('Y-m-d') : $entry->happened_at->toAtomString());
        $circumstances = Circumstances::of($request, $at);
        $new = $isReading
            ? ($this->logReading)($machine, $entry->meter?->unit->isDistance() === true ? GivenReading::distance($given['value']) : GivenReading::hours($given['value']), $circumstances, ['corrects_id' => $entry->id])
            : ($this->recordService)($machine, $given['rule_ids'], $this->serviceReadings($given), $circumstances, $entry->id);
        foreach ($isReading ? $entry->parts : [] as $part) {
            ($this->logReading)($machine, new GivenReading($part->shownValue() ?? BigDecimal::zero(), (string) $part->typed, $part->meter?->unit->isDistance() === true), $circumstances, ['part_of_id' => $new->id]);
        }

        return $this->written($request, $machine, $new);
    }

    /** @param  list<array{rule_id: int, anchor: string}>  $choices  from where the next point of a task is counted */
    private function countFromNowOn(Machine $machine, array $choices, Circumstances $circumstances): void
    {
        foreach ($choices as $choice) {
            $rule = $machine->rules()->find($choice['rule_id']);
            if ($rule !== null && $rule->anchor->value !== $choice['anchor']) {
                $rule->update(['anchor' => $choice['anchor'], 'version' => $rule->version + 1]);
                $words = $rule->anchor === Anchor::Chart ? 'by the chart' : 'from the day it was done';
                $machine->entries()->create([...$circumstances->columns(), 'kind' => EntryKind::RuleChanged, 'note' => "{$rule->task}: counted {$words} from now on."]);
            }
        }
    }

    /** @return array<string, array<mixed>> */
    private function serviceRules(Machine $machine): array
    {
        $meters = collect($machine->currentMeters())->map(fn ($meter): string => $meter->unit->isDistance() ? 'distance' : 'hours');
        $needed = fn (string $kind): string => $meters->contains($kind) ? 'required' : 'prohibited';

        return [
            ...Circumstances::rules(),
            'rule_ids' => ['required', 'array', 'min:1', 'max:200'],
            'rule_ids.*' => ['integer', 'distinct'],
            'puts_right' => ['sometimes', 'array', 'max:100'],
            'puts_right.*' => ['string', 'distinct', 'max:40'],
            'anchors' => ['sometimes', 'array', 'max:200'],
            'anchors.*.rule_id' => ['required', 'integer'],
            'anchors.*.anchor' => ['required', Rule::enum(Anchor::class)],
            'hours' => [$needed('hours'), 'nullable', new TypedNumber('The hour meter')],
            'distance' => [$needed('distance'), 'nullable', new TypedNumber('The odometer')],
        ];
    }

    /**
     * @param  array<string, mixed>  $given
     * @return list<GivenReading>
     */
    private function serviceReadings(array $given): array
    {
        return array_values(array_filter([
            isset($given['hours']) ? GivenReading::hours($given['hours']) : null,
            isset($given['distance']) ? GivenReading::distance($given['distance']) : null,
        ]));
    }

    private function changeStand(Request $request, Machine $machine, EntryKind $kind, string $reasonMissing): JsonResponse
    {
        $request->validate([...Circumstances::rules(), 'note' => ['required', 'string', 'max:1000']], ['note.required' => $reasonMissing]);
        $machine = Machine::lockForWriting($machine->id);
        $newest = $machine->entries()->whereIn('kind', [EntryKind::StoodDown, EntryKind::Lifted])->whereNull('struck_at')->latest('happened_at')->latest('id')->first();
        if (($newest?->kind ?? EntryKind::Lifted) === $kind) {
            throw Refusal::conflict($kind === EntryKind::StoodDown ? "{$machine->name} is stood down already." : "{$machine->name} is not stood down.");
        }
        $circumstances = Circumstances::of($request);

        return $this->written($request, $machine, $machine->entries()->create([...$circumstances->columns(), 'kind' => $kind, 'note' => $circumstances->note]));
    }

    private function written(Request $request, Machine $machine, Entry $entry, int $status = 201): JsonResponse
    {
        $entry->setRelation('machine', $machine)->setRelation('meter', $machine->meters->find($entry->meter_id));

        return new JsonResponse(['entry' => EntryShape::of($entry, $this->person($request)), 'line' => YardLine::rewrite($machine)->line], $status);
    }

    /** @param  Builder<Entry>|HasMany<Entry, Machine>  $entries */
    private function page(Request $request, Builder|HasMany $entries): JsonResponse
    {
        $filter = $request->validate(['kind' => ['sometimes', Rule::enum(EntryKind::class)]]);
        $cursor = Cursor::of($request);
        $page = $cursor->page($entries->whereNull('part_of_id')->when($filter['kind'] ?? null, fn ($query, string $kind) => $query->where('kind', $kind))
            ->with(EntryShape::WITH)->orderByDesc('happened_at')->orderByDesc('id'));
        (new Collection($page->items()))->filter(fn (Entry $entry): bool => $entry->kind->isOfWalk())->load(EntryShape::OF_WALK);
        $reader = $this->person($request);

        return $cursor->respond($page, fn (Entry $entry): array => EntryShape::of($entry, $reader));
    }

    private function person(Request $request): Person
    {
        $person = $request->user();
        assert($person instanceof Person);

        return $person;
    }
}
