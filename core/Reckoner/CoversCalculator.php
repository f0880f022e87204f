<?php

declare(strict_types=1);

namespace Core\Reckoner;

use Core\Fluid\Designation;
use Core\Form\Fields;

/** Whether what one label says covers what a book asks for. */
final class CoversCalculator implements Calculator
{
    public const SOURCES = [
        'API 1509 and API 1560, service categories (values from memory)',
        'ILSAC GF and FMVSS 116 (values from memory)',
        'common practice',
    ];

    public function answer(Fields $given, \DateTimeImmutable $now): Answer
    {
        $has = Designation::all((string) $given->text('has', 'what the label says'));
        $needs = Designation::all((string) $given->text('needs', 'what the book asks for'));
        $yellow = $given->has('yellow_metals')
            ? $given->flag('yellow_metals', 'whether there is brass or bronze')
            : null;
        foreach (['has' => $has, 'needs' => $needs] as $name => $named) {
            if ($named === []) {
                $given->fault($name, 'Write it as it stands on the label, like API SN or GL-4.');
            }
        }
        $given->complete();
        assert($has !== [] && $needs !== []);
        $reason = Designation::anyCovers($has, $needs, $yellow);

        return new Answer(['covers' => $reason->answer->value], $reason->why, self::SOURCES);
    }
}
