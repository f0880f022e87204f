<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Fluid\Level\EngineState;
use Core\Fluid\Level\FillTo;
use Core\Fluid\Level\LevelMethod;
use Core\Fluid\Level\LevelProtocol;
use Core\Fluid\Level\StickHeld;
use Core\Fluid\Level\Warmth;
use Core\Measure\Quantity;
use Core\Procedure\Table\DrainedTable;
use Core\Procedure\Table\LevelTable;
use PHPUnit\Framework\TestCase;

/** Tables made ready for where nobody can ask. */
final class TableTest extends TestCase
{
    public function test_each_twentieth_of_the_band_says_what_is_missing_or_too_much(): void
    {
        $table = new LevelTable(LevelMethod::Stick, new LevelProtocol, Quantity::parse('400 mL'));
        $rows = array_column($table->rows(), null, 'level');
        self::assertSame(range(-4, 40), array_keys($rows));
        self::assertSame([480, 400, 200, 20, 0], array_map(fn (int $level): ?int => $rows[$level]['missing_ml'], [-4, 0, 10, 19, 20]));
        self::assertSame(['act', 'watch', 'fit', 'fit', 'act'], array_map(fn (int $level): string => $rows[$level]['verdict'], [-1, 0, 1, 20, 21]));
        // Handbook section 16, row 17: overfilled, must be drawn off; row 18: far above full just after pouring.
        self::assertStringContainsString('draw off 100 mL', $rows[25]['says']);
        self::assertStringContainsString('wait and read again, do not drain', $rows[30]['says']);
        self::assertStringContainsString('fuel', $rows[40]['says']);
    }

    /** Handbook section 12: to three quarters, where that engine blows oil into its air box. */
    public function test_an_engine_that_blows_oil_is_filled_to_three_quarters(): void
    {
        $rows = array_column(
            (new LevelTable(LevelMethod::Stick, new LevelProtocol, Quantity::parse('400 mL'), FillTo::ThreeQuarters))->rows(),
            null,
            'level',
        );
        self::assertSame([300, 100, 0, 0], array_map(fn (int $level): ?int => $rows[$level]['missing_ml'], [0, 10, 15, 20]));
        self::assertSame([0, 0, 20], array_map(fn (int $level): ?int => $rows[$level]['over_ml'], [15, 20, 21]));
        self::assertStringContainsString('three quarters, no further', $rows[15]['says']);
    }

    public function test_a_level_plug_only_tells_whether_it_reaches_the_threads(): void
    {
        $rows = (new LevelTable(LevelMethod::LevelPlug, new LevelProtocol, null))->rows();
        self::assertSame(['at the threads, or just running', 'below the threads'], array_column($rows, 'label'));
    }

    /** Handbook section 16, rows 16 to 20. */
    public function test_each_wrong_answer_about_how_it_was_read_says_why_it_is_no_reading(): void
    {
        $protocol = new LevelProtocol(EngineState::Idling, Warmth::Hot, null, StickHeld::Rested);
        $wrong = [];
        foreach ((new LevelTable(LevelMethod::Stick, $protocol, null))->questions() as $question) {
            foreach ($question['options'] as $option) {
                $wrong[$question['name']][$option['value']] = $option['wrong'];
            }
        }
        self::assertSame('', $wrong['slope']['level'].$wrong['held']['rested'].$wrong['engine']['idling'].$wrong['temperature']['hot']);
        self::assertStringContainsString('on a slope the level lies', $wrong['slope']['slope']);
        self::assertSame('Wipe the stick and only rest it on its threads.', $wrong['held']['screwed']);
        self::assertStringContainsString('stopped, this one reads over full', $wrong['engine']['off']);
        self::assertStringContainsString('read sooner it shows low', $wrong['temperature']['cold']);
    }

    /** Handbook section 16, row 14: the second, low drain forgotten; 8 gal transmission with two drains. */
    public function test_what_ran_out_is_held_against_what_should(): void
    {
        $rows = (new DrainedTable(Quantity::parse('8 gal'), 'by the book', 2))->rows();
        self::assertSame([0, 27255, 33313], array_column($rows, 'from_ml'));
        self::assertSame('Less than 8 gal (30.28 L) by the book. Is another of its drains still shut?', $rows[0]['says']);
        self::assertSame(['watch', 'fit', 'act'], array_column($rows, 'verdict'));
    }
}
