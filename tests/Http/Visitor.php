<?php

declare(strict_types=1);

namespace Tests\Http;

/** Somebody signed in to the served application, over a real connection. */
final class Visitor
{
    private string $jar;

    public function __construct(private readonly string $address, string $name, string $password)
    {
        $this->jar = (string) tempnam(sys_get_temp_dir(), 'visitor');
        $this->ask('POST', '/session', ['sign_in_name' => $name, 'password' => $password]);
    }

    public function __destruct()
    {
        @unlink($this->jar);
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @param  list<string>  $headers
     * @return array{status: int, body: array<string, mixed>|null}
     */
    public function ask(string $method, string $path, ?array $body = null, array $headers = []): array
    {
        return self::together([$this->request($method, $path, $body, $headers)])[0];
    }

    /**
     * @param  array<string, mixed>|null  $body
     * @param  list<string>  $headers
     */
    public function request(
        string $method,
        string $path,
        ?array $body = null,
        array $headers = [],
        ?string $origin = null,
    ): \CurlHandle {
        $request = curl_init("{$this->address}/api{$path}");
        curl_setopt_array($request, [
            CURLOPT_CUSTOMREQUEST => $method,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_COOKIEFILE => $this->jar,
            CURLOPT_COOKIEJAR => $this->jar,
            CURLOPT_TIMEOUT => 120,
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_HTTPHEADER => [
                'Accept: application/json',
                'Content-Type: application/json',
                'Origin: '.($origin ?? $this->address),
                ...$headers,
            ],
        ]);
        if ($body !== null) {
            curl_setopt($request, CURLOPT_POSTFIELDS, json_encode($body));
        }

        return $request;
    }

    public function raw(MadeUp $made): \CurlHandle
    {
        $request = $this->request($made->method, $made->address);
        curl_setopt(
            $request,
            CURLOPT_HTTPHEADER,
            [
                "Origin: {$this->address}",
                ...array_map(
                    fn (string $name, string $value): string => "{$name}: {$value}",
                    array_keys($made->headers),
                    $made->headers,
                ),
            ],
        );
        if ($made->body !== '') {
            curl_setopt($request, CURLOPT_POSTFIELDS, $made->body);
        }

        return $request;
    }

    /**
     * @param  array<string, string|\CURLFile>  $form
     * @param  list<string>  $headers
     */
    public function upload(string $path, array $form, array $headers = []): \CurlHandle
    {
        $request = $this->request('POST', $path);
        curl_setopt_array(
            $request,
            [
                CURLOPT_POSTFIELDS => $form,
                CURLOPT_HTTPHEADER => ['Accept: application/json', "Origin: {$this->address}", ...$headers],
            ],
        );

        return $request;
    }

    /**
     * Sends requests at the same time.
     *
     * @param  list<\CurlHandle>  $requests
     * @return list<array{status: int, body: array<string, mixed>|null}>
     */
    public static function together(array $requests): array
    {
        $all = curl_multi_init();
        foreach ($requests as $request) {
            curl_multi_add_handle($all, $request);
        }
        do {
            curl_multi_exec($all, $running);
            curl_multi_select($all, 0.1);
        } while ($running > 0);
        $answers = [];
        foreach ($requests as $request) {
            $answers[] = [
                'status' => (int) curl_getinfo($request, CURLINFO_RESPONSE_CODE),
                'body' => json_decode((string) curl_multi_getcontent($request), true),
            ];
            curl_multi_remove_handle($all, $request);
            curl_setopt($request, CURLOPT_COOKIELIST, 'FLUSH');
        }

        return $answers;
    }
}
