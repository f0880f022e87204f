<?php

declare(strict_types=1);

namespace Core\Inspect\Instrument;

use Brick\Math\BigRational;
use Brick\Math\RoundingMode;
use Core\Form\Fields;
use Core\Inspect\Ask;
use Core\Inspect\Instrument;
use Core\Inspect\Judged;
use Core\Inspect\Occasion;
use Core\Machine\Verdict;
use Core\Measure\Dimension;
use Core\Measure\Unit;

/**
 * Tyre pressures against the book's, front and rear. The book means cold tyres: a warm one shows more, so a warm
 * reading only tells of a tyre that is low all the same.
 */
final class Tyres implements Instrument
{
    private const PLACES = [
        'front_left' => 'front left',
        'front_right' => 'front right',
        'rear_left' => 'rear left',
        'rear_right' => 'rear right',
    ];

    /** Shares of the book pressure within which a tyre is left alone, and beyond which it is seen to at once. */
    private const FINE = '1/10';

    private const FAR = '1/4';

    public function asks(array $limits = []): array
    {
        return [
            Ask::quantity('front_left', 'Front left', Unit::PoundPerSquareInch, like: 'front'),
            Ask::quantity('front_right', 'Front right', Unit::PoundPerSquareInch, like: 'front')->ifAny(),
            Ask::quantity('rear_left', 'Rear left', Unit::PoundPerSquareInch, like: 'rear'),
            Ask::quantity('rear_right', 'Rear right', Unit::PoundPerSquareInch, like: 'rear')->ifAny(),
            Ask::flag('warm', 'Driven just before: the tyres are warm'),
        ];
    }

    public function limits(): array
    {
        return [
            Ask::quantity('front', 'Front', Unit::PoundPerSquareInch),
            Ask::quantity('rear', 'Rear', Unit::PoundPerSquareInch),
        ];
    }

    public function judge(Fields $entered, Fields $limits, Occasion $occasion): Judged
    {
        $books = [];
        foreach (['front', 'rear'] as $axle) {
            $books[$axle] = $limits->measure($axle, "the book pressure {$axle}", Dimension::Pressure);
            if ($books[$axle]?->value->isZero()) {
                $limits->fault($axle, 'The book pressure must be above zero.');
            }
        }
        $read = [];
        foreach (self::PLACES as $name => $place) {
            $read[$name] = $entered->optionalMeasure(
                $name,
                "the pressure {$place}",
                Dimension::Pressure,
                $books[strtok($name, '_')]?->unit,
            );
        }
        if (array_filter($read) === []) {
            $entered->fault('front_left', 'No pressure is given.');
        }
        $warm = $entered->flag('warm', 'whether the tyres are warm');
        $limits->complete();
        $entered->complete();

        $verdict = Verdict::Fit;
        $off = [];
        foreach (array_filter($read) as $name => $pressure) {
            $book = $books[strtok($name, '_')];
            assert($book !== null);
            $share = $pressure->si()->dividedBy($book->si())->minus(1);
            if ($share->abs()->isLessThanOrEqualTo(BigRational::of(self::FINE)) || ($warm && $share->isPositive())) {
                continue;
            }
            $verdict = Verdict::hardest(
                $verdict,
                $share->abs()->isGreaterThan(BigRational::of(self::FAR)) ? Verdict::Act : Verdict::Watch,
            );
            $off[] = self::PLACES[$name]." {$pressure->inWords()}, ".$share->abs()->multipliedBy(100)->toScale(0, RoundingMode::HALF_UP).' % '.($share->isNegative() ? 'under' : 'over')." the book's {$book->inWords()}";
        }

        return match (true) {
            $warm
                && $off === [] => new Judged(
                    null,
                    'Warm tyres show more than cold ones, so this tells nothing.',
                    'Read them again when they have stood for three hours.',
                ),
            $warm => new Judged(
                $verdict,
                ucfirst(implode('; ', $off)).', and warm: cold it is lower still.',
                'Fill it, look for the leak, and read it again cold.',
            ),
            $off === [] => new Judged(
                $verdict,
                "Within a tenth of the book's {$books['front']?->inWords()} front and {$books['rear']?->inWords()} rear, read cold.",
            ),
            default => new Judged($verdict, ucfirst(implode('; ', $off)).', read cold.', 'Set it to the book.'),
        };
    }
}
