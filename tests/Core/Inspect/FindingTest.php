<?php

declare(strict_types=1);

namespace Tests\Core\Inspect;

use Core\Inspect\Course;
use Core\Inspect\Finding;
use Core\Inspect\Sighting;
use Core\Machine\Verdict;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

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

    /** Property, 2,000 made-up histories, each look an occasion of its own: what is over now has no open finding. */
    public function test_when_it_was_last_over_agrees_with_the_findings_themselves(): void
    {
        $chance = new Randomizer(new Mt19937(41));
        for ($case = 0; $case < 2000; $case++) {
            $looks = [];
            foreach (range(1, $chance->getInt(1, 12)) as $day) {
                $verdict = [Verdict::Fit, Verdict::Watch, Verdict::Act, Verdict::StandDown][$chance->getInt(0, 3)];
                $mended = $verdict === Verdict::Fit && $chance->getInt(0, 3) === 0;
                $looks[] = new Sighting((string) $day, new \DateTimeImmutable(sprintf('2026-05-%02d', 3 * $day % 28 + intdiv(3 * $day, 28) + 1)), $verdict, $mended, occasion: "look {$day}");
            }
            usort($looks, fn (Sighting $one, Sighting $other): int => $one->at <=> $other->at);
            $latest = fn (\Closure $which): ?\DateTimeImmutable => max([null, ...array_map(fn (Sighting $look): \DateTimeImmutable => $look->at, array_filter($looks, $which))]);
            $wrong = $latest(fn (Sighting $look): bool => $look->verdict !== Verdict::Fit);
            $over = Finding::lastOver(
                $latest(fn (Sighting $look): bool => $look->mended),
                $latest(fn (Sighting $look): bool => $look->verdict === Verdict::StandDown),
                array_reverse($looks),
            );
            $findings = Finding::ofOneThing($looks);
            $isOpen = $findings !== [] && $findings[count($findings) - 1]->isOpen();

            self::assertSame($isOpen, $wrong !== null && ($over === null || $over < $wrong), "case {$case}");
        }
    }

    public function test_a_fit_look_ends_nothing_that_somebody_else_saw_in_the_same_round(): void
    {
        $at = fn (string $hour): \DateTimeImmutable => new \DateTimeImmutable("2026-05-14 {$hour}");
        $fit = new Sighting('2', $at('07:20'), Verdict::Fit, occasion: 'round 1');
        $worse = new Sighting('1', $at('07:00'), Verdict::Act, occasion: 'round 1');
        $byTheWay = new Sighting('0', $at('07:10'), Verdict::Fit, occasion: 'alone');

        self::assertNull(Finding::lastOver(null, null, [$fit, $worse]));
        self::assertEquals($at('07:10'), Finding::lastOver(null, null, [$fit, $byTheWay, $worse]));
        self::assertEquals($at('07:20'), Finding::lastOver(null, null, [$fit]));
    }
}
