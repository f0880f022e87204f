<?php

declare(strict_types=1);

namespace Tests\Core\Procedure;

use Core\Form\BadInput;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\TestCase;

/** What to set on the wrench. Conversions: NIST SP 811; the adapter's rule and the ranges: common practice. */
final class TorqueTest extends TestCase
{
    /** Row 28: 24 inch-pounds set as foot-pounds. */
    public function test_24_inch_pounds_are_told_from_foot_pounds_and_refused_on_a_wrench_that_does_not_reach_them(): void
    {
        $answer = self::torque(['target' => '24 in-lb', 'wrench' => ['min' => '10 ft-lb', 'max' => '80 ft-lb']]);

        self::assertSame(
            ['2', 'ft_lbf', 'act'],
            [$answer['wrench_setting']['value'], $answer['wrench_setting']['unit'], $answer['verdict']],
        );
        self::assertStringContainsString('take a smaller one', $answer['warnings'][0]);
        self::assertStringContainsString('twelve times too much', $answer['warnings'][1]);
        self::assertSame('2.711636', $answer['settings']['N_m']['value'], '24 × 0.112 984 829 N·m');
    }

    public function test_an_adapter_at_right_angles_changes_nothing_and_in_line_the_setting_is_t_times_l_over_l_plus_e(): void
    {
        $set = fn (int $angle): string => self::torque([
            'target' => '60 ft-lb',
            'adapter' => ['wrench_length' => '12 in', 'extension' => '3 in', 'angle' => $angle],
        ])['wrench_setting']['value'];

        self::assertSame(['60', '48', '80'], [$set(90), $set(0), $set(180)]);
        self::assertSame('53.333333', $set(60), '60 × 12 / (12 + 3 cos 60°)');
        self::assertEqualsWithDelta(60 * 12 / (12 + 3 * cos(deg2rad(45))), (float) $set(45), 1e-6);
    }

    public function test_the_lowest_fifth_of_a_wrench_and_what_is_beyond_it_are_told(): void
    {
        self::assertStringContainsString(
            'lowest fifth',
            self::torque(
                ['target' => '12 ft-lb', 'wrench' => ['min' => '10 ft-lb', 'max' => '80 ft-lb']],
            )['warnings'][0],
        );
        self::assertSame(
            'fit',
            self::torque(['target' => '30 N·m', 'wrench' => ['min' => '10', 'max' => '80 ft-lb']])['verdict'],
        );
        self::assertStringContainsString(
            'take a larger one',
            self::torque(
                ['target' => '120 N·m', 'wrench' => ['min' => '10 ft-lb', 'max' => '80 ft-lb']],
            )['warnings'][0],
        );
    }

    public function test_what_cannot_be_is_refused_beside_its_field(): void
    {
        foreach ([
            'target' => ['target' => '0 N·m'],
            'wrench.min' => ['target' => '5 N·m', 'wrench' => ['min' => '20 N·m', 'max' => '10 N·m']],
            'adapter.extension' => [
                'target' => '5 N·m',
                'adapter' => ['wrench_length' => '3 in', 'extension' => '3 in'],
            ],
            'adapter.angle' => [
                'target' => '5 N·m',
                'adapter' => ['wrench_length' => '3 in', 'extension' => '1 in', 'angle' => 270],
            ],
        ] as $field => $given) {
            try {
                self::torque($given);
                self::fail("{$field} was taken");
            } catch (BadInput $bad) {
                self::assertSame([$field], array_keys($bad->errors));
            }
        }
    }

    /**
     * @param  array<string, mixed>  $given
     * @return array<string, mixed>
     */
    private static function torque(array $given): array
    {
        return Catalogue::reckon('torque', $given, new \DateTimeImmutable);
    }
}
