<?php

declare(strict_types=1);

namespace Tests\Faults;

use Illuminate\Support\Str;
use PHPUnit\Framework\Assert;
use Tests\Http\Visitor;
use Tests\Started;

/** The book of a yard that was started empty: one keeper, one machine, its hours. */
final class Book
{
    /** Of an hour, that were logged last. */
    private int $tenths = 130;

    /** @var list<string> hours that the yard has said are written */
    public array $answered = [];

    private function __construct(private readonly Started $yard, private readonly Visitor $keeper, private readonly int $machine, private readonly int $ahead) {}

    /** @param  int  $ahead  seconds by which its clock is ahead */
    public static function begunIn(Started $yard, int $ahead = 0): self
    {
        $stranger = new Visitor($yard->address(), 'nobody', 'nothing');
        Assert::assertSame(201, $stranger->ask('POST', '/first-keeper', [
            'yard' => 'Longacre',
            'time_zone' => 'UTC',
            'distance_unit' => 'km',
            'name' => 'Ida Holm',
            'sign_in_name' => 'ida',
            'password' => 'quite long enough',
        ])['status']);
        $keeper = self::keeper($yard);

        return new self($yard, $keeper, $keeper->ask('POST', '/machines', [
            'name' => 'Heron',
            'class' => 'tractor',
            'place' => 'Barn',
            'history' => 'new',
            'at' => gmdate('Y-m-d', time() + $ahead),
            'began_on' => '2026-05-01',
            'meters' => [['unit' => 'h', 'value' => '10']],
            'rules' => [],
        ])['body']['id'], $ahead);
    }

    /**
     * Logs what the meter shows, each on a connection of its own at the same time.
     *
     * @return list<string> those that were answered as written
     */
    public function log(string ...$hours): array
    {
        $told = Visitor::together(array_map(fn (string $value): \CurlHandle => $this->keeper->request('POST', '/notes', ['notes' => [[
            'id' => (string) Str::uuid(),
            'machine_id' => $this->machine,
            'kind' => 'reading',
            'at' => gmdate('Y-m-d\TH:i:s\Z', time() + $this->ahead),
            'value' => $value,
        ]]]), $hours));
        $written = [];
        foreach ($told as $index => $answer) {
            if (($answer['body']['results'][0]['status'] ?? null) === 'written') {
                $written[] = $hours[$index];
            }
        }
        $this->answered = [...$this->answered, ...$written];

        return $written;
    }

    /** @return array<string, mixed>|null what is said where nothing can be logged */
    public function refusal(): ?array
    {
        return $this->keeper->ask('POST', '/notes', ['notes' => []])['body'];
    }

    /** The status with which a photograph is answered. */
    public function photo(): int
    {
        return Visitor::together([$this->keeper->upload("/machines/{$this->machine}/photos", ['id' => (string) Str::uuid()])])[0]['status'];
    }

    /** @return list<string> a tenth of an hour on, and so many more: values that nobody has logged yet */
    public function next(int $count = 1): array
    {
        return array_map(function (): string {
            $this->tenths++;

            return (string) ($this->tenths / 10);
        }, range(1, $count));
    }

    /** What the meter shows by the book of a yard, this one's or another's that was made of it. */
    public function hours(?Started $of = null): string
    {
        $keeper = self::keeper($of ?? $this->yard);

        $sheet = $keeper->ask('GET', "/machines/{$this->machine}");
        Assert::assertSame(200, $sheet['status'], json_encode($sheet, JSON_THROW_ON_ERROR));

        return $sheet['body']['line']['meters'][0]['value'];
    }

    /** @return list<string> those that were answered as written and stand in no book of that yard */
    public function lost(?Started $of = null): array
    {
        $keeper = self::keeper($of ?? $this->yard);
        $values = [];
        $cursor = null;
        do {
            $page = $keeper->ask('GET', "/machines/{$this->machine}/entries?limit=100".($cursor === null ? '' : "&cursor={$cursor}"))['body'];
            foreach ($page['data'] as $entry) {
                $values = [...$values, ...array_column($entry['readings'], 'value')];
            }
            $cursor = $page['next_cursor'];
        } while ($cursor !== null);

        return array_values(array_diff($this->answered, $values));
    }

    private static function keeper(Started $yard): Visitor
    {
        return new Visitor($yard->address(), 'ida', 'quite long enough');
    }
}
