<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The column chart: built by keyboard and by paste, printed, copied, shared. */
final class ChartTest extends BrowserTestCase
{
    private const TABLE = "Task;first 50;50;100;150;200;Yearly\nEngine oil;R;;;;R;X\nAir cleaner;;C;C;C;C;\nENGINE;;;;;;\nGrease all points;;X;X;X;X;";

    public function test_a_chart_is_built_by_keyboard_alone(): void
    {
        $machine = $this->openChart();
        $this->browser->type('Add a column: 250, first 50, yearly, spring', '50');
        $this->browser->keys(self::ENTER);
        $this->browser->until(fn (): bool => $this->headings() === ['50', '95', '100'], 'the column');
        $this->focusOn('Add a row');
        $this->browser->keys(self::ENTER);
        $this->browser->until(
            fn (): bool => $this->browser->focused() === 'Task, row 3',
            'the new row to have the focus',
        );
        $this->browser->keys('Spindles', self::TAB, self::TAB);
        self::assertSame('Spindles, 50', $this->browser->focused());
        $this->browser->keys(' ');
        $this->browser->see('every 50 h');
        $this->browser->keys('g');
        $this->browser->until(fn (): bool => $this->marks('Spindles') === ['50', '100'], 'the multiples to be marked');
        $this->browser->keys(self::RIGHT, self::RIGHT);
        self::assertSame('Spindles, 100 h', $this->browser->focused());
        $this->focusOn('Write the change');
        $this->browser->keys(self::ENTER);
        $this->browser->see('the chart is written');

        $this->browser->open("/machines/{$machine['id']}/rulebook");
        $this->browser->see('grease every 50 h');
        $this->assertNoComplaints();
    }

    public function test_a_single_mark_taken_away_is_asked_about_before_anything_is_saved(): void
    {
        $this->openChart();
        foreach (['25', '50', '75'] as $column) {
            $this->browser->type('Add a column: 250, first 50, yearly, spring', $column);
            $this->browser->press('Add the column');
        }
        $this->browser->press('Add a row');
        $this->browser->type('Task, row 3', 'Chains');
        $this->browser->press('Chains, 25');
        $this->browser->until(
            fn (): bool => $this->marks('Chains') === ['25', '50', '75', '100'],
            'the multiples to be marked',
        );
        $this->browser->press('Chains, 50');
        $this->browser->see('Chains is marked at 25 h, 75 h, 100 h, which is no regular interval. What is meant?');
        self::assertTrue($this->browser->isDisabled('Write the change'));
        $this->browser->choose(
            'Chains is marked at 25 h, 75 h, 100 h, which is no regular interval. What is meant?',
            'Once at each of these',
        );
        $this->browser->see('first at 25 h, first at 75 h, first at 100 h');
        $this->browser->press('Leave it as it was');
        self::assertStringNotContainsString('Chains', $this->browser->text());
    }

    public function test_a_pasted_table_is_understood_asked_about_and_written_and_can_be_undone(): void
    {
        $machine = $this->openChart();
        $this->browser->press('Paste a table');
        $this->browser->type('From a spreadsheet, or CSV: the headings too', self::TABLE);
        $this->browser->press('Read it');
        $this->browser->see('What does C mean in this chart?');
        $this->browser->see('Line 4, "ENGINE", has no mark and is taken for a heading.');
        $this->browser->press('That is what is meant');
        $this->browser->see('Write these 3 rules');
        $this->browser->press('Write these 3 rules');
        $this->browser->see('the chart is written');
        $this->browser->see('every 200 h or 12 months, first at 50 h');
        $this->browser->press('Undo');
        $this->browser->until(
            fn (): bool => ! str_contains($this->browser->text(), 'Grease all points'),
            'the chart as it was',
        );
        $this->browser->open("/machines/{$machine['id']}/rulebook");
        $this->browser->see('replace every 100 h, keeper');
    }

    public function test_a_field_that_nobody_understands_is_asked_about_keeps_what_was_pasted_and_saves_nothing(): void
    {
        $machine = $this->openChart();
        $this->browser->press('Paste a table');
        $this->browser->type('From a spreadsheet, or CSV: the headings too', "Task;50;100\nGrease;X;perhaps");
        $this->browser->press('Read it');
        $this->browser->see('Line 2, Grease: "perhaps" is no mark known here. What is meant?');
        $this->browser->see('Once, or again and again?');
        self::assertStringContainsString(
            'perhaps',
            $this->browser->value('From a spreadsheet, or CSV: the headings too'),
        );
        $this->browser->open("/machines/{$machine['id']}/chart");
        $this->browser->see('Which means');
        $this->browser->press('Paste a table');
        self::assertStringContainsString(
            'perhaps',
            $this->browser->value('From a spreadsheet, or CSV: the headings too'),
            'what was pasted survives a reload',
        );
        self::assertSame(
            ['95 h', '100 h'],
            array_map(fn (string $task): string => $this->marks($task)[0].' h', ['Deck underside', 'Engine oil']),
        );
    }

    public function test_it_prints_on_one_page(): void
    {
        $this->signIn();
        $this->browser->open('/machines/2/chart');
        $this->browser->see('Which means');
        $file = getenv('JARDINIER_STATE').'/chart.pdf';
        $this->browser->print($file);
        $pages = (string) shell_exec('pdfinfo '.escapeshellarg($file).' | grep Pages');
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');

        self::assertMatchesRegularExpression('/Pages:\s+1$/', trim($pages));
        self::assertStringContainsString('Grease all points', $text);
        self::assertStringContainsString('400', $text);
        self::assertStringNotContainsString('Add a row', $text);
    }

    public function test_a_rulebook_is_shared_followed_and_its_exception_marked(): void
    {
        $one = $this->openChart();
        $name = 'Mowers '.$one['name'];
        $this->browser->type('Share this rulebook as', $name);
        $this->browser->press('Share it');
        $this->browser->see("Follows {$name}");
        $other = $this->machine();
        $this->browser->open("/machines/{$other['id']}/chart");
        $this->browser->choose('Follow a shared rulebook', "{$name}, {$one['name']}");
        $this->browser->press('Follow it');
        $this->browser->see("Follows {$name}");
        $this->browser->press('Deck underside, 100 h');
        $this->browser->see('every 100 h, first at 95 h');
        $this->browser->press('Write the change');
        $this->browser->see('exception');
    }

    /** @return array{id: int, name: string} */
    private function openChart(): array
    {
        $machine = $this->machine();
        $this->signIn();
        $this->browser->open("/machines/{$machine['id']}/chart");
        $this->browser->see('Which means');

        return $machine;
    }

    /** @return list<string> */
    private function headings(): array
    {
        return $this->browser->script(
            'return [...document.querySelectorAll("thead th")].slice(1, -1).map(head => head.innerText)',
        );
    }

    /** @return list<string> the columns that a task is marked under */
    private function marks(string $task): array
    {
        return $this->browser->script(
            'return [...document.querySelectorAll(`button[aria-pressed=true][aria-label^="${arguments[0]}, "]`)].map(mark => mark.ariaLabel.split(", ")[1].replace(" h", ""))',
            $task,
        );
    }

    private function focusOn(string $button): void
    {
        $this->browser->script(
            '[...document.querySelectorAll("button")].find(button => button.innerText === arguments[0]).focus()',
            $button,
        );
    }
}
