<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Only own host names are answered, and only own pages may write. */
final class DoorsTest extends TestCase
{
    /** @return iterable<string, array{string, int}> */
    public static function hosts(): iterable
    {
        yield 'loopback' => ['127.0.0.1:8470', 200];
        yield 'its name' => ['localhost:8470', 200];
        yield 'its name without a port' => ['localhost', 200];
        yield 'loopback of IPv6' => ['[::1]:8470', 200];
        yield 'a name that points here' => ['rebound.example', 403];
        yield 'a name that ends like ours' => ['evil-localhost', 403];
        yield 'a name that begins like ours' => ['localhost.evil.example:8470', 403];
        yield 'an address of the network' => ['192.168.1.20:8470', 403];
    }

    #[DataProvider('hosts')]
    public function test_only_own_host_names_are_answered(string $host, int $status): void
    {
        $response = $this->call('GET', "http://{$host}/intake");
        self::assertSame($status, $response->getStatusCode());
        if ($status === 403) {
            self::assertStringContainsString('answers only under its own names', (string) $response->getContent());
        }
    }

    public function test_a_request_that_another_page_sends_is_not_carried_out(): void
    {
        $card = $this->card();
        $response = $this->post(
            "/cards/{$card->tag}/runs",
            ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id],
            ['Origin' => 'http://elsewhere.example'],
        );
        $response->assertForbidden();
        self::assertStringContainsString('came from another page', (string) $response->getContent());
        $this->assertDatabaseCount('runs', 0);
    }

    public function test_its_own_pages_may_write(): void
    {
        $card = $this->card();
        $this->post(
            "/cards/{$card->tag}/runs",
            ['kind' => 'speed', 'slot' => $this->slot('Tray 3')->id],
            ['Origin' => url('/')],
        )->assertRedirect();
        $this->assertDatabaseCount('runs', 1);
    }

    public function test_behind_a_proxy_of_this_machine_its_pages_may_write_and_cookies_are_for_tls_only(): void
    {
        $ask = fn (): TestResponse => $this->withServerVariables(['REMOTE_ADDR' => '127.0.0.1'])
            ->withHeaders(['X-Forwarded-Proto' => 'https', 'Origin' => 'https://127.0.0.1:8470'])
            ->post('/cards', []);
        // Unless the settings say so, nobody is believed to have come by way of one.
        $ask()->assertForbidden();
        config(['tally.behind_proxy' => true, 'tally.open' => 'auto']);
        $answer = $ask();
        $answer->assertRedirect();
        self::assertSame('max-age=31536000', $answer->headers->get('Strict-Transport-Security'));
        foreach ($answer->headers->getCookies() as $cookie) {
            self::assertTrue($cookie->isSecure(), $cookie->getName());
        }
        $this->withServerVariables(['REMOTE_ADDR' => '192.0.2.9']);
        self::assertSame(
            403,
            $this->withHeaders(['X-Forwarded-Proto' => 'https', 'Origin' => 'https://127.0.0.1:8470'])
                ->post('http://127.0.0.1:8470/cards', [])
                ->getStatusCode(),
        );
    }

    public function test_every_route_that_writes_asks_for_the_token(): void
    {
        $this->get('/intake'); // the groups are known once a request has been handled
        $writing = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (
                array_intersect(['POST', 'PUT', 'PATCH', 'DELETE'], $route->methods()) !== [] &&
                ! in_array('GET', $route->methods(), true)
            ) {
                self::assertContains(ValidateCsrfToken::class, app('router')->gatherRouteMiddleware($route), $route->uri());
                $writing++;
            }
        }
        self::assertSame(87, $writing);
    }

    public function test_pages_cannot_be_framed(): void
    {
        $this->get('/intake')->assertHeader('X-Frame-Options', 'DENY')->assertHeader('X-Content-Type-Options', 'nosniff');
    }
}
