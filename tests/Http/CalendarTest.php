<?php

declare(strict_types=1);

namespace Tests\Http;

use App\Calendar\CalendarEvent;
use App\People\Role;
use Sabre\VObject\Component\VCalendar;
use Sabre\VObject\Component\VEvent;
use Sabre\VObject\Reader;

/** The calendar feed, held against RFC 5545 by sabre/vobject's validator. */
final class CalendarTest extends TestCase
{
    public function test_what_falls_due_stands_in_the_calendar_with_an_alarm_and_is_cancelled_when_done(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Coolant, all of it; drained',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_left'],
                        'every' => ['months' => 24],
                    ],
                ],
            ],
        );
        $path = $this->feed(wholeYard: true);
        [$event] = $this->events($path);

        self::assertSame(
            ['Heron: coolant, all of it; drained', '20280501', 'CONFIRMED', '0'],
            [(string) $event->SUMMARY, (string) $event->DTSTART, (string) $event->STATUS, (string) $event->SEQUENCE],
        );
        self::assertSame('-P3D', (string) $event->VALARM->TRIGGER);
        self::assertStringContainsString('24 months after 1 May', (string) $event->DESCRIPTION);
        self::assertSame(
            (string) $event->serialize(),
            (string) $this->events($path)[0]->serialize(),
            'fetched again it is the same',
        );

        $service = $this->tell($machine, 'service', ['tasks' => [$this->taskId($machine)], 'hours' => '1'])
            ->assertCreated()
            ->json('entry.id');
        [$done, $next] = $this->events($path);
        self::assertSame(
            [(string) $event->UID, 'CANCELLED', '1'],
            [(string) $done->UID, (string) $done->STATUS, (string) $done->SEQUENCE],
        );
        self::assertNull($done->VALARM);
        self::assertSame(['CONFIRMED', '20280514'], [(string) $next->STATUS, (string) $next->DTSTART]);

        $this->tellOf($service, 'strike', ['because' => 'not done at all'])->assertCreated();
        self::assertSame(
            ['CONFIRMED', 'CANCELLED'],
            array_map(fn (VEvent $one): string => (string) $one->STATUS, $this->events($path)),
        );
    }

    public function test_an_event_keeps_its_identity_when_its_day_moves(): void
    {
        $machine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Coolant',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_left'],
                        'every' => ['months' => 24],
                    ],
                ],
            ],
        );
        $path = $this->feed(wholeYard: true);
        [$before] = $this->events($path);
        $this->patchJson(
            '/api/rules/'.$this->ruleId($machine),
            ['every' => ['months' => 12]],
            ['If-Match' => '"1"'],
        )->assertOk();
        [$after] = $this->events($path);

        self::assertSame(
            [(string) $before->UID, '20270501', '1'],
            [(string) $after->UID, (string) $after->DTSTART, (string) $after->SEQUENCE],
        );
    }

    public function test_events_that_were_lost_are_told_anew_though_no_fact_has_changed(): void
    {
        $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Coolant',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_left'],
                        'every' => ['months' => 24],
                    ],
                ],
            ],
        );
        $path = $this->feed(wholeYard: true);
        self::assertCount(1, $this->events($path));
        CalendarEvent::query()->delete();

        self::assertCount(1, $this->events($path));
    }

    public function test_a_feed_is_its_person_s_and_ends_with_him(): void
    {
        $mine = $this->machine(
            [
                'rules' => [
                    [
                        'task' => 'Coolant',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_left'],
                        'every' => ['months' => 24],
                    ],
                ],
            ],
        );
        $this->machine(
            [
                'name' => 'Teal',
                'rules' => [
                    [
                        'task' => 'Coolant',
                        'kind' => 'replace',
                        'spots' => ['hydrostatic_left'],
                        'every' => ['months' => 24],
                    ],
                ],
            ],
        );
        $operator = $this->person(Role::Operator);
        $operator->update(['may_use_all_machines' => false]);
        $operator->mayUseOnly([$mine]);
        $this->as($operator);

        $this->postJson('/api/calendar-feeds', ['whole_yard' => true, 'remind_days' => 1])
            ->assertUnprocessable()
            ->assertJsonStructure(['errors' => ['whole_yard']]);
        $path = $this->feed(wholeYard: false);
        self::assertSame(
            ['Heron: coolant'],
            array_map(fn (VEvent $event): string => (string) $event->SUMMARY, $this->events($path)),
        );
        self::assertSame([$path], array_column($this->getJson('/api/calendar-feeds')->json('feeds'), 'path'));

        $operator->update(['active' => false]);
        $this->get($path)->assertNotFound();
        $operator->update(['active' => true]);
        $this->as($operator)
            ->deleteJson('/api/calendar-feeds/'.$this->getJson('/api/calendar-feeds')->json('feeds.0.id'))
            ->assertNoContent();
        $this->get($path)->assertNotFound();
        $this->get('/api/calendar/'.str_repeat('a', 40).'.ics')->assertNotFound();
    }

    private function feed(bool $wholeYard): string
    {
        return $this->postJson('/api/calendar-feeds', ['whole_yard' => $wholeYard, 'remind_days' => 3])
            ->assertCreated()
            ->json('path');
    }

    /** @return list<VEvent> in the order of their days */
    private function events(string $path): array
    {
        $calendar = Reader::read((string) $this->get($path)->assertOk()->getContent());
        assert($calendar instanceof VCalendar);
        self::assertSame([], array_column($calendar->validate(), 'message'));

        return array_values($calendar->select('VEVENT'));
    }
}
