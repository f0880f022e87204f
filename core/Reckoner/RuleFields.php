<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Form\Fields;
use Core\Schedule\Anchor;
use Core\Schedule\Interval;
use Core\Schedule\Leeway;
use Core\Schedule\NeverDue;
use Core\Schedule\NoWindow;
use Core\Schedule\Provenance;
use Core\Schedule\Rule;
use Core\Schedule\RuleSource;
use Core\Schedule\YearWindow;

/** A rule as the calculators are given one. */
final class RuleFields
{
    /** The rule, or null with the fault noted. */
    public static function read(Fields $fields): ?Rule
    {
        $first = array_map(self::interval(...), $fields->rows('first', 'the first points'));
        $every = $fields->has('every') ? self::interval($fields->within('every', 'the interval')) : new Interval;
        $book = $fields->has('book') ? self::book($fields->within('book', 'the book\'s interval')) : null;
        $anchor = $fields->choice('anchor', Anchor::FromDone, 'the anchor');
        $source = $fields->choice('source', RuleSource::Keeper, 'the source');
        $early = $fields->optionalNumber('early', 'the early window');
        $late = $fields->optionalNumber('late', 'the late window');
        $windows = array_values(
            array_filter(array_map(self::window(...), $fields->rows('windows', 'the parts of the year'))),
        );
        try {
            return new Rule(
                $every,
                $first,
                $anchor,
                new Leeway($early, $late),
                new Provenance($source, $book),
                $windows,
                $fields->optionalText('condition', 'the condition'),
            );
        } catch (NoWindow $refused) {
            $fields->fault($refused->which, $refused->getMessage());
        } catch (NeverDue $refused) {
            $fields->fault('every', $refused->getMessage());
        }

        return null;
    }

    /** The book's interval stands there bare, or as a rule's `every`. */
    private static function book(Fields $fields): Interval
    {
        return self::interval($fields->has('every') ? $fields->within('every', 'the book\'s interval') : $fields);
    }

    private static function interval(Fields $fields): Interval
    {
        $months = $fields->optionalWholeNumber('months', 'the number of months', 1200);
        if ($months === 0) {
            $fields->fault('months', 'The number of months must be above zero.');
        }

        return new Interval(
            $fields->optionalNumber('hours', 'the interval in hours', aboveZero: true),
            $fields->optionalNumber('km', 'the interval in kilometres', aboveZero: true),
            $months === 0 ? null : $months,
        );
    }

    /** A part of the year, or null with the fault noted. */
    public static function window(Fields $fields): ?YearWindow
    {
        try {
            return YearWindow::between(
                (string) $fields->optionalText('from', 'the first day'),
                (string) $fields->optionalText('to', 'the last day'),
                (string) $fields->optionalText('name', 'the name'),
            );
        } catch (\InvalidArgumentException $refused) {
            $fields->fault('from', $refused->getMessage());

            return null;
        }
    }
}
