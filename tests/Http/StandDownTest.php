<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Logbook\Entry;
use App\People\Role;
use Illuminate\Support\Carbon;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\Drawn;

/** What keeps people off a machine: who says so, who ends it, and that nothing that comes late or twice is lost. */
final class StandDownTest extends WalkTestCase
{
    private const FAILS = ['said' => 'not_fine', 'verdict' => 'stand_down', 'words' => 'Does not stop it'];

    public function test_a_word_that_comes_late_from_a_phone_keeps_standing_after_a_lift_that_never_saw_it(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic)->tell($machine, 'stand_down', ['note' => 'Guard off']);
        $this->lift($machine, ['note' => 'Guard on'])->assertCreated();

        $this->as(Role::Operator);
        foreach ([
            ['stand_down', ['note' => 'Brakes gone', 'round' => null]],
            ['look', ['check' => 'seat_switch', ...self::FAILS]],
        ] as $index => [$kind, $said]) {
            $this->postJson('/api/notes', [
                'sent_at' => '2026-05-14T10:00:00Z',
                'notes' => [$this->note($machine, $kind, ['at' => '2026-05-14T09:50:00Z', ...$said])],
            ])->assertJsonPath('results.0.status', 'written');
            self::assertCount($index + 1, $this->words($machine));
        }
    }

    public function test_a_lift_ends_what_it_names_and_what_is_said_within_the_same_second_or_ahead_of_it_stands(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic);
        $guard = $this->tell($machine, 'stand_down', ['note' => 'Guard off'])->json('id');
        $ahead = $this->tell($machine, 'stand_down', ['note' => 'Brakes gone', 'on' => '2026-05-14T10:04:00Z'])->json('id');
        self::assertSame([$guard, $ahead], array_column($this->words($machine), 'id'));

        $this->tell($machine, 'lift', ['note' => 'Guard on', 'lifts' => [$guard]])->assertCreated();
        self::assertSame(['Brakes gone'], array_column($this->words($machine), 'because'));
        $this->tell($machine, 'lift', ['note' => 'Guard on', 'lifts' => [$guard]])->assertConflict()
            ->assertJsonPath('detail', 'That was lifted already. Something else stands it down still.');
        $this->tell($machine, 'lift', ['note' => 'Lines bled', 'lifts' => [strtoupper($ahead)], 'on' => '2026-05-13'])->assertCreated();
        self::assertSame([], $this->words($machine), 'dated back or not');
    }

    public function test_a_look_that_stands_it_down_goes_by_the_id_that_its_phone_gave_it(): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'seat_switch', self::FAILS);
        $this->as(Role::Mechanic)->send([$look]);

        self::assertSame([$look['id']], array_column($this->words($machine), 'id'));
        $this->tell($machine, 'lift', ['note' => 'New switch', 'lifts' => [$look['id']]])->assertCreated();
        self::assertSame([], $this->words($machine));
    }

    public function test_a_look_and_the_word_that_comes_from_it_are_one_fact(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic)->send([$this->look($machine, 'seat_switch', self::FAILS)]);
        $verdict = fn (): ?string => $this->getJson("/api/machines/{$machine}/walk")->json('findings.0.verdict');
        self::assertSame('stand_down', $verdict());
        $word = Entry::query()->where(['machine_id' => $machine, 'kind' => 'stood_down'])->firstOrFail();
        $this->tellOf($word->id, 'strike', ['because' => 'It works'])->assertCreated();

        self::assertSame([[], 'act'], [$this->words($machine), $verdict()], 'its word has no force, and no row says it had');
    }

    #[TestWith(['14 minutes', true])]
    #[TestWith(['16 minutes', false])]
    public function test_its_writer_takes_a_slip_back_within_a_quarter_of_an_hour(string $after, bool $isSlip): void
    {
        $machine = $this->machine();
        $this->as(Role::Operator);
        $told = $this->tell($machine, 'stand_down', ['note' => 'Brakes gone'])->json('entry');
        self::assertTrue($told['may_strike'], 'undo is offered');
        Carbon::setTestNow(now()->add($after));
        $entry = $this->getJson("/api/machines/{$machine}/entries?kind=stood_down")->json('data.0');

        self::assertSame($isSlip, $entry['may_strike'], 'and only while it is carried out');
        $strike = $this->tellOf($entry['id'], 'strike', ['because' => 'Taken back at once.']);
        $isSlip ? $strike->assertCreated() : $strike->assertForbidden()->assertJsonPath('detail', 'This stood the machine down. Only a keeper or mechanic lifts that.');
        self::assertCount($isSlip ? 0 : 1, $this->words($machine));
    }

    /** Whatever rests on it, it is no slip any more. */
    #[TestWith(['stand_down'])]
    #[TestWith(['lift'])]
    #[TestWith(['job'])]
    public function test_it_is_no_slip_once_somebody_has_gone_by_it(string $by): void
    {
        $machine = $this->machine();
        $look = $this->look($machine, 'seat_switch', ['at' => '2026-05-14T09:59:00Z', ...self::FAILS]);
        $this->as(Role::Operator)->send([$look]);
        $this->travel(1)->minutes();
        $this->as(Role::Mechanic);
        match ($by) {
            'stand_down' => $this->tell($machine, 'stand_down', ['note' => 'Do not use'])->assertCreated(),
            'lift' => $this->lift($machine, ['note' => 'Tried'])->assertCreated(),
            'job' => $this->postJson("/api/machines/{$machine}/jobs", ['rules' => [$this->ruleId($machine)]])->assertCreated(),
        };
        $otherwise = $this->look($machine, 'seat_switch', ['at' => '2026-05-14T10:01:00Z', 'replaces' => $look['id']]);

        self::assertSame('refused', $this->as(Role::Operator)->send([$otherwise])[0]['status']);
        $round = Entry::query()->where(['machine_id' => $machine, 'kind' => 'round'])->firstOrFail();
        $this->tellOf($round->id, 'strike', ['because' => 'slip'])->assertForbidden();
        self::assertFalse($this->getJson("/api/machines/{$machine}/entries?kind=round")->json('data.0.may_strike'));
        self::assertSame($by === 'lift' ? 0 : ($by === 'job' ? 1 : 2), count($this->words($machine)));
    }

    public function test_a_note_dated_back_makes_no_slip_of_what_was_said_days_ago(): void
    {
        $machine = $this->machine();
        $at = ['at' => '2026-05-11T08:00:00Z', 'round' => ['kind' => 'daily', 'started_at' => '2026-05-11T07:50:00Z']];
        $look = $this->look($machine, 'seat_switch', [...$at, ...self::FAILS]);
        self::assertSame('written', $this->as(Role::Operator)->send([$look])[0]['status']);

        $otherwise = $this->look($machine, 'seat_switch', [...$at, 'replaces' => $look['id']]);
        self::assertSame('This stood the machine down. Only a keeper or mechanic lifts that.', $this->send([$otherwise])[0]['problem']['detail']);
        $this->travel(25)->hours();
        $waited = ['sent_at' => '2026-05-15T11:00:00Z', 'notes' => [[...$otherwise, 'id' => (string) Str::uuid()]]];
        self::assertSame(
            'What was written more than a day ago is put right by a keeper or mechanic.',
            $this->postJson('/api/notes', $waited)->json('results.0.problem.detail'),
            'a phone whose note waited says when it was told, and our own clock bounds that',
        );
        self::assertCount(1, $this->words($machine));
    }

    public function test_ones_own_is_taken_back_within_a_day_and_put_right_by_service_after_that(): void
    {
        $machine = $this->machine();
        $this->as(Role::Operator);
        $entry = $this->log($machine, '5')->json('entry.id');
        $this->travel(25)->hours();

        $this->tellOf($entry, 'strike', ['because' => 'Misread'])->assertForbidden()
            ->assertJsonPath('detail', 'What was written more than a day ago is put right by a keeper or mechanic.');
        $this->tellOf($entry, 'correction', ['because' => 'Misread', 'hours' => '4.5'])->assertForbidden();
        $this->as(Role::Mechanic)->tellOf($entry, 'correction', ['because' => 'Misread', 'hours' => '4.5'])->assertCreated();
    }

    public function test_a_service_corrected_after_its_stand_down_was_lifted_stands_nothing_down_again(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic);
        $service = ['hours' => '5', 'other' => [['spot' => 'engine_oil', 'act' => 'drained', 'seen' => ['slivers']]]];
        $entry = $this->tell($machine, 'service', $service)->assertCreated()->json('entry.id');
        self::assertCount(1, $this->words($machine));
        $right = $this->tellOf($entry, 'correction', ['because' => 'Misread', 'hours' => '5.5'])->assertCreated()->json('entry.id');
        self::assertCount(1, $this->words($machine), 'a correction of the hours lifts nothing');

        $this->lift($machine, ['note' => 'Bearing replaced'])->assertCreated();
        $this->tellOf($right, 'correction', ['because' => 'Misread again', 'hours' => '5.6'])->assertCreated();
        self::assertSame([], $this->words($machine));
    }

    public function test_what_was_lifted_before_lifts_named_what_they_lift_is_lifted_still(): void
    {
        $machine = $this->machine();
        $this->as(Role::Mechanic);
        $look = $this->look($machine, 'seat_switch', self::FAILS);
        $this->send([$look]);
        $this->tell($machine, 'stand_down', ['note' => 'Guard off']);
        $this->lift($machine, ['note' => 'Both seen to'])->assertCreated();
        $this->travel(1)->hours();
        $last = $this->tell($machine, 'stand_down', ['note' => 'Brakes gone'])->json('id');
        // As it was written then.
        Entry::query()->where('kind', 'lifted')->update(['detail' => null]);
        Entry::query()->where('uuid', $look['id'])->update(['uuid' => (string) Str::uuid()]);
        self::assertCount(3, $this->words($machine));

        (require database_path('migrations/2026_12_01_000001_lifts_name_what_they_lift.php'))->up();
        self::assertSame([$last], array_column($this->words($machine), 'id'));
        self::assertSame('act', $this->getJson("/api/machines/{$machine}/walk")->json('findings.0.verdict'));
    }

    /** Fifty sets of six events through the door: words, lifts, strikes, sent by two people in any order. */
    #[Group('long')]
    public function test_what_is_drawn_leaves_a_machine_down_whenever_an_unlifted_word_says_so(): void
    {
        $chance = new Randomizer(new Mt19937(2612));
        $machine = $this->machine();
        $people = [$this->person(Role::Mechanic), $this->person(Role::Keeper)];
        for ($set = 0; $set < Drawn::times(100); $set++) {
            $down = [];
            for ($event = 0; $event < 6; $event++) {
                $this->as($people[$chance->getInt(0, 1)]);
                $dated = ['at' => gmdate('Y-m-d\TH:i:s\Z', now()->getTimestamp() - $chance->getInt(-240, 600)), 'round' => null];
                $known = array_keys($down);
                $what = $known === [] ? 0 : $chance->getInt(0, 3);
                if ($what < 2) {
                    $note = $this->note($machine, $what === 0 ? 'stand_down' : 'look', [...$dated, ...$what === 0
                        ? ['note' => "Word {$event}"]
                        : ['spot' => 'engine_oil', 'title' => "Word {$event}", ...self::FAILS]]);
                    $down[$note['id']] = true;
                } else {
                    $named = array_map(fn (int $at): string => $known[$at], $chance->pickArrayKeys($known, $chance->getInt(1, count($known))));
                    $note = $what === 2
                        ? $this->note($machine, 'lift', [...$dated, 'note' => 'Tried', 'lifts' => $named])
                        : $this->note($machine, 'strike', [...$dated, 'because' => 'Wrong machine', 'entry' => Entry::query()->where('uuid', $named[0])->value('id')]);
                    $down = array_diff_key($down, array_flip($what === 2 ? $named : [$named[0]]));
                }
                self::assertSame('written', $this->send([$note])[0]['status']);
            }
            self::assertEqualsCanonicalizing(array_keys($down), array_column($this->words($machine), 'id'), "set {$set}");
            if ($down !== []) {
                $this->lift($machine, ['note' => 'All looked into'])->assertCreated();
            }
            $this->travel(1)->hours();
        }
    }

    /** @return list<array<string, mixed>> */
    private function words(int $machine): array
    {
        $line = $this->sheet($machine)['line'];
        $words = $line['stood_down']['words'] ?? [];
        self::assertSame($words !== [], $line['state'] === 'stood_down');

        return $words;
    }
}
