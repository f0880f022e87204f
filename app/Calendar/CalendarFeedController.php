<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Contract\Refusal;
use App\Machines\Yard;
use App\People\Person;
use App\People\Role;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Sabre\VObject\Component\VCalendar;

/** Calendar addresses, and what is fetched from them. */
final class CalendarFeedController
{
    private const MOST_FEEDS = 10;

    private const PRODUCT = '-//Jardinier//Due points//EN';

    public function index(Request $request): JsonResponse
    {
        $feeds = CalendarFeed::query()->where('person_id', Person::asking($request)->id)->orderBy('id')->get();

        return new JsonResponse(['feeds' => $feeds->map(fn (CalendarFeed $feed): array => $feed->toRecord())->all()]);
    }

    public function store(Request $request): JsonResponse
    {
        $given = $request->validate([
            'whole_yard' => ['required', 'boolean'],
            'remind_days' => ['required', 'integer', 'between:0,60'],
        ]);
        $person = Person::asking($request);
        if ($given['whole_yard'] && $person->role !== Role::Keeper) {
            throw Refusal::field(
                'whole_yard',
                'Only a keeper opens a calendar of the whole yard. Yours has the machines you may use.',
            );
        }
        if (CalendarFeed::query()->where('person_id', $person->id)->count() >= self::MOST_FEEDS) {
            throw Refusal::conflict('You have '.self::MOST_FEEDS.' calendar addresses. Give one up first.');
        }

        return new JsonResponse(
            CalendarFeed::open($person, (bool) $given['whole_yard'], (int) $given['remind_days'])->toRecord(),
            201,
        );
    }

    /** Of another's it is not told whether there is one. */
    public function destroy(Request $request, string $feed): Response
    {
        CalendarFeed::query()->where('person_id', Person::asking($request)->id)->findOrFail($feed)->delete();

        return new Response('', 204);
    }

    /** The refresh interval and the name are of RFC 7986. */
    public function show(string $token, Yard $yard): Response
    {
        $feed = CalendarFeed::byToken($token) ?? abort(404);
        CalendarEvent::bringUpToDate($yard);
        $events = CalendarEvent::query()->orderBy('day')->orderBy('id');
        // Whatever its owner was when the address was opened, it tells what they may see now.
        if ($feed->person->role === Role::Operator && ! $feed->person->may_use_all_machines) {
            $events->whereIn('machine_id', $feed->person->machineIds());
        }

        $calendar = new VCalendar(['PRODID' => self::PRODUCT, 'METHOD' => 'PUBLISH', 'NAME' => "{$yard->name}: due"]);
        $calendar->add('REFRESH-INTERVAL', 'PT6H', ['VALUE' => 'DURATION']);
        foreach ($events->lazy() as $event) {
            $event->addTo($calendar, $feed->remind_days);
        }

        return new Response(
            $calendar->serialize(),
            200,
            ['Content-Type' => 'text/calendar; charset=utf-8', 'Cache-Control' => 'private, max-age=600'],
        );
    }
}
