<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Kit\Drive;
use App\Pages\Card\OffloadPage;
use Tally\Chain\CeilingOrigin;
use Tally\Offload\WayHome;
use Tally\Quantity\Bytes;
use Tests\TestCase;

/** Which figure a plan believes: measured there, measured elsewhere, or the label's. */
final class OffloadTest extends TestCase
{
    /** @return list<WayHome> */
    private function routes(Card $card, int $gigabytes = 20): array
    {
        return OffloadPage::ways($card, CardEvidence::runs($card), Bytes::gigabytes($gigabytes))[0];
    }

    private function through(Card $card, string $reader): WayHome
    {
        foreach ($this->routes($card) as $route) {
            if ($route->reader === $reader) {
                return $route;
            }
        }
        self::fail("No route over {$reader}.");
    }

    /** @param  array<string, mixed>  $with */
    private function fastCard(array $with = []): Card
    {
        return $this->card([
            'capacity' => 128_000_000_000,
            'family' => 'SDXC',
            'bus' => 'uhs-ii',
            'marks' => ['V60'],
            'read' => 250e6,
            'write' => 130e6,
            'stand_in' => 'honest,size=128GB,write=121MB/s,read=238MB/s',
            ...$with,
        ]);
    }

    public function test_before_anything_is_measured_the_label_is_all_there_is_and_that_is_said(): void
    {
        $link = $this->through($this->fastCard(), 'R1')->path->links[0];
        // As plans have it: no faster than its bus gives at the least, 200 MB/s over two rows.
        self::assertSame(200.0, $link->ceiling->usable()->megabytes());
        self::assertSame(CeilingOrigin::Claim, $link->ceiling->origin);
        self::assertStringContainsString('its label at the low end of practice', $link->ceiling->source);
    }

    public function test_what_the_card_showed_in_one_reader_counts_in_the_others(): void
    {
        $card = $this->fastCard();
        $this->conduct($card, 'speed', 'Tray 1');
        $link = $this->through($card, 'R2')->path->links[0];
        self::assertEqualsWithDelta(238, $link->ceiling->usable()->megabytes(), 6);
        self::assertStringStartsWith('run ', $link->ceiling->source);
    }

    public function test_a_run_that_its_chain_held_back_does_not_slow_the_plan_elsewhere(): void
    {
        $card = $this->fastCard();
        $this->conduct($card, 'speed', 'Tray 3');
        self::assertEqualsWithDelta(95, $this->through($card, 'R3')->path->usable()->megabytes(), 3);
        self::assertSame(200.0, $this->through($card, 'R1')->path->links[0]->ceiling->usable()->megabytes());
    }

    public function test_without_a_claim_the_slowest_of_what_was_seen_is_believed(): void
    {
        $card = $this->fastCard(['read' => null, 'write' => null]);
        $this->conduct($card, 'speed', 'Tray 3');
        self::assertEqualsWithDelta(95, $this->through($card, 'R1')->path->links[0]->ceiling->usable()->megabytes(), 3);
    }

    public function test_with_nothing_known_it_is_as_slow_as_its_bus_may_be(): void
    {
        $card = $this->fastCard(['read' => null, 'write' => null]);
        $path = $this->through($card, 'R1')->path;
        self::assertSame([200.0, 'UHS-II in R1'], [$path->links[0]->ceiling->usable()->megabytes(), $path->links[1]->name ?? '']);
    }

    public function test_a_suspected_run_is_not_believed(): void
    {
        $card = $this->fastCard();
        $run = $this->conduct($card, 'speed', 'Tray 1');
        $run->forceFill(['result' => [...$run->rawResult() ?? [], 'reads' => [2.41e9, 2.4e9]]])->save();
        self::assertSame(200.0, $this->through($card, 'R1')->path->links[0]->ceiling->usable()->megabytes());
    }

    public function test_a_drive_inside_another_host_is_reached_from_there_only(): void
    {
        foreach ($this->routes($this->fastCard()) as $route) {
            self::assertSame(
                $route->drive === 'D4',
                $route->drive === 'D4' && $route->host === 'Skiff laptop',
                "{$route->drive} on {$route->host}",
            );
        }
    }

    public function test_the_fastest_first_and_every_time_is_bytes_over_the_pinch(): void
    {
        $routes = $this->routes($this->fastCard());
        $totals = array_map(fn (WayHome $route): float => $route->total()->seconds, $routes);
        $sorted = $totals;
        sort($sorted);
        self::assertSame($sorted, $totals);
        foreach ($routes as $route) {
            self::assertEqualsWithDelta(20e9 / $route->path->pinch()->ceiling->usable()->bytesPerSecond, $route->copy()->seconds, 1e-6);
        }
    }

    public function test_a_drive_that_is_out_of_service_is_no_way_home(): void
    {
        $card = $this->fastCard();
        $drive = $this->routes($card)[0]->drive;
        Drive::query()->where('tag', $drive)->update(['gone_on' => '2026-11-01', 'gone_why' => 'lost', 'gone_by' => 'Wren']);
        self::assertNotContains($drive, array_map(fn (WayHome $route): string => $route->drive, $this->routes($card)));
        self::assertNotSame([], $this->routes($card));
    }
}
