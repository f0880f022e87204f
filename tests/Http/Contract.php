<?php

declare(strict_types=1);

namespace Tests\Http;

use Core\Reckoner\Catalogue;
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

    /** @return list<string> the calculators by name */
    public function calculators(): array
    {
        return Catalogue::names();
    }

    /**
     * @param  array<string, mixed>  $part
     * @return array<string, mixed> what it refers to, where it refers to something
     */
    public function resolved(array $part): array
    {
        while (isset($part['$ref'])) {
            $part = array_reduce(
                explode('/', substr($part['$ref'], 2)),
                fn (array $at, string $name): array => $at[$name],
                $this->document,
            );
        }

        return $part;
    }

    /** @return array<string, mixed>|null the schema of what is sent */
    public function body(string $operation): ?array
    {
        $body = $this->operation($operation)['requestBody'] ?? null;

        return $body === null ? null : $this->resolved($body)['content']['application/json']['schema'] ?? null;
    }

    /** @return array<string, array<string, mixed>> schemas of the parameters after the question mark */
    public function parameters(string $operation): array
    {
        $parameters = array_map($this->resolved(...), $this->operation($operation)['parameters'] ?? []);

        return array_column(
            array_filter($parameters, fn (array $parameter): bool => $parameter['in'] === 'query'),
            'schema',
            'name',
        );
    }

    /** @return array<string, mixed> */
    private function operation(string $operation): array
    {
        [$method, $path] = explode(' ', $operation);

        return $this->document['paths'][$path][strtolower($method)];
    }

    public function holds(string $method, string $path, int $status, ?string $type, string $body): void
    {
        $template = $this->template($path);
        Assert::assertNotNull($template, "The contract knows no address like {$path}");
        $operation = $this->document['paths'][$template][strtolower($method)] ?? null;
        Assert::assertNotNull($operation, "The contract knows no {$method} {$template}");
        $key = isset($operation['responses'][$status]) ? (string) $status : 'default';
        Assert::assertArrayHasKey(
            $key,
            $operation['responses'],
            "{$method} {$template} has no answer {$status} in the contract: {$body}",
        );
        Assert::assertFalse(
            $key === 'default' && $status < 400,
            "{$method} {$template} has no answer {$status} in the contract",
        );
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
            $this->matches(
                str_ends_with($type, 'json') ? json_decode($body) : $body,
                [...$pointer, 'content', $type, 'schema'],
                "{$method} {$template} {$status}",
            );
        }
    }

    /** @param  list<string>  $pointer */
    private function matches(mixed $data, array $pointer, string $what): void
    {
        $fragment = implode(
            '/',
            array_map(fn (string $part): string => rawurlencode(strtr($part, ['~' => '~0', '/' => '~1'])), $pointer),
        );
        $result = $this->validator->validate($data, self::ID.'#/'.$fragment);
        $error = $result->error();
        Assert::assertNull(
            $error,
            $error === null
                ? ''
                : "{$what} breaks the contract: ".json_encode((new ErrorFormatter)->formatFlat($error)),
        );
    }

    private function template(string $path): ?string
    {
        foreach ([0, 1, 2] as $placeholders) {
            foreach (array_keys($this->document['paths']) as $template) {
                if (
                    substr_count($template, '{') === $placeholders
                    && preg_match(
                        '~^'.preg_replace('~\\\\\{\w+\\\\\}~', '[^/]+', preg_quote($template, '~')).'$~',
                        $path,
                    )
                ) {
                    return $template;
                }
            }
        }

        return null;
    }
}
