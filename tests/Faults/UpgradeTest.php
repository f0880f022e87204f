<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Started;

/** A newer program backs up before it changes the tables; an older one leaves them alone. */
final class UpgradeTest extends TestCase
{
    private Started $yard;

    protected function setUp(): void
    {
        $this->yard = new Started;
    }

    protected function tearDown(): void
    {
        $this->yard->end();
    }

    public function test_a_newer_program_backs_up_and_brings_the_tables_up_to_date_and_an_older_one_refuses(): void
    {
        $this->yard->start('--empty');
        $book = Book::begunIn($this->yard);
        $book->log('12');
        // As the release before left it.
        $this->yard->row('drop table queued_work, night_works; delete from migrations where migration like "%create_upkeep"');
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        self::assertStringContainsString('Backing up before the upgrade', $this->yard->start());
        self::assertCount(1, glob($this->yard->state().'/backups/before-upgrade-*') ?: []);
        self::assertSame('12', $book->hours());

        $this->yard->row('insert into migrations (migration, batch) values ("2031_01_01_000001_of_a_later_release", 9)');
        $this->yard->jardinier('stop', '--port', (string) $this->yard->port);
        [$code, $out] = $this->yard->jardinier('start', '--detach', '--port', (string) $this->yard->port);
        self::assertSame(1, $code);
        self::assertStringContainsString('This yard was last served by a newer Jardinier.', $out);
    }
}
