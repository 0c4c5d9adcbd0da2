<?php

declare(strict_types=1);

namespace Tests\Stations;

use CurlHandle;
use Database\Seeders\DemoPeople;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\StartsIt;
use Tools\Trial\FreePort;

/** Signing in over TLS by real web servers, as the two ways beyond this machine that docs/running.md names. */
final class TlsTest extends TestCase
{
    use StartsIt;

    private const NAME = 'tally.example';

    /** @return array<string, string> a certificate of this test, as settings */
    private function certificate(): array
    {
        $folder = $this->folder();
        $made = Process::fromShellCommandline(
            "openssl req -x509 -newkey rsa:2048 -nodes -days 2 -subj /CN=tally.example -keyout {$folder}/key.pem -out {$folder}/cert.pem",
        );
        self::assertSame(0, $made->run(), $made->getErrorOutput());

        return ['TALLY_TLS_CERT' => "{$folder}/cert.pem", 'TALLY_TLS_KEY' => "{$folder}/key.pem", 'TALLY_HOSTS' => self::NAME];
    }

    /**
     * @param  array<string, string>|null  $form
     * @param  list<string>  $headers
     * @return array{int, string} status and headers
     */
    private function ask(CurlHandle $curl, string $url, ?array $form = null, array $headers = []): array
    {
        curl_setopt_array($curl, [
            CURLOPT_URL => $url === '' ? '/' : $url,
            CURLOPT_RETURNTRANSFER => true,
            CURLOPT_HEADER => true,
            CURLOPT_SSL_VERIFYPEER => false,
            CURLOPT_SSL_VERIFYHOST => 0,
            CURLOPT_HTTPHEADER => $headers,
        ]);
        curl_setopt_array(
            $curl,
            $form === null ? [CURLOPT_HTTPGET => true] : [CURLOPT_POST => true, CURLOPT_POSTFIELDS => http_build_query($form)],
        );
        $said = (string) curl_exec($curl);

        return [curl_getinfo($curl, CURLINFO_RESPONSE_CODE), explode("\r\n\r\n", $said, 2)[0]];
    }

    private function mustLetIn(int $port, string $what): void
    {
        $at = 'https://'.self::NAME.($port === 443 ? '' : ":{$port}");
        $curl = curl_init();
        curl_setopt_array($curl, [CURLOPT_COOKIEFILE => '', CURLOPT_RESOLVE => [self::NAME.":{$port}:127.0.0.1"]]);
        [$status, $head] = $this->ask($curl, "{$at}/sign-in");
        self::assertSame(200, $status, "{$what}: {$head}");
        preg_match_all('/^set-cookie: ([^=]+)=([^;]+)(.*)$/im', $head, $cookies, PREG_SET_ORDER);
        self::assertCount(2, $cookies);
        foreach ($cookies as $cookie) {
            self::assertStringContainsStringIgnoringCase('secure', $cookie[3], "{$what}: {$cookie[1]}");
        }
        self::assertMatchesRegularExpression('/^strict-transport-security/im', $head);
        $token = urldecode(array_column($cookies, 2, 1)['XSRF-TOKEN'] ?? '');
        $form = ['name' => 'Wren', 'password' => 'of the demo'];
        // From another page, and from the same name at another port, it is not carried out.
        foreach (['https://tally.example.evil.example', 'https://'.self::NAME.':9', 'http://'.self::NAME] as $other) {
            [$status] = $this->ask($curl, "{$at}/sign-in", $form, ["Origin: {$other}", "X-XSRF-TOKEN: {$token}"]);
            self::assertSame(403, $status, "{$what}: from {$other}");
        }
        [$status, $head] = $this->ask($curl, "{$at}/sign-in", $form, ["Origin: {$at}", "X-XSRF-TOKEN: {$token}"]);
        self::assertSame(302, $status, "{$what}: {$head}");
        self::assertStringContainsString("{$at}/intake", $head);
        self::assertSame(200, $this->ask($curl, "{$at}/intake")[0], $what);
    }

    /** @param  array<string, string>  $settings */
    private function startWithPeople(array $settings): void
    {
        $start = $this->start(['--detach', '--empty'], $settings);
        self::assertSame(0, $start->run(), $start->getErrorOutput());
        $seed = $this->asStarted(['php', 'artisan', 'db:seed', '--class', DemoPeople::class, '--force'], $settings);
        self::assertSame(0, $seed->run(), $seed->getErrorOutput());
    }

    public function test_on_a_port_of_its_own_and_on_443(): void
    {
        $certificate = $this->certificate();
        $ports = posix_geteuid() === 0 ? [null, 443] : [null];
        foreach ($ports as $port) {
            $settings = [...$certificate, ...$port === null ? [] : ['APP_PORT' => (string) $port]];
            $port === null ? $this->startWithPeople($settings) : self::assertSame(0, $this->start(['--detach'], $settings)->run());
            $this->mustLetIn($port ?? $this->port, 'with a certificate of its own');
            self::assertSame(0, $this->start(['--stop'])->run());
        }
    }

    public function test_behind_a_proxy_that_ends_tls(): void
    {
        $certificate = $this->certificate();
        $this->startWithPeople(['TALLY_BEHIND_PROXY' => '1', 'TALLY_HOSTS' => self::NAME]);
        $folder = $this->folder();
        $ports = [FreePort::take(), ...posix_geteuid() === 0 ? [443] : []];
        $listens = implode('', array_map(fn (int $port): string => "listen 127.0.0.1:{$port} ssl;", $ports));
        // As docs/running.md has it.
        file_put_contents("{$folder}/nginx.conf", <<<CONF
        daemon off; pid {$folder}/pid; error_log {$folder}/error.log;
        events {}
        http {
            access_log off; client_body_temp_path {$folder}/a; proxy_temp_path {$folder}/b; fastcgi_temp_path {$folder}/c;
            uwsgi_temp_path {$folder}/d; scgi_temp_path {$folder}/e;
            server {
                {$listens}
                ssl_certificate {$certificate['TALLY_TLS_CERT']}; ssl_certificate_key {$certificate['TALLY_TLS_KEY']};
                location / {
                    proxy_pass http://127.0.0.1:{$this->port};
                    proxy_set_header Host \$http_host;
                    proxy_set_header X-Forwarded-Proto \$scheme;
                    proxy_set_header X-Forwarded-For \$remote_addr;
                }
            }
        }
        CONF);
        $proxy = new Process(['/usr/sbin/nginx', '-e', "{$folder}/error.log", '-c', "{$folder}/nginx.conf"], timeout: null);
        $proxy->start();
        try {
            foreach ($ports as $port) {
                self::until(fn (): bool => @fsockopen('127.0.0.1', $port) !== false, 'the proxy listens');
                $this->mustLetIn($port, 'behind a proxy');
            }
        } finally {
            $proxy->stop(5);
        }
    }
}
