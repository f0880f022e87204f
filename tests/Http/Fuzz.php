<?php

declare(strict_types=1);

namespace Tests\Http;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Requests made up from the contract, from a seed: right ones, almost right ones, hostile ones. */
final class Fuzz
{
    private const DEEPEST = 7;

    private const TEXTS = [
        'Engine oil',
        'Heron',
        '412.6',
        '1 3/4',
        '2026-05-01',
        '2026-05-14T09:00:00Z',
        'leaks',
        'engine_oil',
        '04-01',
        '250 h',
        '3.8 qt',
        '-14 °C',
        'heron 412.6',
        'Europe/London',
    ];

    /** How many parts of a hundred are wrong: right requests, almost right ones, hostile ones. */
    private const WRONG = [0, 4, 4, 12, 45];

    private Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    /** @param  array<string, string>  $known  what stands for each placeholder of an address */
    public function request(string $operation, array $known): MadeUp
    {
        $wrong = $this->oneOf(self::WRONG);
        [$method, $path] = explode(' ', $operation);
        $address = (string) preg_replace_callback(
            '/\{(\w+)\}/',
            fn (array $part): string => $this->chance(intdiv($wrong, 2))
                ? rawurlencode(
                    $this->oneOf(['abc', '99999999999999999999', '-1', '0', "a\0b", str_repeat('x', 400), "\u{FFFD}"]),
                )
                : $known[$part[1]],
            $path,
        );
        $query = [];
        foreach (Contract::read()->parameters($operation) as $name => $schema) {
            if ($this->chance(40)) {
                $query[$name] = $this->value($schema, $wrong);
            }
        }
        $schema = Contract::read()->body($operation);
        $body = $schema === null
            ? ''
            : (string) json_encode($this->value($schema, $wrong), JSON_INVALID_UTF8_SUBSTITUTE);
        // References to what there is reach deeper than any made up.
        $body = (string) preg_replace_callback(
            '/"(machine|rule)_id":\d+/',
            fn (array $part): string => "\"{$part[1]}_id\":{$known[$part[1]]}",
            $body,
        );
        $body = (string) preg_replace(
            ['/"tasks":\[\d+(,\d+)*\]/', '/"entry":\d+/'],
            ["\"tasks\":[{$known['task']}]",
                "\"entry\":{$known['entry']}",
            ], $body);
        $type = 'application/json';
        if ($wrong > 10 && $this->chance(10)) {
            [$type, $body] = $this->oneOf(
                [
                    ['application/x-www-form-urlencoded', 'name=%ff&note=%ff&values[a]=%00&tasks[]=1'],
                    [$type, substr($body, 0, intdiv(strlen($body), 2))],
                    [$type, '[1,2'],
                    [$type, '7'],
                    ['text/plain', $body],
                    [$type, '{"a":1e999}'],
                ],
            );
        }

        return new MadeUp($method, $address.($query === [] ? '' : '?'.http_build_query($query)), $type, $body, [
            'Content-Type' => $type,
            'Accept' => $this->chance(90) ? 'application/json' : 'text/html',
            'If-Match' => $this->chance(90) ? '"1"' : $this->oneOf(['', '"', 'W/"9"', '99999999999999999999']),
            'Jardinier-Device' => $this->chance(80) ? 'phone' : "\xff\xfe",
            ...$this->chance(20) ? ['Idempotency-Key' => bin2hex($this->random->getBytes(4))] : [],
        ]);
    }

    public function chance(int $percent): bool
    {
        return $this->random->getInt(1, 100) <= $percent;
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $choices
     * @return T
     */
    public function oneOf(array $choices): mixed
    {
        return $choices[$this->random->getInt(0, count($choices) - 1)];
    }

    /**
     * A value that the schema allows, of which each part is something else in so many cases of a hundred.
     *
     * @param  array<string, mixed>  $schema
     */
    public function value(array $schema, int $wrong, int $depth = 0): mixed
    {
        if ($this->chance($wrong)) {
            return $this->hostile();
        }
        $schema = Contract::read()->resolved($schema);
        if (isset($schema['allOf'])) {
            return array_merge(
                ...array_map(
                    fn (array $part): array => (array) $this->value($part, $wrong, $depth + 1),
                    $schema['allOf'],
                ),
            );
        }
        foreach (['oneOf', 'anyOf'] as $either) {
            if (isset($schema[$either])) {
                return $this->value($this->oneOf($schema[$either]), $wrong, $depth + 1);
            }
        }
        if (isset($schema['enum'])) {
            return $this->oneOf($schema['enum']);
        }
        if (array_key_exists('const', $schema)) {
            return $schema['const'];
        }
        $type = $this->oneOf((array) ($schema['type'] ?? 'string'));

        return match (true) {
            $depth > self::DEEPEST => null,
            $type === 'object' => $this->object($schema, $wrong, $depth),
            $type === 'array' => array_map(
                fn (): mixed => $this->value($schema['items'] ?? [], $wrong, $depth + 1),
                range(1, $this->random->getInt($schema['minItems'] ?? 0, max($schema['minItems'] ?? 0, 3)) ?: 1),
            ),
            $type === 'integer' => $this->random->getInt($schema['minimum'] ?? 0, $schema['maximum'] ?? 60),
            $type === 'number' => $this->random->getInt(0, 1000) / 10,
            $type === 'boolean' => $this->chance(50),
            $type === 'null' => null,
            ($schema['format'] ?? '') === 'uuid' => self::uuid($this->random),
            default => $this->oneOf($schema['examples'] ?? self::TEXTS),
        };
    }

    /** What no person types, and programs and strangers send. */
    public function hostile(): mixed
    {
        return match ($this->random->getInt(0, 23)) {
            0 => null,
            1 => true,
            2 => [],
            3 => [[]],
            4 => ['a' => ['b' => ['c' => 1]]],
            5 => -1,
            6 => 0,
            7 => PHP_INT_MAX,
            8 => 1e300,
            9 => -0.000001,
            10 => str_repeat('9', 30),
            11 => '99999999999999999999',
            12 => '1e999',
            13 => '',
            14 => '   ',
            15 => "a\0b",
            16 => str_repeat('ä', 5000),
            17 => '9999-12-31',
            18 => '0000-00-00T00:00:00Z',
            19 => '2026-02-30',
            20 => '1/0',
            21 => "'; drop table people; --",
            22 => "\u{202E}🚜\u{FEFF}",
            default => range(1, 300),
        };
    }

    /**
     * @param  array<string, mixed>  $schema
     * @return array<string, mixed>
     */
    private function object(array $schema, int $wrong, int $depth): array
    {
        $made = [];
        foreach ($schema['properties'] ?? [] as $name => $property) {
            if (in_array($name, $schema['required'] ?? [], true) ? ! $this->chance(intdiv($wrong, 3)) : $this->chance(45)) {
                $made[$name] = $this->value($property, $wrong, $depth + 1);
            }
        }
        if ($this->chance(intdiv($wrong, 2))) {
            $made[$this->oneOf(['__proto__', '0', '*', 'a.b', 'id', "\u{FFFD}"])] = $this->hostile();
        }

        return $made;
    }

    private static function uuid(Randomizer $random): string
    {
        $hex = bin2hex($random->getBytes(16));

        return substr($hex, 0, 8).'-'.substr($hex, 8, 4).'-4'.substr($hex, 13, 3).'-8'.substr($hex, 17, 3).'-'.substr($hex, 20, 12);
    }
}
