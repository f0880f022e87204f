<?php

declare(strict_types=1);

namespace Tests\Http;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\Yaml\Yaml;

/** Holds every answer against docs/openapi.yaml. */
final class Contract
{
    private const ID = 'https://jardinier.test/openapi.json';

    private static ?self $read = null;

    private Validator $validator;

    /** @param  array<string, mixed>  $document */
    private function __construct(private readonly array $document)
    {
        $this->validator = new Validator;
        $this->validator->resolver()?->registerRaw(json_decode((string) json_encode($document)), self::ID);
    }

    public static function read(): self
    {
        return self::$read ??= new self(Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml'));
    }

    /** @return list<string> `GET /machines/{machine}` */
    public function operations(): array
    {
        $operations = [];
        foreach ($this->document['paths'] as $path => $item) {
            foreach (array_intersect(array_keys($item), ['get', 'post', 'put', 'patch', 'delete']) as $method) {
                $operations[] = strtoupper($method).' '.$path;
            }
        }

        return $operations;
    }

    public function holds(string $method, string $path, int $status, ?string $type, string $body): void
    {
        $template = $this->template($path);
        Assert::assertNotNull($template, "The contract knows no address like {$path}");
        $operation = $this->document['paths'][$template][strtolower($method)] ?? null;
        Assert::assertNotNull($operation, "The contract knows no {$method} {$template}");
        $key = isset($operation['responses'][$status]) ? (string) $status : 'default';
        Assert::assertArrayHasKey($key, $operation['responses'], "{$method} {$template} has no answer {$status} in the contract: {$body}");
        Assert::assertFalse($key === 'default' && $status < 400, "{$method} {$template} has no answer {$status} in the contract");
        $pointer = ['paths', $template, strtolower($method), 'responses', $key];
        $response = $operation['responses'][$key];
        if (isset($response['$ref'])) {
            $pointer = explode('/', substr($response['$ref'], 2));
            $response = $this->document['components']['responses'][$pointer[2]];
        }
        if (! isset($response['content'])) {
            Assert::assertSame('', $body);

            return;
        }
        $type = explode(';', (string) $type)[0];
        Assert::assertArrayHasKey($type, $response['content'], "{$method} {$template} answers {$status} as {$type}");
        if (isset($response['content'][$type]['schema'])) {
            $this->matches(str_ends_with($type, 'json') ? json_decode($body) : $body, [...$pointer, 'content', $type, 'schema'], "{$method} {$template} {$status}");
        }
    }

    /** @param  list<string>  $pointer */
    private function matches(mixed $data, array $pointer, string $what): void
    {
        $fragment = implode('/', array_map(fn (string $part): string => rawurlencode(strtr($part, ['~' => '~0', '/' => '~1'])), $pointer));
        $result = $this->validator->validate($data, self::ID.'#/'.$fragment);
        $error = $result->error();
        Assert::assertNull($error, $error === null ? '' : "{$what} breaks the contract: ".json_encode((new ErrorFormatter)->formatFlat($error)));
    }

    private function template(string $path): ?string
    {
        foreach ([0, 1, 2] as $placeholders) {
            foreach (array_keys($this->document['paths']) as $template) {
                if (substr_count($template, '{') === $placeholders && preg_match('~^'.preg_replace('~\\\\\{\w+\\\\\}~', '[^/]+', preg_quote($template, '~')).'$~', $path)) {
                    return $template;
                }
            }
        }

        return null;
    }
}
