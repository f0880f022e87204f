<?php

declare(strict_types=1);

namespace Tests\Mutants;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/** A rule made wrong in one place. */
final readonly class Mutant
{
    /**
     * @param  string  $file  below `core/`
     * @param  string  $member  the method or constant that the rule stands in; empty for anywhere in the file
     * @param  string  $rule  as it is written there, spaces aside, once only
     * @param  string  $wrong  what stands there instead
     * @param  string  $equivalent  why no test can tell the two apart; empty where one must
     */
    public function __construct(
        public string $file,
        public string $member,
        public string $rule,
        public string $wrong,
        public string $equivalent = '',
    ) {}

    public function name(): string
    {
        return "{$this->file}, {$this->member}: {$this->rule} → {$this->wrong}";
    }

    /** The suite's folder that stands nearest to the rule. */
    public function room(): string
    {
        return explode('/', $this->file)[0];
    }

    /**
     * The whole file with the rule made wrong.
     *
     * @throws \LogicException where the rule does not stand there, or more than once
     */
    public function code(string $core): string
    {
        $parser = (new ParserFactory)->createForHostVersion();
        $code = (string) file_get_contents("{$core}/{$this->file}");
        [$from, $to] = $this->member === '' ? [0, strlen($code)] : $this->member($parser->parse($code) ?? []);
        $rule = array_slice(self::words(self::tokens("<?php {$this->rule}")), 1);
        $found = [];
        $tokens = array_values(array_filter(
            self::tokens($code),
            fn (\PhpToken $token): bool => $token->pos >= $from && $token->pos <= $to,
        ));
        foreach (array_keys($tokens) as $at) {
            $here = array_slice($tokens, $at, count($rule));
            if (self::words($here) === $rule) {
                $last = $here[array_key_last($here)];
                $found[] = [$tokens[$at]->pos, $last->pos + strlen($last->text)];
            }
        }
        if (count($found) !== 1) {
            throw new \LogicException("{$this->name()}: the rule stands there ".count($found).' times.');
        }
        [[$begins, $ends]] = $found;
        $mutated = substr($code, 0, $begins).$this->wrong.substr($code, $ends);
        $parser->parse($mutated);

        return $mutated;
    }

    /**
     * @param  array<Node>  $file
     * @return array{int, int} where it begins and where it ends
     */
    private function member(array $file): array
    {
        $members = (new NodeFinder)->find($file, fn (Node $node): bool => match (true) {
            $node instanceof Node\Stmt\ClassMethod => $node->name->toString() === $this->member,
            $node instanceof Node\Stmt\ClassConst => $node->consts[0]->name->toString() === $this->member,
            default => false,
        });
        if (count($members) !== 1) {
            throw new \LogicException("{$this->name()}: there is no such member.");
        }

        return [$members[0]->getStartFilePos(), $members[0]->getEndFilePos()];
    }

    /** @return list<\PhpToken> without spaces and comments */
    private static function tokens(string $code): array
    {
        return array_values(array_filter(
            \PhpToken::tokenize($code),
            fn (\PhpToken $token): bool => ! $token->isIgnorable() || $token->is(T_OPEN_TAG),
        ));
    }

    /**
     * @param  list<\PhpToken>  $tokens
     * @return list<string>
     */
    private static function words(array $tokens): array
    {
        return array_map(fn (\PhpToken $token): string => $token->text, $tokens);
    }
}
