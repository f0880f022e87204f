<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Core\Reckoner\Catalogue;
use PHPUnit\Framework\TestCase;

/** While somebody types, what is missing is no fault yet; what is wrong is told at once. */
final class HalfTypedTest extends TestCase
{
    public function test_what_is_missing_is_told_apart_from_what_is_wrong(): void
    {
        $told = self::typing('convert', ['quantity' => 'abc']);

        self::assertNull($told['answer']);
        self::assertSame(['to' => ['The unit to convert to is missing.']], $told['missing']);
        self::assertSame(
            ['quantity' => ['"abc" is not an amount. Write a number and a unit, like 1 3/4 qt.']],
            $told['wrong'],
        );
    }

    public function test_an_empty_field_is_missing_and_not_wrong(): void
    {
        self::assertSame(
            [['quantity'], []],
            [
                array_keys(self::typing('convert', ['quantity' => '', 'to' => 'L'])['missing']),
                self::typing('convert', ['quantity' => '', 'to' => 'L'])['wrong'],
            ],
        );
    }

    public function test_what_is_typed_to_its_end_is_answered(): void
    {
        $told = self::typing('convert', ['quantity' => '1 qt', 'to' => 'L']);

        self::assertSame(
            ['0.946353', [], []],
            [$told['answer']['result']['value'] ?? null, $told['missing'], $told['wrong']],
        );
    }

    /**
     * @param  array<string, mixed>  $given
     * @return
     * array{answer: array<string, mixed>|null, missing: array<string, list<string>>, wrong: array<string,
     * list<string>>}
     */
    private static function typing(string $name, array $given): array
    {
        return Catalogue::typing($name, $given, new \DateTimeImmutable('2026-05-14'));
    }
}
