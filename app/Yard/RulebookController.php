<?php

declare(strict_types=1);

namespace App\Yard;

use App\Logbook\Circumstances;
use App\Logbook\EntryKind;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Whole rulebooks: copied to a sister machine, or shared by several of a class. */
final readonly class RulebookController
{
    public function __construct(private RulebookCheck $check)
    {
    }

    public function index(): JsonResponse
    {
        $rulebooks = SharedRulebook::query()->with('machines')->orderBy('name')->get();

        return new JsonResponse(['rulebooks' => $rulebooks->map(fn (SharedRulebook $rulebook): array => $rulebook->toRecord())->all()]);
    }

    /** Copies another machine's rulebook into this one's; history stays, and so do rules that the other has not. */
    public function copy(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate(['from' => ['required', 'integer', 'exists:machines,id', 'different:machine']]);
        $machine = Machine::lockForWriting($machine->id);
        $from = Machine::query()->with('rules')->findOrFail($given['from']);
        RuleCopy::write($machine, RuleCopy::ofAll($from), follow: false, check: $this->check);

        return $this->changed($machine, "Copied from {$from->name}.", $request);
    }

    /** Makes this machine's rulebook one that others can share. */
    public function share(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate(['name' => ['required', 'string', 'max:80']]);
        $machine = Machine::lockForWriting($machine->id)->load('rules');
        $copies = RuleCopy::ofAll($machine);
        $shared = SharedRulebook::query()->create(['name' => $given['name'], 'class' => $machine->class, 'rules' => $copies]);
        foreach ($machine->rules as $rule) {
            $rule->update(['shared_key' => RuleCopy::keys($machine)[$rule->id]]);
        }
        $machine->update(['shared_rulebook_id' => $shared->id]);

        return $this->changed($machine, "Shared as {$shared->name}.", $request);
    }

    /** Lets this machine follow a shared rulebook. */
    public function follow(Request $request, Machine $machine): JsonResponse
    {
        $given = $request->validate(['rulebook' => ['required', 'integer', 'exists:shared_rulebooks,id']]);
        $machine = Machine::lockForWriting($machine->id);
        $shared = SharedRulebook::query()->findOrFail($given['rulebook']);
        $machine->rules()->update(['shared_key' => null]);
        RuleCopy::write($machine->unsetRelation('rules'), $shared->rules, follow: true, check: $this->check);
        $machine->update(['shared_rulebook_id' => $shared->id]);

        return $this->changed($machine, "Follows the shared rulebook {$shared->name}.", $request);
    }

    /** Its rules stay as they are, and are its own from now on. */
    public function leave(Request $request, Machine $machine): JsonResponse
    {
        $machine = Machine::lockForWriting($machine->id);
        $machine->rules()->update(['shared_key' => null]);
        $machine->update(['shared_rulebook_id' => null]);

        return $this->changed($machine, 'No longer follows a shared rulebook.', $request);
    }

    private function changed(Machine $machine, string $what, Request $request): JsonResponse
    {
        $machine->entries()->create([...Circumstances::of($request)->columns(), 'kind' => EntryKind::RuleChanged, 'note' => $what]);

        return new JsonResponse(YardLine::rewrite($machine->unsetRelations())->line);
    }
}
