<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Cards\Photo;
use App\Models\Runs\Run;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoRuns;
use Illuminate\Foundation\Http\Middleware\ValidateCsrfToken;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tally\Offload\Search\Wanted;
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
        self::assertSame(92, $writing);
    }

    public function test_no_answer_is_kept_on_the_way_or_in_a_browser(): void
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        Photo::query()->create([
            'card_id' => Card::query()->firstOrFail()->id,
            'side' => 'front',
            'jpeg' => 'no picture',
            'width' => 10,
            'height' => 10,
            'recorded_by' => 'Wren',
        ]);
        $given = [
            '{card}' => 'QS-014', '{card?}' => 'QS-014', '{card:id}' => '1', '{format}' => 'csv', '{kind}' => 'cables', '{key}' => 'K1',
            '{file}' => 'schema', '{photo}' => (string) Photo::query()->firstOrFail()->id,
            '{run}' => (string) Run::query()->firstOrFail()->id,
        ];
        $whole = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = (string) preg_replace('/\{[\w:]+\??\}/', '1', strtr($route->uri(), $given));
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $answer = $this->call($method, '/'.ltrim($path, '/'));
                self::assertSame('no-store, private', $answer->headers->get('Cache-Control'), "{$method} {$path}");
                $whole += $answer->getStatusCode() === 200 ? 1 : 0;
            }
        }
        self::assertGreaterThan(50, $whole);
    }

    public function test_what_takes_long_goes_to_the_workers_that_are_there_for_it(): void
    {
        preg_match_all('/"~(\^[^"]+)\\\\\$" unix:\$RUN\/long/', (string) file_get_contents(base_path('bin/site')), $patterns);
        self::assertCount(3, $patterns[1]);
        $isLong = fn (string $path): bool => preg_match('#'.implode('$|', $patterns[1]).'$#D', $path) === 1;
        $long = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = '/'.preg_replace('/\{\w+\??\}/', '1', $route->uri());
            if (in_array('long', $route->gatherMiddleware(), true)) {
                self::assertTrue($isLong($path), $path);
                $long++;
            }
        }
        self::assertSame(18, $long);
        foreach (['/sign-in', '/pulse', '/runs/1/stop', '/offloads/1/stop', '/offloads/1/now', '/intake', '/offload/QS-014'] as $quick) {
            self::assertFalse($isLong($quick), $quick);
        }
    }

    public function test_of_one_person_two_questions_go_on_and_a_newer_one_ends_the_oldest(): void
    {
        /** @var list<callable(): void> $meanwhile */
        $meanwhile = [];
        Route::get('/long', function () use (&$meanwhile): string {
            $wanted = app(Wanted::class);
            $next = array_shift($meanwhile);
            if ($next !== null) {
                $next();
            }
            usleep(300_000);
            $wanted->mustBe();

            return 'found';
        })->middleware(['web', 'long']);
        $answers = [];
        $ask = function () use (&$answers): void {
            $answers[] = $this->get('/long')->getStatusCode();
        };
        $askBeside = function () use (&$answers): void {
            $answers[] = $this->getJson('/long')->getStatusCode();
        };
        $ask();
        $meanwhile = [$ask];
        $ask();
        self::assertSame([200, 200, 200], $answers, 'two at once');
        [$answers, $meanwhile] = [[], [$ask, $ask]];
        $ask();
        self::assertSame([200, 200, 503], $answers, 'the oldest of three');
        [$answers, $meanwhile] = [[], [$askBeside, $askBeside]];
        $ask();
        self::assertSame([200, 503, 200], $answers, 'of what stands beside the page the older one, and never the page');
        self::assertSame(0, DB::table('long_questions')->count());
    }

    public function test_pages_cannot_be_framed(): void
    {
        $this->get('/intake')->assertHeader('X-Frame-Options', 'DENY')->assertHeader('X-Content-Type-Options', 'nosniff');
    }
}
