<?php

declare(strict_types=1);

namespace App\Rulebook;

use App\Logbook\Entry;
use App\Logbook\EntryKind;
use App\Machines\FactsChanged;
use App\Machines\Machine;
use App\Notes\Circumstances;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** Whole rulebooks: copied to a sister machine, or shared by several of a class. */
final readonly class RulebookController
{
    public function __construct(private RuleCopy $ruleCopy) {}

    public function index(): JsonResponse
    {
        $rulebooks = SharedRulebook::query()->with('machines')->orderBy('name')->get();

        return new JsonResponse(
            ['rulebooks' => $rulebooks->map(fn (SharedRulebook $rulebook): array => $rulebook->toRecord())->all()],
        );
    }

    /** Copies another machine's rulebook into this one's; history stays, and so do rules that the other has not. */
    public function copy(Request $request, Machine $machine): Response
    {
        $given = $request->validate([
            'from' => ['required', 'integer', 'exists:machines,id', "not_in:{$machine->id}"],
            'add_spots' => ['sometimes', 'boolean'],
        ], ['from.not_in' => 'That is this machine itself.']);
        $machine = Machine::lockForWriting($machine->id);
        $from = Machine::query()->with('rules')->findOrFail((int) $given['from']);
        $this->ruleCopy->write($machine, RuleCopy::ofAll($from), follow: false, addSpots: $given['add_spots'] ?? false);

        return $this->changed($machine, "Copied from {$from->name}.", $request);
    }

    /** Makes this machine's rulebook one that others can share. */
    public function share(Request $request, Machine $machine): Response
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:80']]);
        $machine = Machine::lockForWriting($machine->id)->load('rules');
        $copies = RuleCopy::ofAll($machine);
        $shared = SharedRulebook::query()->create(
            ['name' => $given['name'], 'class' => $machine->class, 'rules' => $copies],
        );
        foreach ($machine->rules as $rule) {
            $rule->update(['shared_key' => RuleCopy::keys($machine)[$rule->id]]);
        }
        $machine->update(['shared_rulebook_id' => $shared->id]);

        return $this->changed($machine, "Shared as {$shared->name}.", $request);
    }

    /** Lets this machine follow a shared rulebook. */
    public function follow(Request $request, Machine $machine): Response
    {
        $given = $request->validate([
            'rulebook' => ['required', 'integer', 'exists:shared_rulebooks,id'],
            'add_spots' => ['sometimes', 'boolean'],
        ]);
        $machine = Machine::lockForWriting($machine->id);
        $shared = SharedRulebook::query()->findOrFail((int) $given['rulebook']);
        $machine->rules()->update(['shared_key' => null]);
        $this->ruleCopy->write(
            $machine->unsetRelation('rules'),
            $shared->rules,
            follow: true,
            addSpots: $given['add_spots'] ?? false,
        );
        $machine->update(['shared_rulebook_id' => $shared->id]);

        return $this->changed($machine, "Follows the shared rulebook {$shared->name}.", $request);
    }

    /** Its rules stay as they are, and are its own from now on. */
    public function leave(Request $request, Machine $machine): Response
    {
        $machine = Machine::lockForWriting($machine->id);
        $machine->rules()->update(['shared_key' => null]);
        $machine->update(['shared_rulebook_id' => null]);

        return $this->changed($machine, 'No longer follows a shared rulebook.', $request);
    }

    private function changed(Machine $machine, string $what, Request $request): Response
    {
        Entry::write($machine, EntryKind::RuleChanged, Circumstances::of($request), ['note' => $what]);
        event(new FactsChanged([$machine->id]));

        return new Response('', 204);
    }
}
