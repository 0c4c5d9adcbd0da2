<?php

declare(strict_types=1);

namespace Tests;

use App\Http\Seen;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Conducting\RunConductor;
use Database\Seeders\DemoGear;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Database\Eloquent\ModelNotFoundException;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as FrameworkTestCase;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use Illuminate\Testing\PendingCommand;
use Illuminate\Testing\TestResponse;
use Symfony\Component\HttpFoundation\Exception\BadRequestException;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Tally\Device\AllowedFolders;
use Tests\Support\SeedsOnce;

/** Boots the application on the tests' own database, with the demo's gear in it. Lazy loading is forbidden by the application itself. */
abstract class TestCase extends FrameworkTestCase
{
    use RefreshDatabase;
    use SeedsOnce;

    /** The kit stands in the books before the first test; each is taken back when it is over. */
    protected string $seeder = DemoGear::class;

    public function createApplication(): Application
    {
        $app = require __DIR__.'/../bootstrap/app.php';
        assert($app instanceof Application);
        $app->make(Kernel::class)->bootstrap();
        $app->usePublicPath(__DIR__.'/../public');

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
    }

    /** @param  array<string, mixed>  $with */
    protected function card(array $with = []): Card
    {
        return Card::query()
            ->create([
                'tag' => 'T-1',
                'name' => 'Tindle Classic',
                'form' => 'sd',
                'capacity' => 32_000_000_000,
                'family' => 'SDHC',
                'bus' => 'uhs-i',
                'marks' => ['C10', 'U1'],
                'read' => 90e6,
                'write' => 40e6,
                'stand_in' => 'honest,size=32GB,write=39MB/s,read=88MB/s',
                ...$with,
            ])
            ->refresh();
    }

    protected function slot(string $name): Slot
    {
        return Slot::query()->where('name', $name)->firstOrFail();
    }

    protected function station(): Station
    {
        return Station::query()->firstOrFail();
    }

    /** @param  array<string, mixed>  $with */
    protected function command(string $name, array $with = []): PendingCommand
    {
        $command = $this->artisan($name, $with);
        assert($command instanceof PendingCommand);

        return $command;
    }

    /**
     * A card as the tray of every page has it.
     *
     * @return array<mixed>
     */
    protected function inTray(string $tag): array
    {
        $row = collect((array) $this->getJson('/pulse')->assertOk()->json('tray'))->firstWhere('tag', $tag);

        return is_array($row) ? $row : self::fail("{$tag} is not in the tray.");
    }

    /** Orders a run on the page and carries it out at once. */
    protected function conduct(Card $card, string $kind, string $slot, string $size = ''): Run
    {
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => $kind,
            'slot' => $this->slot($slot)->id,
            'size' => $size === '' ? null : $size,
            'runs' => $kind === 'speed' ? 5 : null,
        ])->assertSessionHasNoErrors();

        return $this->carryOut();
    }

    /** A card as small as the media of these tests, with a label that does not contradict itself. */
    protected function smallCard(int $bytes, string $tag = 'T-1'): Card
    {
        return $this->card([
            'tag' => $tag,
            'capacity' => $bytes,
            'family' => 'SD',
            'bus' => null,
            'marks' => [],
            'read' => null,
            'write' => null,
            'stand_in' => null,
        ]);
    }

    /** Carries out the run that was ordered last. */
    protected function carryOut(): Run
    {
        $run = Run::query()
            ->with(['card', 'slot', 'station'])
            ->latest('id')
            ->firstOrFail();
        (new RunConductor($this->app->make(AllowedFolders::class), 0))->conduct($run);

        return $run->refresh();
    }

    /**
     * What is saved goes along with what the page showed, as the browser sends it; a test of an old page says it itself.
     *
     * @param  string  $method
     * @param  \Illuminate\Support\Uri|string  $uri
     * @param  array<mixed>  $parameters
     * @param  array<mixed>  $cookies
     * @param  array<mixed>  $files
     * @param  array<mixed>  $server
     * @param  string|null  $content
     * @return TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null): TestResponse
    {
        if (strtoupper($method) !== 'GET' && ! isset($server['HTTP_X_SEEN'])) {
            $server['HTTP_X_SEEN'] = $this->seen($method, (string) $uri);
        }

        return parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
    }

    /** What a page that is loaded just now shows of what a save is about. */
    protected function seen(string $method, string $uri): string
    {
        try {
            $request = Request::create($uri, strtoupper($method));
            $route = Route::getRoutes()->match($request);
            $request->setRouteResolver(fn () => $route);
            Route::substituteBindings($route);
            Route::substituteImplicitBindings($route);
        } catch (HttpExceptionInterface|ModelNotFoundException|BadRequestException) {
            return '';
        }

        return http_build_query(Seen::on($request));
    }
}
