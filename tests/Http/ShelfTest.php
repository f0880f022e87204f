<?php

declare(strict_types=1);

namespace Tests\Http;

use App\People\Role;
use Brick\Math\BigDecimal;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** What is kept, in whichever order it is told. Names and numbers are invented. */
final class ShelfTest extends WalkTestCase
{
    private const OIL = ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API CI-4']];

    private int $machine;

    private int $oil;

    protected function setUp(): void
    {
        parent::setUp();
        $this->machine = $this->machine(['meters' => [['unit' => 'h', 'value' => '0']]]);
        $this->sheetOf($this->machine, 'engine_oil', ['capacities' => [['amount' => '2 L']], 'specification' => ['kind' => 'engine_oil']]);
        $this->sheetOf($this->machine, 'engine_oil_filter', ['kind' => 'filter', 'number' => 'WD 15', 'superseded_by' => 'WD 15-2',
            'equivalents' => [['number' => 'Wyndle 9', 'will_do' => true]]]);
        $this->oil = $this->supply(['name' => 'Orchard', 'label' => self::OIL, 'sold_in' => [['size' => '5 L', 'price' => '31.50']]]);
    }

    public function test_what_is_bought_stands_there_and_what_is_poured_is_taken_from_what_is_open(): void
    {
        $this->buy(['size' => '5 L', 'count' => 2])->assertCreated()
            ->assertJsonPath('entry.in_words', 'Came to the shelf: 2 × 5 L Orchard');
        self::assertSame([['5 L', null], ['5 L', null]], $this->containers());
        [$first, $second] = array_column($this->shelf()['containers'], 'id');
        $this->pour('0.5 L', more: ['container' => $first])->assertCreated()
            ->assertJsonPath('entry.in_words', 'Engine oil topped up, 0.5 L of Orchard out of the 5 L container');
        self::assertSame([['4.5 L', '2026-05-14'], ['5 L', null]], $this->containers(), 'the one that was named was opened');
        foreach (['1 L', '1.5 L', '2 L'] as $amount) {
            $this->pour($amount, 'fluid')->assertCreated()
                ->assertJsonPath('entry.in_words', "Engine oil filled, {$amount} of Orchard out of the 5 L container");
        }
        self::assertSame([['5 L', null]], $this->containers(), 'what is empty is not told of');
        $this->pour('1 L')->assertCreated()->assertJsonPath('entry.in_words', 'Engine oil topped up, 1 L of Orchard')->assertJsonPath(
            'entry.doubts.0.asks',
            'It was poured from no container that is open and will do by the book. Count what is there.',
        );
        self::assertSame(['5 L', '4'], [$this->containers()[0][0], $this->shelf()['left']['value']], 'nobody opens a new one by himself');
        $this->pour('1 L', more: ['container' => $second])->assertCreated();
        self::assertSame([['4 L', '2026-05-14']], $this->containers());
    }

    public function test_a_struck_act_puts_its_fluid_back(): void
    {
        $this->buy(['size' => '1 gal', 'count' => 1]);
        $entry = $this->pour('1 qt', more: ['container' => $this->shelf()['containers'][0]['id']])->json('entry.id');
        self::assertSame([['0.75 gal (2.84 L)', '2026-05-14']], $this->containers('display'));
        $this->tellOf($entry, 'strike', ['because' => 'It was the other machine'])->assertCreated();

        self::assertSame([['1 gal (3.79 L)', null]], $this->containers('display'));
    }

    public function test_less_than_nothing_is_written_down_said_and_asked_to_be_counted(): void
    {
        $this->buy(['size' => '1 L', 'count' => 1]);
        $asks = 'There was less in the 1 L Orchard by the book than the 1.4 L (1.48 qt) poured out of it. Count what is left.';
        $out = ['container' => $this->shelf()['containers'][0]['id']];
        $this->pour('1.4 L', more: $out)->assertConflict()->assertJsonPath('errors.amount.0', $asks);
        $this->pour('1.4 L', more: [...$out, 'confirmed_because' => 'It was a fuller can'])->assertCreated()
            ->assertJsonPath('entry.doubts', []);
        $shelf = $this->shelf();
        self::assertTrue($shelf['left']['below_nothing']);
        self::assertSame('less than nothing by 0.4 L (0.42 qt)', $shelf['left']['in_words']);
        self::assertSame(['More was used than was there by the book. Count it.'], $shelf['says']);
        $empty = ['supply' => $this->oil, 'containers' => [[...$out, 'left' => '0 L']]];
        $this->tell(null, 'counted', $empty)
            ->assertUnprocessable()->assertJsonPath('errors.because.0', 'By the book there is less than nothing by '
                .'0.4 L (0.42 qt). Say why there is 0 L (0 qt).');
        $this->tell(null, 'counted', [...$empty, 'because' => 'A can that nobody wrote down'])
            ->assertCreated();

        self::assertSame([false, '0'], [$this->shelf()['left']['below_nothing'], $this->shelf()['left']['value']]);
    }

    public function test_a_container_that_was_named_is_drawn_from_even_where_it_is_gone_by_now(): void
    {
        $this->buy(['size' => '1 L', 'count' => 2]);
        $gone = $this->shelf()['containers'][0]['id'];
        $this->tell(null, 'counted', [
            'supply' => $this->oil,
            'containers' => [['container' => $gone, 'left' => '0 L']],
            'because' => 'Thrown away: water in it',
        ])->assertCreated();
        self::assertCount(1, $this->containers());
        $this->pour('0.3 L', more: ['container' => $gone])->assertConflict()->assertJsonPath(
            'errors.amount.0',
            'There was less in the 1 L Orchard by the book than the 0.3 L (0.32 qt) poured out of it. Count what is left.',
        );
        $this->pour('0.3 L', more: ['container' => $gone, 'confirmed_because' => 'Out of the bin'])->assertCreated();
        self::assertSame([true, false], array_column($this->shelf()['containers'], 'below_nothing'));
        $this->pour('0.3 L', more: ['container' => 99_999])->assertUnprocessable()
            ->assertJsonPath('errors.container.0', 'There is no such container on the shelf.');
    }

    /** A phone that was out of reach tells later what was poured before the count. */
    public function test_a_count_stands_whenever_what_was_poured_before_it_becomes_known(): void
    {
        $this->buy(['size' => '5 L', 'count' => 1, 'at' => '2026-05-10']);
        $container = $this->shelf()['containers'][0]['id'];
        $count = ['supply' => $this->oil, 'containers' => [['container' => $container, 'left' => '3 L']], 'because' => 'Measured'];
        $this->tell(null, 'counted', [...$count, 'at' => '2026-05-13'])->assertCreated();
        $this->pour('1 L', more: ['at' => '2026-05-12', 'container' => $container])->assertCreated();
        self::assertSame('3', $this->shelf()['left']['value']);
        $this->pour('1 L')->assertCreated()->assertJsonPath('entry.doubts', []);

        self::assertSame('2', $this->shelf()['left']['value']);
    }

    /** Property, eight random shelves: what is left is the last count, by the clock, less what was poured after it. */
    public function test_in_whichever_order_counts_and_pours_become_known_the_same_is_left(): void
    {
        $chance = new Randomizer(new Mt19937(29));
        $this->buy(['size' => '5 L', 'count' => 8, 'at' => '2026-04-01'])->assertCreated();
        foreach ($this->shelf()['containers'] as ['id' => $container]) {
            $left = 5_000;
            $told = [];
            foreach (range(1, 6) as $day) {
                $at = sprintf('2026-05-%02dT08:00:00Z', $day);
                if ($chance->getInt(1, 3) === 1) {
                    $left = $chance->getInt(1_000, 5_000);
                    $told[] = ['counted', ['supply' => $this->oil, 'at' => $at, 'because' => 'Measured',
                        'containers' => [['container' => $container, 'left' => "{$left} mL"]]]];
                } else {
                    $left -= $poured = $chance->getInt(50, 400);
                    $told[] = ['top_up', ['at' => $at, 'container' => $container, 'amount' => "{$poured} mL"]];
                }
            }
            foreach ($chance->shuffleArray($told) as [$kind, $given]) {
                $kind === 'counted'
                    ? $this->tell(null, $kind, $given)->assertCreated()
                    : $this->pour($given['amount'], more: $given)->assertCreated();
            }

            $now = collect($this->getJson("/api/supplies/{$this->oil}")->json('containers'))->firstWhere('id', $container);
            self::assertSame(0, BigDecimal::of($now['left']['value'])->multipliedBy(1000)->compareTo($left), json_encode($told));
        }
    }

    public function test_two_people_who_count_at_once_hear_of_each_other(): void
    {
        $washer = $this->supply(['kind' => 'part', 'name' => 'Washer', 'number' => 'WD 12']);
        $this->tell(null, 'bought', ['supply' => $washer, 'count' => 6])->assertCreated();
        $count = ['supply' => $washer, 'seen' => '6', 'because' => 'Some fell down'];
        $this->as(Role::Mechanic)->tell(null, 'counted', [...$count, 'pieces' => 4])->assertCreated();
        $second = $this->as(Role::Keeper)->tell(null, 'counted', [...$count, 'pieces' => 5])->assertConflict();
        self::assertSame('/problems/unlikely', $second->json('type'));
        self::assertSame(
            'Mechanic was at the Washer since you looked; by now the book says 4 pieces.',
            $second->json('errors.pieces.0'),
        );
        $this->tell(null, 'counted', [...$count, 'pieces' => 5, 'confirmed_because' => 'I found one more'])->assertCreated();

        self::assertSame('5 pieces', $this->shelf('Washer')['left']['in_words']);
    }

    public function test_a_part_that_is_fitted_leaves_the_shelf_with_its_seal_unless_the_old_one_was_used_again(): void
    {
        $this->sheetOf($this->machine, 'engine_oil_drain', ['seal' => 'WD 12']);
        foreach (['Filter' => 'Wyndle 9', 'Washer' => 'WD 12'] as $name => $number) {
            $id = $this->supply(['kind' => 'part', 'name' => $name, 'number' => $number]);
            $this->tell(null, 'bought', ['supply' => $id, 'count' => 2])->assertCreated();
        }
        $left = fn (): array => [$this->shelf('Filter')['left']['value'], $this->shelf('Washer')['left']['value']];
        $service = fn (array ...$other): TestResponse => $this->tell(
            $this->machine,
            'service',
            ['hours' => '5', 'other' => $other],
        )->assertCreated();
        $service(['spot' => 'engine_oil_filter', 'act' => 'replaced'], ['spot' => 'engine_oil_drain', 'act' => 'closed']);
        self::assertSame(['1', '1'], $left(), 'the equivalent that is there stands for the maker\'s');
        $service(['spot' => 'engine_oil_drain', 'act' => 'closed', 'reused' => true]);
        self::assertSame(['1', '1'], $left());
        $service(['spot' => 'engine_oil_filter', 'act' => 'replaced', 'number' => 'wyndle-9']);
        $last = $service(['spot' => 'engine_oil_filter', 'act' => 'replaced', 'reused' => true]);
        self::assertStringContainsString('filter replaced', $last->json('entry.in_words'), 'with its old seal, a new filter is a new filter');
        self::assertSame('By the book there was no Filter left. Count it.', $last->json('entry.doubts.0.asks'));
        self::assertSame('less than nothing by 1 piece', $this->shelf('Filter')['left']['in_words']);
        $this->tellOf($last->json('entry.id'), 'strike', ['because' => 'Not done'])->assertCreated();
        self::assertSame(['0', '1'], $left(), 'what is struck is put back');
    }

    public function test_what_is_past_its_time_is_said_and_not_poured_by_itself(): void
    {
        $this->patchSupply($this->oil, ['keeps_months' => 12]);
        $this->buy(['size' => '5 L', 'count' => 1, 'at' => '2025-01-10']);
        $this->pour('1 L', more: ['at' => '2025-02-01', 'container' => $this->shelf()['containers'][0]['id']])->assertCreated();
        $this->buy(['size' => '1 L', 'count' => 1, 'use_by' => '2026-04-30']);
        $this->buy(['size' => '5 L', 'count' => 1]);
        self::assertSame([
            'Past its time since 1 February: opened 1 February 2025, keeps 12 months.',
            'Past its time since 30 April: as printed on it.',
        ], $this->shelf()['says']);
        $this->pour('0.5 L')->assertCreated();
        self::assertSame(['4 L', '1 L', '5 L'], array_column($this->containers(), 0));
    }

    public function test_what_was_poured_from_is_not_taken_back(): void
    {
        $entry = $this->buy(['size' => '5 L', 'count' => 1])->json('entry.id');
        $poured = $this->pour('1 L', more: ['container' => $this->shelf()['containers'][0]['id']])->json('entry.id');
        $this->tellOf($entry, 'strike', ['because' => 'Sent back'])->assertConflict();
        $this->tellOf($poured, 'strike', ['because' => 'Not done'])->assertCreated();
        $this->tellOf($entry, 'strike', ['because' => 'Sent back'])->assertCreated();

        self::assertSame([], $this->containers());
    }

    /** @param  array<string, mixed>  $given */
    #[TestWith([['sold_in' => [['price' => '3.20']]], 'sold_in.0.size', 'The size is missing.'])]
    #[TestWith([['sold_in' => [['size' => '5 L', 'price' => '-1']]], 'sold_in.0.price', 'The price is never less than nothing.'])]
    #[TestWith([['sold_in' => [['size' => '5 L'], ['size' => '5000 mL']]], 'sold_in.1.size', '5000 mL is there already.'])]
    #[TestWith([['name' => 'Orchard'], 'name', 'Something of that name is kept already.'])]
    #[TestWith([['kind' => 'part'], 'number', 'Say the number to ask for.'])]
    #[TestWith([['code' => 'CAN-1'], 'code', 'That code is on Orchard already.'])]
    #[TestWith([['code' => ['CAN-1']], 'code', 'This is written in words.'])]
    public function test_what_cannot_be_kept_so_stands_beside_its_field(array $given, string $field, string $message): void
    {
        $this->patchSupply($this->oil, ['code' => 'CAN-1']);
        $this->postJson('/api/supplies', ['name' => 'Other', 'label' => self::OIL, ...$given])
            ->assertUnprocessable()->assertJsonFragment([$field => [$message]]);
    }

    public function test_a_fluid_stays_a_fluid_and_a_part_keeps_its_number(): void
    {
        $part = $this->supply(['kind' => 'part', 'name' => 'Washer', 'number' => 'WD 12']);
        $change = fn (int $id, array $to): TestResponse => $this->patchJson("/api/supplies/{$id}", $to, ['If-Match' => '"1"']);

        $change($this->oil, ['kind' => 'part', 'name' => 'Orchard', 'number' => 'WD 13'])->assertUnprocessable()
            ->assertJsonPath('errors.kind.0', 'A fluid stays a fluid, and a part a part. Keep the other as something new.');
        $change($part, ['name' => 'Washer', 'label' => self::OIL])->assertUnprocessable()
            ->assertJsonPath('errors.number.0', 'Say the number to ask for.');
    }

    public function test_a_price_is_of_a_size_and_what_was_paid_last_is_kept(): void
    {
        $this->buy(['count' => 1, 'price' => '30'])->assertUnprocessable()
            ->assertJsonPath('errors.size.0', 'A price says little without the size of the container.');
        $this->buy(['count' => 1, 'size' => '5000 mL', 'price' => '33'])->assertCreated();
        $this->buy(['count' => 1, 'size' => '1 L', 'price' => '8,25'])->assertCreated();
        self::assertSame(
            [['size' => '5 L', 'price' => '33.00'], ['size' => '1 L', 'price' => '8.25']],
            $this->shelf()['sold_in'],
        );
        $this->tell(null, 'bought', ['new' => ['name' => 'Ring', 'number' => 'WD 38-120'], 'count' => 3, 'price' => '1.1'])
            ->assertCreated()->assertJsonPath('entry.in_words', 'Came to the shelf: 3 × Ring');
        self::assertSame([['price' => '1.10']], $this->shelf('Ring')['sold_in']);
        $this->tell(null, 'bought', ['new' => ['name' => 'Ring too', 'number' => 'wd 38120'], 'count' => 1])->assertCreated();
        self::assertSame('4 pieces', $this->shelf('Ring')['left']['in_words'], 'the same number is the same part');
    }

    /** What ran out is taken for what was poured where nobody measured it. */
    public function test_what_waits_for_collection_is_told_by_kind_until_it_is_taken_away(): void
    {
        $other = ['hours' => '5', 'other' => [
            ['spot' => 'engine_oil', 'act' => 'drained', 'amount' => '1.8 L'],
            ['spot' => 'engine_oil', 'act' => 'filled', 'amount' => '2 L'],
            ['spot' => 'engine_oil_filter', 'act' => 'replaced'],
        ]];
        $this->tell($this->machine, 'service', $other)->assertCreated();
        $this->tell($this->machine, 'fluid', ['spot' => 'engine_oil', 'act' => 'changed', 'amount' => '2 L'])->assertCreated();
        $waiting = fn (): array => array_column($this->getJson('/api/shelf')->json('waiting'), 'in_words', 'waste');
        self::assertSame(['oil' => '3.8 L (4.02 qt)', 'filters' => '1 piece'], $waiting());
        $this->travel(1)->hours();
        $this->tell(null, 'collected', ['waste' => 'oil', 'left' => '0.5 L'])->assertCreated()
            ->assertJsonPath('entry.in_words', 'Taken to the collection point: used oil, 0.5 L left');
        self::assertSame('0.5 L (0.53 qt)', $waiting()['oil']);
        $this->tell(null, 'collected', ['waste' => 'filters', 'left' => '1 L'])->assertUnprocessable();
        $this->tell(null, 'collected', ['waste' => 'filters'])->assertCreated();
        self::assertSame(['oil'], array_keys($waiting()));
    }

    /** @param  array<string, mixed>  $given */
    private function supply(array $given): int
    {
        return $this->as(Role::Keeper)->postJson('/api/supplies', $given)->assertCreated()->json('id');
    }

    /** @param  array<string, mixed>  $change */
    private function patchSupply(int $id, array $change): void
    {
        $known = $this->getJson("/api/supplies/{$id}")->assertOk()->json();
        $kept = array_intersect_key($known, array_flip(['name', 'label', 'sold_in', 'place']));
        $this->patchJson("/api/supplies/{$id}", [...$kept, ...$change], ['If-Match' => "\"{$known['version']}\""])->assertOk();
    }

    /** @param  array<string, mixed>  $given */
    private function buy(array $given): TestResponse
    {
        return $this->tell(null, 'bought', ['supply' => $this->oil, ...$given]);
    }

    /** @param  array<string, mixed>  $more */
    private function pour(string $amount, string $kind = 'top_up', array $more = []): TestResponse
    {
        return $this->tell($this->machine, $kind, [
            'spot' => 'engine_oil',
            'amount' => $amount,
            'fluid' => isset($more['container']) ? null : $this->oil,
            ...$kind === 'fluid' ? ['act' => 'filled'] : [],
            ...$more,
        ]);
    }

    /** @return array<string, mixed> */
    private function shelf(string $name = 'Orchard'): array
    {
        return collect($this->getJson('/api/shelf')->assertOk()->json('supplies'))->firstWhere('name', $name);
    }

    /** @return list<array{string, string|null}> what is left in each container, and when it was opened */
    private function containers(string $told = ''): array
    {
        return array_map(fn (array $one): array => [
            $told === '' ? explode(' (', $one['left']['display'])[0] : $one['left'][$told],
            $one['opened_on'],
        ], $this->shelf()['containers']);
    }
}
