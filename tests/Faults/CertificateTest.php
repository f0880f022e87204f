<?php

declare(strict_types=1);

namespace Tests\Faults;

use PHPUnit\Framework\TestCase;
use Tests\Started;

/** The certificate outlives its end and the computer's change of address, and one's own is taken as it is. */
final class CertificateTest extends TestCase
{
    private Started $yard;

    private int $door;

    protected function setUp(): void
    {
        $this->yard = new Started('https');
        $this->door = Started::freePort();
    }

    protected function tearDown(): void
    {
        $this->yard->end();
    }

    public function test_a_certificate_is_renewed_when_it_ends_or_names_change_and_ones_own_is_taken_as_it_is(): void
    {
        $own = sys_get_temp_dir().'/own-'.bin2hex(random_bytes(4));
        exec(sprintf('openssl req -x509 -newkey ec -pkeyopt ec_paramgen_curve:prime256v1 -nodes -keyout %1$s.key -out %1$s.crt -days 30 -subj /CN=yard.example -addext subjectAltName=DNS:yard.example 2>/dev/null', escapeshellarg($own)));
        $port = ['--port', (string) $this->yard->port];
        [$code, $out] = $this->yard->jardinier('start', '--lan', '--cert', "{$own}.crt", ...$port);
        self::assertSame([1, "jardinier: A certificate of your own needs both: --cert FILE and --key FILE.\n"], [$code, $out]);
        [$code, $out] = $this->yard->jardinier('start', '--lan', '--cert', "{$own}.crt", '--key', __FILE__, ...$port);
        self::assertStringContainsString('is not the key of', $out);

        $lan = ['--empty', '--lan', '--door-port', (string) $this->door];
        $this->yard->start(...$lan);
        $authority = (string) file_get_contents($this->yard->state().'/tls/authority.crt');
        $first = $this->shown();
        self::assertStringContainsString('It holds until ', $this->yard->jardinier('certificates', ...$port)[1]);
        // As if the computer had had another address when it was made.
        file_put_contents($this->yard->state().'/tls/served.names', "IP:192.0.2.77\n");
        self::assertStringContainsString('Made anew.', $this->yard->jardinier('certificates', ...$port)[1]);
        $this->yard->until(fn (): bool => $this->shown() !== $first);
        self::assertSame($authority, file_get_contents($this->yard->state().'/tls/authority.crt'), 'phones trust it as before');
        $this->yard->jardinier('stop', ...$port);

        $this->yard->start(...$lan, ...['--host', 'yard.example', '--cert', "{$own}.crt", '--key', "{$own}.key"]);
        self::assertSame(openssl_x509_fingerprint((string) file_get_contents("{$own}.crt")), $this->shown());
        [$status, $headers] = $this->yard->ask('/api/session');
        self::assertSame(200, $status);
        exec('rm -f '.escapeshellarg($own).'.*');
    }

    /** The fingerprint of the certificate that it shows. */
    private function shown(): string
    {
        $context = stream_context_create(['ssl' => ['capture_peer_cert' => true, 'verify_peer' => false, 'verify_peer_name' => false]]);
        $stream = stream_socket_client("ssl://127.0.0.1:{$this->yard->port}", context: $context, timeout: 5);
        self::assertIsResource($stream);

        return (string) openssl_x509_fingerprint(stream_context_get_params($stream)['options']['ssl']['peer_certificate']);
    }
}
