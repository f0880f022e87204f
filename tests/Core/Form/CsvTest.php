<?php

declare(strict_types=1);

namespace Tests\Core\Form;

use Core\Form\Csv;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class CsvTest extends TestCase
{
    /** RFC 4180, sections 2.5 to 2.7. */
    public function test_rows_end_and_are_quoted_as_the_standard_has_it(): void
    {
        self::assertSame("a,1\r\n\"b \"\"c\"\"\",\"d,e\"\r\n\"two\nlines\",\r\n", Csv::of([['a', 1], ['b "c"', 'd,e'], ["two\nlines", '']]));
    }

    #[TestWith(['=1+1'])]
    #[TestWith(['+44 1632'])]
    #[TestWith(['-1'])]
    #[TestWith(['@SUM(A1)'])]
    #[TestWith(['＝1+1'])]
    #[TestWith(['＋1'])]
    #[TestWith(['－1'])]
    #[TestWith(['＠SUM'])]
    public function test_what_a_table_program_takes_for_a_formula_is_kept_from_it(string $cell): void
    {
        self::assertSame("'{$cell}\r\n", Csv::of([[$cell]]));
    }
}
