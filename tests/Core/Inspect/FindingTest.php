<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\Course;
use Core\Inspect\Finding;
use Core\Inspect\Sighting;
use Core\Machine\Verdict;
use PHPUnit\Framework\TestCase;

final class FindingTest extends TestCase
{
    public function test_it_lives_from_the_first_look_until_it_is_mended(): void
    {
        $findings = Finding::ofOneThing(
            [
                self::seen(1, Verdict::Fit),
                self::seen(2, Verdict::Watch),
                self::seen(3, Verdict::Act),
                self::seen(4, Verdict::Fit, mended: true),
                self::seen(5, Verdict::Watch),
            ],
        );

        self::assertCount(2, $findings);
        self::assertSame(
            ['2', Course::Mended, false],
            [$findings[0]->sightings[0]->id, $findings[0]->course(), $findings[0]->isOpen()],
        );
        self::assertSame(
            ['5', Course::New, true],
            [$findings[1]->sightings[0]->id, $findings[1]->course(), $findings[1]->isOpen()],
        );
    }

    public function test_how_it_goes_on(): void
    {
        $course = fn (Verdict ...$verdicts): Course => Finding::ofOneThing(
            array_map(
                fn (Verdict $verdict, int $day): Sighting => self::seen($day + 1, $verdict),
                $verdicts,
                array_keys($verdicts),
            ),
        )[0]->course();

        self::assertSame(Course::Worse, $course(Verdict::Watch, Verdict::Act));
        self::assertSame(Course::Better, $course(Verdict::Act, Verdict::Watch));
        self::assertSame(Course::Same, $course(Verdict::Watch, Verdict::Act, Verdict::Act));
        self::assertSame(Course::Gone, $course(Verdict::Watch, Verdict::Fit));
    }

    public function test_late_looks_leave_the_same_findings_as_if_they_had_come_in_order(): void
    {
        $looks = [
            self::seen(1, Verdict::Watch),
            self::seen(2, Verdict::Act),
            self::seen(3, Verdict::Fit),
            self::seen(4, Verdict::Watch),
            self::seen(4, Verdict::Act, id: '4b'),
        ];
        $inOrder = Finding::ofOneThing($looks);
        mt_srand(7);
        for ($try = 0; $try < 50; $try++) {
            shuffle($looks);
            self::assertEquals($inOrder, Finding::ofOneThing($looks));
        }
    }

    public function test_an_accepted_seep_speaks_again_only_when_it_is_worse_and_no_more_once_it_was_mended(): void
    {
        $accepted = new Sighting('2', new \DateTimeImmutable('2026-05-02T08:00:00Z'), Verdict::Watch, accepted: true);
        $known = [self::seen(1, Verdict::Watch), $accepted, self::seen(3, Verdict::Fit), self::seen(4, Verdict::Watch)];
        [$only] = Finding::ofOneThing($known);
        self::assertCount(1, Finding::ofOneThing($known));
        self::assertSame([false, Course::Accepted], [$only->isOpen(), $only->course()]);

        $worse = Finding::ofOneThing([...$known, self::seen(5, Verdict::Act)]);
        self::assertTrue($worse[1]->isOpen());
        $mended = Finding::ofOneThing(
            [...$known, self::seen(5, Verdict::Fit, mended: true), self::seen(6, Verdict::Watch)],
        );
        self::assertTrue($mended[1]->isOpen(), 'after it was mended a weep is new');
    }

    public function test_nothing_wrong_is_no_finding(): void
    {
        self::assertSame([], Finding::ofOneThing([self::seen(1, Verdict::Fit), self::seen(2, Verdict::Fit)]));
    }

    private static function seen(int $day, Verdict $verdict, bool $mended = false, ?string $id = null): Sighting
    {
        return new Sighting(
            $id ?? (string) $day,
            new \DateTimeImmutable("2026-05-0{$day}T08:00:00Z"),
            $verdict,
            $mended,
        );
    }
}
