<?php

declare(strict_types=1);

namespace Core\Form;

/** What can be told while somebody is still typing: an answer, or what is missing and what is wrong, field by field. */
final class HalfTyped
{
    /**
     * @template T
     *
     * @param  \Closure(): T  $answer
     * @return array{answer: T|null, missing: array<string, list<string>>, wrong: array<string, list<string>>}
     */
    public static function read(\Closure $answer): array
    {
        try {
            return ['answer' => $answer(), 'missing' => [], 'wrong' => []];
        } catch (BadInput $bad) {
            $missing = array_flip($bad->missing);

            return [
                'answer' => null,
                'missing' => array_intersect_key($bad->errors, $missing),
                'wrong' => array_diff_key($bad->errors, $missing),
            ];
        }
    }
}
