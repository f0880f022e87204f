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
        $this->door = $this->yard->port + 3;
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

    public function test_the_authority_signs_for_its_house_alone_and_no_worker_reads_its_key(): void
    {
        $port = ['--port', (string) $this->yard->port];
        // What the framework makes anew at the start is read by whoever answers, too.
        array_map(unlink(...), (array) glob(dirname(__DIR__, 2).'/bootstrap/cache/*.php'));
        $this->yard->start('--lan', '--demo', '--host', 'yard.example', '--door-port', (string) $this->door);
        $tls = $this->yard->state().'/tls';
        foreach (['DNS:localhost', 'DNS:barn.local', 'DNS:yard.example', 'IP:192.168.4.7', 'IP:10.1.2.3', 'IP:fd12::7'] as $own) {
            self::assertTrue($this->signed($tls, $own), $own);
        }
        foreach (['DNS:bank.example', 'DNS:example', 'IP:203.0.113.5', 'IP:2001:db8::5', 'DNS:evil.localhost.example'] as $foreign) {
            self::assertFalse($this->signed($tls, $foreign), $foreign);
        }
        [$code, $out] = $this->yard->jardinier('backup', $open = sys_get_temp_dir().'/open-'.bin2hex(random_bytes(4)), ...$port);
        self::assertSame(0, $code, $out);
        exec('tar -tzf '.escapeshellarg($open), $members);
        unlink($open);
        self::assertSame(['keys/app.key'], array_values(preg_grep('~^keys/.~', $members) ?: []), 'its key lies in no open backup');
        if (posix_geteuid() === 0) {
            $workers = array_filter($this->yard->processes(), fn (int $pid): bool => str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), 'php-fpm: pool'));
            self::assertNotSame([], $workers);
            foreach ($workers as $pid) {
                self::assertNotSame(0, fileowner("/proc/{$pid}"), 'answered by an account without rights');
            }
            foreach (['tls/authority.key', 'tls/served.key', '.env', 'backups', 'db', 'run/supervisor.sock'] as $closed) {
                exec('setpriv --reuid=www-data --regid=www-data --clear-groups test -r '.escapeshellarg($this->yard->state()."/{$closed}"), result_code: $code);
                self::assertSame($closed === 'backups' ? 0 : 1, $code, $closed);
            }
        }
        $old = file_get_contents("{$tls}/authority.crt");
        [$code, $out] = $this->yard->jardinier('certificates', '--renew-authority', ...$port);
        self::assertSame(0, $code, $out);
        self::assertStringContainsString('Each phone of the house trusts it anew', $out);
        self::assertNotSame($old, file_get_contents("{$tls}/authority.crt"));
        $this->yard->jardinier('stop', ...$port);
        [$code, $out] = $this->yard->jardinier('start', '--detach', '--lan', '--host', 'shed.example', '--door-port', (string) $this->door, ...$port);
        self::assertSame(1, $code);
        self::assertStringContainsString('may not sign for all of', $out);
        self::assertSame(0, $this->yard->jardinier('certificates', '--renew-authority', ...$port)[0]);
        $this->yard->start('--lan', '--host', 'shed.example', '--door-port', (string) $this->door);
        self::assertTrue($this->signed($tls, 'DNS:shed.example'));
    }

    public function test_other_names_and_old_ciphers_get_no_answer(): void
    {
        $this->yard->start('--lan', '--host', '127.0.0.2', '--door-port', (string) $this->door);
        $status = function (string $address, string $host): int {
            $request = curl_init($address);
            curl_setopt_array($request, [CURLOPT_RETURNTRANSFER => true, CURLOPT_SSL_VERIFYPEER => false, CURLOPT_SSL_VERIFYHOST => 0, CURLOPT_HTTPHEADER => ["Host: {$host}"]]);
            curl_exec($request);

            return (int) curl_getinfo($request, CURLINFO_RESPONSE_CODE);
        };
        $there = "https://127.0.0.1:{$this->yard->port}/api/session";
        $name = strtolower(php_uname('n'));
        foreach (['localhost', '127.0.0.1', '[::1]', '127.0.0.2', $name, explode('.', $name)[0].'.local'] as $own) {
            self::assertSame(200, $status($there, "{$own}:{$this->yard->port}"), $own);
            self::assertSame(200, $status("http://127.0.0.1:{$this->door}/", $own), "{$own} at the door");
        }
        foreach (['evil.example', 'localhost.evil.example', '192.0.2.1', ''] as $foreign) {
            self::assertContains($status($there, $foreign), $foreign === '' ? [400, 421] : [421], $foreign);
            self::assertContains($status("http://127.0.0.1:{$this->door}/", $foreign), $foreign === '' ? [400, 421] : [421], "{$foreign} at the door");
        }
        $shakes = function (string $options): bool {
            exec("openssl s_client -connect 127.0.0.1:{$this->yard->port} {$options} </dev/null 2>/dev/null | grep -q 'Cipher is [^(]'", result_code: $code);

            return $code === 0;
        };
        self::assertTrue($shakes('-tls1_3'));
        self::assertTrue($shakes('-tls1_2'));
        foreach (['-tls1_1', '-tls1_2 -cipher ECDHE-ECDSA-AES128-SHA256', '-tls1_2 -cipher ECDHE-ECDSA-AES128-SHA', '-tls1_2 -cipher ECDHE-ECDSA-AES256-SHA384'] as $old) {
            self::assertFalse($shakes($old), $old);
        }
    }

    /** Whether a certificate for a name, signed by the house's authority, is believed. */
    private function signed(string $tls, string $name): bool
    {
        $script = sprintf(
            'cd %s && openssl ecparam -name prime256v1 -genkey -noout -out try.key && printf "subjectAltName=%s\\n" >try.ext && openssl req -new -key try.key -subj /O=x'
            .' | openssl x509 -req -CA authority.crt -CAkey authority.key -set_serial 77 -days 5 -out try.crt -extfile try.ext && openssl verify -CAfile authority.crt try.crt',
            escapeshellarg($tls),
            $name,
        );
        exec("({$script}) >/dev/null 2>&1", result_code: $code);

        return $code === 0;
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
