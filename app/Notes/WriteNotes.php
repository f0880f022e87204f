<?php

declare(strict_types=1);

namespace App\Notes;

use App\Contract\Problem;
use App\Contract\ProblemOf;
use App\Contract\Refusal;
use App\Contract\Unavailable;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Machines\Yard;
use App\People\Person;
use Carbon\CarbonImmutable;
use Core\Form\BadInput;
use Core\Inspect\RoundKind;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Validator;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/**
 * Writes down what a device kept while it was out of reach: in the order given, each note exactly once, each by itself,
 * so that one that is refused keeps none of the others back.
 */
final readonly class WriteNotes
{
    /** As long as a device may sit in a drawer with what it sent. */
    private const DAYS_KEPT = 30;

    /** The one kind that tells of nothing but a meter. */
    private const READING = 'reading';

    private const ENVELOPE = [
        'id',
        'kind',
        'at',
        'on',
        'machine_id',
        'round',
        'job',
        'replaces',
        'note',
        'confirmed_because',
    ];

    public function __construct(private NoteKinds $kinds, private KnownJobs $jobs, private Yard $yard) {}

    /**
     * Within a transaction of the caller.
     *
     * @param  list<array<string, mixed>>  $notes  as the contract's `Note`
     * @return list<array<string, mixed>> as the contract's `NoteResult`
     */
    public function __invoke(Sending $sending, array $notes): array
    {
        // All machines at once and in one order, so that two devices never wait for each other.
        $ids = array_unique(array_filter(array_column($notes, 'machine_id')));
        $machines = Machine::query()->whereKey($ids)->with('meters')->orderBy('id')->lockForUpdate()->get()->keyBy('id');
        $sent = DB::table('sent_notes')->whereIn('uuid', array_column($notes, 'id'))->get()->keyBy('uuid')->all();
        $whens = $sending->clock->read(array_column($notes, 'at'), $this->yard);
        $results = $changed = $read = [];
        foreach ($notes as $index => $note) {
            $fingerprint = hash('sha256', "{$sending->by->id} ".json_encode($note, JSON_THROW_ON_ERROR));
            $machine = $machines[$note['machine_id'] ?? 0] ?? null;
            $result = isset($sent[$note['id']])
                ? $this->again($sent[$note['id']], $fingerprint)
                : $this->write($sending, $note, $machine, $whens[$index], $fingerprint);
            if ($result['status'] === 'written') {
                $sent[$note['id']] = (object) ['fingerprint' => $fingerprint, 'result' => '{}'];
                if ($note['kind'] === self::READING) {
                    $read[] = $machine?->id;
                } else {
                    $changed[] = $machine?->id;
                }
            }
            $results[] = ['id' => $note['id'], ...$result];
        }
        $changed = array_unique(array_filter($changed));
        event(new FactsChanged(array_values($changed)));
        $readAlone = array_diff(array_unique(array_filter($read)), $changed);
        event(new FactsChanged(array_values($readAlone), byReadingAlone: true));

        return $results;
    }

    /** Forgets which notes were sent long ago. One sent again after that meets its own id in the book. */
    public static function prune(): void
    {
        DB::table('sent_notes')->where('created_at', '<', now()->subDays(self::DAYS_KEPT))->delete();
    }

    /** @return array<string, mixed> */
    private function again(\stdClass $sent, string $fingerprint): array
    {
        return $sent->fingerprint === $fingerprint
            ? ['status' => 'already', ...(array) json_decode($sent->result, flags: JSON_THROW_ON_ERROR)]
            : self::refused(
                new Problem(
                    422,
                    'key-reused',
                    'The key was used before',
                    'This note\'s id belongs to another note. Use a new one.',
                ),
            );
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function write(Sending $sending, array $note, ?Machine $machine, When $when, string $fingerprint): array
    {
        try {
            $result = DB::transaction(function () use ($sending, $note, $machine, $when, $fingerprint): array {
                $kind = $this->kinds->named($note['kind'])
                    ?? throw Refusal::field('kind', 'There is no such kind of note.');
                $this->admit($sending->by, $kind, $note, $machine);
                $result = $kind->write($this->read($sending, $kind, $note, $machine, $when))->toRecord();
                $result['wrote'] = self::wrote($result, $machine);
                DB::table('sent_notes')->insert([
                    'uuid' => $note['id'], 'person_id' => $sending->by->id, 'fingerprint' => $fingerprint,
                    'result' => json_encode(
                        (object) array_intersect_key($result, ['entry_id' => true, 'wrote' => true]),
                        JSON_THROW_ON_ERROR,
                    ), 'created_at' => now(),
                ]);

                return $result;
            });
        } catch (UniqueConstraintViolationException) {
            // Sent so long ago that only the book still knows it.
            return ['status' => 'already'];
        } catch (Refusal|ValidationException|BadInput|AuthorizationException $refusal) {
            return self::refused(ProblemOf::thrown($refusal));
        } catch (\Throwable $fault) {
            if (Unavailable::because($fault) !== null) {
                throw $fault;
            }
            // A fault of the program in one note must not keep the others on the phone.
            report($fault);

            return self::refused(ProblemOf::thrown($fault));
        }

        return ['status' => 'written', ...$result];
    }

    /**
     * @param  array<string, mixed>  $result
     * @return list<array{id: int, machine_id: int|null}> the entries by which all of it can be struck
     */
    private static function wrote(array $result, ?Machine $machine): array
    {
        $entries = array_filter([$result['entry'] ?? null, ...$result['others'] ?? []]);
        if ($entries === [] && isset($result['entry_id'])) {
            $entries = [['id' => $result['entry_id'], 'machine_id' => $machine?->id]];
        }

        return array_values(array_map(
            fn (array $entry): array => ['id' => $entry['id'], 'machine_id' => $entry['machine_id']],
            $entries,
        ));
    }

    /** @param  array<string, mixed>  $note */
    private function admit(Person $by, NoteKind $kind, array $note, ?Machine $machine): void
    {
        if ($machine === null && isset($note['machine_id'])) {
            throw Refusal::field('machine_id', 'There is no such machine in this yard.');
        }
        if ($machine?->retired === true) {
            throw Refusal::conflict("{$machine->name} is out of the yard. Put it back first.");
        }
        $ability = $machine === null && $kind->ability() === 'log' ? 'logSome' : $kind->ability();
        Gate::forUser($by)->authorize($ability, $machine ?? Machine::class);
    }

    /** @param  array<string, mixed>  $note */
    private function read(Sending $sending, NoteKind $kind, array $note, ?Machine $machine, When $when): Note
    {
        Validator::make($note, [
            'on' => ['sometimes', 'nullable', When::rule()],
            'note' => ['sometimes', 'nullable', 'string', 'max:1000'],
            'confirmed_because' => ['sometimes', 'nullable', 'string', 'max:500'],
            'job' => ['sometimes', 'nullable', 'uuid'],
            'replaces' => ['sometimes', 'nullable', 'uuid'],
            'round' => ['sometimes', 'nullable', 'array:kind,started_at'],
            'round.kind' => ['required_with:round', Rule::enum(RoundKind::class)],
            'round.started_at' => ['required_with:round', When::rule()],
            ...$kind->rules($machine),
        ], $kind->messages())->validate();
        if (isset($note['job']) && ($machine === null || ! $this->jobs->has($machine, $note['job']))) {
            throw Refusal::field('job', 'There is no such job on this machine.');
        }
        $happened = isset($note['on']) ? When::read($note['on'], $this->yard, 'on') : $when;
        $words = implode(' ', array_filter([$note['note'] ?? null, isset($note['on']) ? null : $when->doubt])) ?: null;

        return new Note(
            $note['id'],
            $machine,
            $sending->circumstances($note, $when, $happened, $words),
            array_diff_key($note, array_flip(self::ENVELOPE)),
            isset($note['round']) ? RoundKind::from($note['round']['kind']) : null,
            isset($note['round']) ? self::roundBegan($note, $when) : null,
            $note['job'] ?? null,
            $note['replaces'] ?? null,
        );
    }

    /**
     * The device's clock is put right by as much as the note's own.
     *
     * @param  array<string, mixed>  $note
     */
    private static function roundBegan(array $note, When $when): CarbonImmutable
    {
        $off = $when->at->diffInSeconds(CarbonImmutable::parse($note['at']));
        $began = CarbonImmutable::parse($note['round']['started_at'])->addSeconds(-$off)->utc()->startOfSecond();

        return $began->min($when->at)->max($when->at->subDay());
    }

    /** @return array{status: string, problem: array<string, mixed>} */
    private static function refused(Problem $problem): array
    {
        return ['status' => 'refused', 'problem' => $problem->toArray()];
    }
}
