<?php

declare(strict_types=1);

namespace App\Calendar;

use App\Machines\Yard;
use Sabre\VObject\Component\VCalendar;

/** What falls due, as an iCalendar object. Source: RFC 5545; the refresh interval and the name are of RFC 7986. */
final class DueCalendar
{
    private const PRODUCT = '-//Jardinier//Due points//EN';

    /** @param  iterable<CalendarEvent>  $events */
    public static function write(iterable $events, Yard $yard, int $remindDays): string
    {
        $calendar = new VCalendar(['PRODID' => self::PRODUCT, 'METHOD' => 'PUBLISH', 'NAME' => "{$yard->name}: due"]);
        $calendar->add('REFRESH-INTERVAL', 'PT6H', ['VALUE' => 'DURATION']);
        foreach ($events as $event) {
            self::add($calendar, $event, $remindDays);
        }

        return $calendar->serialize();
    }

    private static function add(VCalendar $calendar, CalendarEvent $event, int $remindDays): void
    {
        $written = $calendar->createComponent('VEVENT', [
            'UID' => "due-{$event->id}@".self::domain(),
            'DTSTAMP' => $event->changed_at->utc()->toDateTimeImmutable(),
            'SEQUENCE' => $event->sequence,
            'SUMMARY' => $event->summary,
            'DESCRIPTION' => $event->description,
            'STATUS' => $event->cancelled_at === null ? 'CONFIRMED' : 'CANCELLED',
            'TRANSP' => 'TRANSPARENT',
        ]);
        $calendar->add($written);
        $written->add('DTSTART', $event->day->format('Ymd'), ['VALUE' => 'DATE']);
        if ($event->cancelled_at === null) {
            $written->add(
                'VALARM',
                ['ACTION' => 'DISPLAY', 'DESCRIPTION' => $event->summary, 'TRIGGER' => "-P{$remindDays}D"],
            );
        }
    }

    /** Of this installation, so that the events of two yards never meet. */
    private static function domain(): string
    {
        return substr(hash('sha256', 'calendar '.config('app.key')), 0, 16).'.jardinier';
    }
}
