<?php

declare(strict_types=1);

namespace App\Logbook\Told;

use App\Contract\Problem;
use App\Contract\Refusal;

/** What there is to ask of something before it is written, and with it until somebody has answered. */
final readonly class Question
{
    private const WRITTEN_ALL_THE_SAME = 'If it is so, say why: it is written down.';

    /**
     * @param  string  $field  that it is asked beside
     * @param  string  $do  what may be done about it
     * @param  bool  $isAskedFirst  whether whoever stands there answers before it is written
     */
    private function __construct(
        public string $field,
        public string $asks,
        public string $do = self::WRITTEN_ALL_THE_SAME,
        public bool $isAskedFirst = true,
    ) {}

    public static function first(string $field, string $asks, string $do = self::WRITTEN_ALL_THE_SAME): self
    {
        return new self($field, $asks, $do);
    }

    /** @param  non-empty-list<self>  $questions  asked before anything is written */
    public static function refusal(array $questions): Refusal
    {
        $says = array_map(fn (self $question): string => "{$question->asks} {$question->do}", $questions);
        $fields = [];
        foreach ($questions as $question) {
            $fields[$question->field][] = $question->asks;
        }

        return new Refusal(new Problem(409, 'unlikely', 'Can this be right?', implode(' ', array_unique($says)), $fields));
    }

    /** It is written as it was told, and asked about afterwards. */
    public static function afterwards(string $asks): self
    {
        return new self('', $asks, isAskedFirst: false);
    }
}
