<?php

declare(strict_types=1);

namespace Tests\Http;

/** Services led step by step, from the due point to the book. */
final class BenchTest extends BenchTestCase
{
    public function test_oil_and_filter_from_the_due_point_to_the_book(): void
    {
        $this->make(['rules' => $this->rules('Engine oil')])->assertCreated()->assertJsonPath('name', 'Engine oil and filter');
        $this->walk(said: [
            'look:engine_oil_drain' => ['amount' => '1.7 L', 'seen' => ['dark']],
            'pour:engine_oil' => ['ml' => 1200],
        ]);
        $this->signOff(['hours' => '101.5'])->assertCreated()->assertJsonPath(
            'entry.in_words',
            'At 101.5 h: engine oil and filter replaced, 1.6 L, engine oil drained, 1.7 L, engine oil measured',
        );
        $rule = collect($this->sheet($this->machine)['rules'])->firstWhere('task', 'Engine oil and filter');
        self::assertSame('fresh', $rule['standing']['state']);
        self::assertStringContainsString('Due at 201.5 h', $rule['standing']['why']);
    }
}
