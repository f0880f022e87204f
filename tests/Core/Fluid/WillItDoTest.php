<?php

declare(strict_types=1);

namespace Tests\Core\Fluid;

use Core\Fluid\SeasonalGrade;
use Core\Fluid\Suitability;
use Core\Form\BadInput;
use Core\Measure\Quantity;
use Core\Reckoner\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/**
 * A bottle against a compartment and the season ahead. The cases of yellow metals, wet brakes and small engines are the
 * trade handbook's; common practice, no source.
 */
final class WillItDoTest extends TestCase
{
    private const WET_BRAKES = ['kind' => 'wet_brake_axle', 'specification' => ['kind' => 'wet_brake_oil']];

    private const AIR_COOLED = [
        'kind' => 'engine',
        'cooling' => 'air',
        'specification' => [
            'kind' => 'engine_oil',
            'grades' => [
                ['grade' => 'SAE 30', 'from' => '5 °C'],
                ['grade' => '10W-30', 'from' => '-18 °C', 'to' => '32 °C'],
            ],
            'designations' => ['SJ'],
        ],
    ];

    private const GEARS = [
        'kind' => 'gearbox',
        'specification' => ['kind' => 'gear_oil', 'grades' => ['80W-90'], 'designations' => ['GL-4']],
    ];

    private const MAKERS = [
        'kind' => 'hydrostatic',
        'specification' => ['kind' => 'tractor_fluid', 'makers_own' => 'Wader Draught', 'designations' => ['HM']],
    ];

    private const ENGINE_OIL = ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API SN']];

    /**
     * @return iterable<string, array{array<string, mixed>, array<string, mixed>, array<string, mixed>, string, string}>
     */
    public static function bottles(): iterable
    {
        $gl5 = ['kind' => 'gear_oil', 'grade' => '80W-90', 'designations' => ['GL-5']];
        yield 'ordinary engine oil in a wet-brake axle' => [
            self::ENGINE_OIL,
            self::WET_BRAKES,
            [],
            'no',
            'wet-brake oil',
        ];
        yield 'the same where nobody wrote the book down' => [
            self::ENGINE_OIL,
            ['kind' => 'wet_brake_axle', 'specification' => []],
            [],
            'no',
            'chatter',
        ];
        yield 'tractor fluid in a wet-brake axle, its book unknown' => [
            ['kind' => 'tractor_fluid'],
            ['kind' => 'wet_brake_axle', 'specification' => []],
            [],
            'ask',
            'by their book',
        ];
        yield 'motor-car oil in a small air-cooled engine' => [
            [
                'kind' => 'engine_oil',
                'grade' => '5W-30',
                'designations' => ['API SP', 'ILSAC GF-6A'],
            ], self::AIR_COOLED, ['coldest' => '-5', 'hottest' => '30'], 'no', 'not among them',
        ];
        yield 'motor-car oil of the right grade' => [
            [
                'kind' => 'engine_oil',
                'grade' => '10W-30',
                'designations' => ['API SP', 'ILSAC GF-6A'],
            ], self::AIR_COOLED, ['coldest' => '-5', 'hottest' => '30'], 'no', 'save fuel',
        ];
        yield 'what its book lists' => [
            self::ENGINE_OIL,
            self::AIR_COOLED,
            ['coldest' => '-5', 'hottest' => '30'],
            'yes',
            '',
        ];
        yield 'in more heat than its book allows' => [
            self::ENGINE_OIL,
            self::AIR_COOLED,
            ['coldest' => '8', 'hottest' => '36'],
            'no',
            'For that the book has SAE 30',
        ];
        yield 'in the cold the book has no other' => [
            ['kind' => 'engine_oil', 'grade' => 'SAE 30', 'designations' => ['SJ']],
            self::AIR_COOLED,
            ['coldest' => '-5', 'hottest' => '30'],
            'no',
            'For that the book has 10W-30',
        ];
        $down = fn (string $coldest, string $willIt, string $because): array => [
            ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['API SJ']],
            ['kind' => 'engine', 'specification' => ['kind' => 'engine_oil', 'designations' => ['API SJ']]],
            ['coldest' => $coldest, 'hottest' => '30'],
            $willIt,
            $because,
        ];
        yield 'down to where its grade lets the engine be cranked' => $down('-25', 'yes', '');
        yield 'colder than that' => $down('-26', 'no', 'good down to -25 °C');
        yield 'nobody said how cold it gets' => [self::ENGINE_OIL, self::AIR_COOLED, [], 'ask', 'how cold'];
        yield 'older than its book wants' => [
            ['kind' => 'engine_oil', 'grade' => '10W-30', 'designations' => ['SH']],
            self::AIR_COOLED,
            ['coldest' => '0', 'hottest' => '30'],
            'no',
            'older',
        ];
        yield 'a label that says nothing' => [
            ['kind' => 'engine_oil', 'grade' => '10W-30'],
            self::AIR_COOLED,
            ['coldest' => '0', 'hottest' => '30'],
            'ask',
            'what does the label say',
        ];
        yield 'GL-5 where yellow metals want GL-4' => [
            $gl5,
            [...self::GEARS, 'yellow_metals' => true],
            [],
            'no',
            'brass or bronze',
        ];
        yield 'GL-5 for GL-4 without yellow metals' => [
            $gl5,
            [...self::GEARS, 'yellow_metals' => false],
            [],
            'yes',
            '',
        ];
        yield 'GL-5 for GL-4, nobody knows of yellow metals' => [$gl5, self::GEARS, [], 'ask', 'yellow metal'];
        yield 'gear oil too thick for the cold' => [
            ['kind' => 'gear_oil', 'grade' => '80W-90', 'designations' => ['GL-4']],
            self::GEARS,
            ['coldest' => '-31 °C'],
            'no',
            'SAE J306',
        ];
        yield 'an engine oil that a hydrostatic drive takes by its book' => [
            ['kind' => 'engine_oil', 'grade' => '20W-50', 'designations' => ['SL']], [
                'kind' => 'hydrostatic',
                'specification' => ['kind' => 'engine_oil', 'grades' => ['20W-50']],
            ], ['coldest' => '-10'], 'yes', '',
        ];
        yield 'an engine oil in a PTO housing, its book unknown' => [
            self::ENGINE_OIL,
            ['kind' => 'pto', 'specification' => []],
            [],
            'ask',
            'Books differ',
        ];
        yield 'the maker\'s own while the warranty runs' => [
            ['kind' => 'tractor_fluid', 'makers_own' => 'wader draught'],
            self::MAKERS,
            ['warranty' => true],
            'yes',
            '',
        ];
        yield 'an equivalent while the warranty runs' => [
            ['kind' => 'tractor_fluid', 'designations' => ['HV']],
            self::MAKERS,
            ['warranty' => true],
            'no',
            'While the warranty runs',
        ];
        yield 'an equivalent after it' => [
            ['kind' => 'tractor_fluid', 'designations' => ['HV']],
            self::MAKERS,
            [],
            'yes',
            '',
        ];
        yield 'always the maker\'s' => [
            ['kind' => 'tractor_fluid', 'designations' => ['HV']],
            self::MAKERS,
            ['school' => 'makers'],
            'no',
            'always used',
        ];
        yield 'always equivalents' => [
            ['kind' => 'tractor_fluid', 'designations' => ['HV']],
            self::MAKERS,
            ['school' => 'equivalents', 'warranty' => true],
            'yes',
            '',
        ];
        yield 'two coolants of different chemistry' => [
            ['kind' => 'coolant', 'chemistry' => 'oat'],
            ['kind' => 'coolant', 'specification' => ['kind' => 'coolant', 'chemistry' => 'hoat']],
            [],
            'no',
            'never mixed',
        ];
        yield 'a coolant by its colour' => [
            ['kind' => 'coolant'],
            ['kind' => 'coolant', 'specification' => ['kind' => 'coolant', 'chemistry' => 'hoat']],
            [],
            'ask',
            'Colour tells nothing',
        ];
        yield 'DOT 5 in a DOT 4 system' => [
            ['kind' => 'brake_fluid', 'designations' => ['DOT 5']],
            ['kind' => 'brake', 'specification' => ['kind' => 'brake_fluid', 'designations' => ['DOT 4']]],
            [],
            'no',
            'silicone',
        ];
        // FMVSS 116: DOT 5 is silicone; DOT 3, 4 and 5.1 are glycol (value from memory).
        foreach ([
            'DOT 5 in a glycol system' => [['designations' => ['DOT 5']], ['chemistry' => 'glycol']],
            'DOT 4 in a silicone system' => [['designations' => ['DOT 4']], ['chemistry' => 'silicone']],
            'DOT 5.1 in a silicone system' => [['designations' => ['DOT 5.1']], ['chemistry' => 'silicone']],
            'silicone in a DOT 3 system' => [['chemistry' => 'silicone'], ['designations' => ['DOT 3']]],
            'glycol in a DOT 5 system' => [['chemistry' => 'glycol'], ['designations' => ['DOT 5']]],
            'DOT 5 under the maker\'s own name' => [['designations' => ['DOT 5'], 'makers_own' => 'Own Brake'], ['chemistry' => 'glycol', 'makers_own' => 'Own Brake']],
            'a label that says both' => [['designations' => ['DOT 5'], 'chemistry' => 'glycol'], ['chemistry' => 'glycol']],
        ] as $name => [$bottle, $book]) {
            yield $name => [['kind' => 'brake_fluid', ...$bottle], ['kind' => 'brake', 'specification' => ['kind' => 'brake_fluid', ...$book]], [], 'no', 'silicone'];
        }
        yield 'DOT 4 in a glycol system' => [
            ['kind' => 'brake_fluid', 'designations' => ['DOT 4']],
            ['kind' => 'brake', 'specification' => ['kind' => 'brake_fluid', 'chemistry' => 'glycol']],
            [],
            'yes',
            '',
        ];
        yield 'DOT 5.1 in a DOT 4 system' => [
            ['kind' => 'brake_fluid', 'designations' => ['DOT 5.1']],
            ['kind' => 'brake', 'specification' => ['kind' => 'brake_fluid', 'designations' => ['DOT 4']]],
            [],
            'yes',
            '',
        ];
        yield 'engine oil in the brakes' => [
            self::ENGINE_OIL,
            ['kind' => 'brake', 'specification' => []],
            [],
            'no',
            'swells every seal',
        ];
        yield 'well water in the cells' => [
            ['kind' => 'coolant'],
            ['kind' => 'battery_cells', 'specification' => []],
            [],
            'no',
            'distilled water only',
        ];
        yield 'distilled water in the cells' => [
            ['kind' => 'distilled_water'],
            ['kind' => 'battery_cells', 'specification' => []],
            [],
            'yes',
            '',
        ];
        yield 'nothing known of the compartment' => [
            self::ENGINE_OIL,
            ['kind' => 'engine', 'specification' => []],
            ['coldest' => '0'],
            'ask',
            'look it up',
        ];
    }

    /**
     * @param  array<string, mixed>  $fluid
     * @param  array<string, mixed>  $compartment
     * @param  array<string, mixed>  $besides
     */
    #[DataProvider('bottles')]
    public function test_will_it_do(
        array $fluid,
        array $compartment,
        array $besides,
        string $willIt,
        string $because,
    ): void {
        $answer = Catalogue::reckon(
            'will-it-do',
            ['fluid' => $fluid, 'compartment' => $compartment, ...$besides],
            new \DateTimeImmutable,
        );

        self::assertSame($willIt, $answer['will_it'], implode(' ', $answer['reasons']));
        self::assertStringContainsString($because, $answer['reasons'][0]);
        self::assertSame($answer['reasons'][0], $answer['why']);
    }

    public function test_a_grade_is_allowed_down_to_its_own_temperature_and_up_to_it(): void
    {
        $in = fn (string $coldest, string $hottest): Suitability => (new SeasonalGrade('10W-30', Quantity::parse('-10 °C'), Quantity::parse('35 °C')))
            ->in(Quantity::parse($coldest), Quantity::parse($hottest))->answer;

        self::assertSame(Suitability::Yes, $in('-10 °C', '35 °C'));
        self::assertSame(Suitability::No, $in('-11 °C', '35 °C'));
        self::assertSame(Suitability::No, $in('-10 °C', '36 °C'));
    }

    public function test_what_cannot_be_a_label_is_refused_beside_its_field(): void
    {
        try {
            Catalogue::reckon('will-it-do', [
                'fluid' => ['kind' => 'engine_oil', 'chemistry' => 'oat'],
                'compartment' => [
                    'kind' => 'engine',
                    'specification' => [
                        'grades' => [['grade' => '10W-30', 'from' => '10', 'to' => '-10']],
                        'colour' => 'red',
                    ],
                ],
                'coldest' => '5 qt',
            ], new \DateTimeImmutable);
            self::fail('it was answered');
        } catch (BadInput $bad) {
            self::assertEqualsCanonicalizing(
                ['fluid.chemistry', 'compartment.specification.grades.0.to', 'coldest'],
                array_keys($bad->errors),
            );
        }
    }
}
