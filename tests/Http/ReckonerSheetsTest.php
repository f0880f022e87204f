<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use App\Reckoner\Sheets\CalculatorSheet;
use App\Reckoner\Sheets\SheetField;
use App\Reckoner\Sheets\Sheets;
use Core\Reckoner\Catalogue;

/** What a calculator is asked with is what it takes, field by field and choice by choice. */
final class ReckonerSheetsTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->as(Role::Reader);
    }

    public function test_every_calculator_has_its_sheet_and_asks_for_nothing_that_it_does_not_know(): void
    {
        $sheets = array_merge(...array_values(Sheets::all()));
        self::assertEqualsCanonicalizing(Catalogue::names(), array_map(fn (CalculatorSheet $sheet): string => $sheet->name, $sheets));
        foreach ($sheets as $sheet) {
            $given = array_merge(...array_map(self::given(...), $sheet->fields));
            $wrong = $this->postJson("/api/reckon/{$sheet->name}/typing", $given)->assertOk()->json('wrong');
            $unknown = array_filter($wrong, fn (array $messages): bool => str_starts_with($messages[0], 'There is no such field here'));
            self::assertSame([], $unknown, $sheet->name);
        }
    }

    public function test_every_choice_that_is_offered_is_taken(): void
    {
        foreach (array_merge(...array_values(Sheets::all())) as $sheet) {
            foreach ($this->choices($sheet->fields) as $path => $values) {
                foreach (array_filter($values) as $value) {
                    $wrong = $this->postJson("/api/reckon/{$sheet->name}/typing", self::nested($path, $value))->assertOk()->json('wrong');
                    self::assertStringNotContainsString(' is one of ', $wrong[$path][0] ?? '', "{$sheet->name} {$path} {$value}");
                }
            }
        }
    }

    public function test_a_reader_is_told_the_calculators_in_their_groups_and_what_an_answer_says(): void
    {
        $groups = $this->getJson('/api/reckon')->assertOk()->json('groups');
        self::assertSame(['Measured', 'Fluids', 'Hours', 'Jobs'], array_column($groups, 'heading'));
        $told = $this->postJson('/api/reckon/coolant-mix/typing', ['volume' => '7 gal', 'percent' => '50', 'glycol' => 'ethylene'])->json('told');
        self::assertSame('3.5 gal (13.25 L) and 3.5 gal (13.25 L) of distilled water', $told['large']);
        self::assertSame(['water', 'concentrate'], array_keys($told['drawn']));
        self::assertNull($this->postJson('/api/reckon/coolant-mix/typing', ['volume' => '7 gal'])->json('told'));
        self::assertSame([], $this->postJson('/api/reckon/convert/typing', ['quantity' => '1 qt', 'to' => 'L'])->json('told.rows'));
    }

    /** @return array<string, mixed> every field with something in it */
    private static function given(SheetField $field): array
    {
        return [$field->name => match ($field->kind) {
            'set' => array_merge(...array_map(self::given(...), $field->fields)),
            'rows' => [array_merge(...array_map(self::given(...), $field->fields))],
            'choice' => array_values(array_filter($field->values()))[0],
            'ticks', 'texts' => [$field->values()[0] ?? 'API CK-4'],
            'tick' => true,
            'day' => '2026-05-14',
            'quantity' => '1 '.$field->toArray()['units'][0],
            default => '1',
        }];
    }

    /**
     * @param  list<SheetField>  $fields
     * @return array<string, list<string>> the values of each choice, by its path
     */
    private function choices(array $fields, string $path = ''): array
    {
        $choices = [];
        foreach ($fields as $field) {
            $at = $path.$field->name;
            if ($field->kind === 'choice') {
                $choices[$at] = $field->values();
            }
            $choices += $this->choices($field->fields, $field->kind === 'rows' ? "{$at}.0." : "{$at}.");
        }

        return $choices;
    }

    /** @return array<mixed> */
    private static function nested(string $path, string $value): array
    {
        [$name, $rest] = [...explode('.', $path, 2), null];

        return [ctype_digit($name) ? (int) $name : $name => $rest === null ? $value : self::nested($rest, $value)];
    }
}
