<?php

declare(strict_types=1);

namespace App\Walkaround;

use App\Contract\Problem;
use App\Contract\Refusal;
use App\Contract\Unavailable;
use App\Logbook\When;
use App\People\Person;
use App\Yard\Machine;
use App\Yard\Yard;
use App\Yard\YardLine;
use Core\Form\BadInput;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Database\UniqueConstraintViolationException;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;

/**
 * Writes down what a device kept while it was out of reach: in the order given, each note exactly once, each by itself, so that one that is refused keeps
 * none of the others back.
 */
final readonly class WriteNotes
{
    /** As long as a device may sit in a drawer with what it sent. */
    private const DAYS_KEPT = 30;

    /** One batch in so many clears away the old ones. */
    private const CLEARED_EVERY = 100;

    public function __construct(private WriteNote $writeNote, private Yard $yard)
    {
    }

    /**
     * Within a transaction of the caller.
     *
     * @param  list<array<string, mixed>>  $notes  as the contract's `Note`
     * @return list<array{id: string, status: string, problem?: array<string, mixed>}>
     */
    public function __invoke(Person $by, array $notes, ?string $device, NoteClock $clock): array
    {
        // All machines at once and in one order, so that two devices never wait for each other.
        $machines = Machine::query()->whereKey(array_unique(array_column($notes, 'machine_id')))->orderBy('id')->lockForUpdate()->get()->keyBy('id');
        $written = DB::table('sent_notes')->whereIn('uuid', array_column($notes, 'id'))->get()->keyBy('uuid')->all();
        $whens = $clock->read(array_column($notes, 'at'), $this->yard);
        $touched = new Touched;
        $results = [];
        foreach ($notes as $index => $note) {
            $fingerprint = hash('sha256', "{$by->id} ".json_encode($note, JSON_THROW_ON_ERROR));
            $results[] = ['id' => $note['id'], ...isset($written[$note['id']])
                ? $this->again($written[$note['id']], $fingerprint)
                : $this->write($by, $note, $machines[$note['machine_id']] ?? null, $device, $whens[$index], $fingerprint, $touched)];
            $written[$note['id']] ??= end($results)['status'] === 'written' ? (object) ['fingerprint' => $fingerprint, 'result' => '{}'] : null;
        }
        if (random_int(1, self::CLEARED_EVERY) === 1) {
            self::prune();
        }
        foreach ($touched->reckoned() as $machine) {
            YardLine::rewrite($machine->unsetRelations());
        }
        WalkLine::rewrite($touched->walked());

        return $results;
    }

    /** Forgets which notes were sent long ago. A look sent again after that meets its own id in the book. */
    public static function prune(): void
    {
        DB::table('sent_notes')->where('created_at', '<', now()->subDays(self::DAYS_KEPT))->delete();
    }

    /** @return array<string, mixed> */
    private function again(object $sent, string $fingerprint): array
    {
        return $sent->fingerprint === $fingerprint ? ['status' => 'already', ...(array) json_decode($sent->result, flags: JSON_THROW_ON_ERROR)]
            : self::refused(new Problem(422, 'key-reused', 'The key was used before', 'This note\'s id belongs to another note. Use a new one.'));
    }

    /**
     * @param  array<string, mixed>  $note
     * @return array<string, mixed>
     */
    private function write(Person $by, array $note, ?Machine $machine, ?string $device, When $when, string $fingerprint, Touched $touched): array
    {
        try {
            $result = DB::transaction(function () use ($by, $note, $machine, $device, $when, $fingerprint, $touched): array {
                $machine ?? throw Refusal::field('machine_id', 'There is no such machine in this yard.');
                if ($machine->retired) {
                    throw Refusal::conflict("{$machine->name} is out of the yard.");
                }
                Gate::forUser($by)->authorize($note['kind'] === 'mended' ? 'service' : 'log', $machine);
                $result = ($this->writeNote)($machine, $note, $by, $when, $device, $touched);
                DB::table('sent_notes')->insert(['uuid' => $note['id'], 'person_id' => $by->id, 'fingerprint' => $fingerprint, 'result' => json_encode((object) $result, JSON_THROW_ON_ERROR), 'created_at' => now()]);

                return $result;
            });
        } catch (UniqueConstraintViolationException) {
            // Sent so long ago that only the book still knows it.
            return ['status' => 'already'];
        } catch (Refusal|ValidationException|BadInput|AuthorizationException $refusal) {
            return self::refused(Problem::from($refusal));
        } catch (\Throwable $fault) {
            if (Unavailable::because($fault) !== null) {
                throw $fault;
            }
            // A fault of the program in one note must not keep the others on the phone.
            report($fault);

            return self::refused(Problem::from($fault));
        }

        return ['status' => 'written', ...$result];
    }

    /** @return array{status: string, problem: array<string, mixed>} */
    private static function refused(Problem $problem): array
    {
        return ['status' => 'refused', 'problem' => $problem->toArray()];
    }
}
