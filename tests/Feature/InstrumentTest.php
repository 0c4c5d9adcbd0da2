<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gear\ChainBuilder;
use App\Kit\Hosts;
use App\Kit\KitItemProps;
use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Stations\BenchEngine;
use Inertia\Testing\AssertableInertia;
use Tally\Device\Load;
use Tally\Measured\Chain;
use Tally\Measured\Instrument;
use Tally\Measured\Way;
use Tally\Quantity\Rate;
use Tally\Value\Values;
use Tests\TestCase;

/** The bench is a link of every chain: it is measured, kept with what was measured there, and shown. */
final class InstrumentTest extends TestCase
{
    public function test_a_bench_measures_itself_once_and_again_when_its_code_or_machine_has_changed(): void
    {
        $station = $this->station();
        self::assertNull($station->instrument());
        $measured = function (float $write, bool $isBusy = false) use ($station): ?float {
            $bench = new Instrument(Rate::megabytesPerSecond($write), Rate::megabytesPerSecond(2600), $isBusy);
            BenchEngine::measure($station, fn (): Instrument => $bench);

            return $station->refresh()->instrument()?->write?->megabytes();
        };
        // While others take its processors it is only for now.
        self::assertSame(700.0, $measured(700, true));
        self::assertSame(1300.0, $measured(1300));
        self::assertSame(1300.0, $measured(1500));
        $station->update(['engine_of' => 'another code']);
        self::assertSame(1500.0, $measured(1500));
        $this->get('/benches')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'benches.0.state',
                fn (mixed $words): bool => is_string($words) && str_contains($words, 'its engine gives'),
            ),
        );
    }

    public function test_its_engine_is_measured_on_memory(): void
    {
        BenchEngine::measure($this->station());
        $gives = $this->station()->instrument();
        self::assertNotNull($gives?->write);
        self::assertNotNull($gives->read);
    }

    public function test_the_kit_tells_it_at_its_host(): void
    {
        $this->station()->update(['engine_write' => 1.3e9, 'engine_read' => 2.6e9]);
        $items = (new Hosts())->list()->items;
        $lines = array_merge(...array_map(fn (KitItemProps $item): array => $item->lines, $items));
        $words = "{$this->station()->name}: {$this->station()->instrument()?->words()}";
        self::assertStringContainsString("2\u{202F}600 MB/s reading at most", $words);
        self::assertSame([$words], array_values(array_filter($lines, fn (string $line): bool => str_contains($line, 'engine'))));
    }

    public function test_it_is_kept_with_what_was_measured_there_and_read_back(): void
    {
        $chain = ChainBuilder::chainAt($this->card()->label(), $this->reader('R3'), $this->port('port 3'));
        self::assertNotNull($chain);
        $instrument = new Instrument(Rate::megabytesPerSecond(1300), Rate::megabytesPerSecond(2600), true, new Load(0.9, 0.6, 2));
        $packed = json_decode((string) json_encode(Values::write($chain->at($instrument)->matching())), true);
        $kept = Values::read(Chain::class, (array) $packed);
        self::assertEquals($instrument, $kept->instrument);
        self::assertTrue($kept->isMatch);
        // Chains of before had none.
        $before = array_diff_key(Values::write($chain), ['engine' => 0, 'match' => 0]);
        self::assertNull(Values::read(Chain::class, $before)->instrument);
    }

    public function test_made_up_media_keep_their_own_time(): void
    {
        $this->station()->update(['engine_write' => 1e9, 'engine_read' => 2e9]);
        $run = $this->conduct($this->card(), 'speed', 'Tray 2');
        self::assertNull(Run::query()->findOrFail($run->id)->chain->instrument);
    }

    public function test_what_it_may_hold(): void
    {
        $bench = new Instrument(Rate::megabytesPerSecond(1000), null);
        $holds = fn (float $figure, Way $way): bool => $bench->mayHold(Rate::megabytesPerSecond($figure), $way);
        self::assertSame([false, true, false], [$holds(700, Way::Write), $holds(701, Way::Write), $holds(5000, Way::Read)]);
        self::assertTrue((new Instrument(null, null, true))->mayHold(Rate::megabytesPerSecond(1), Way::Read));
        self::assertTrue($bench->during(new Load(1.0, 0.6, 2))->mayHold(Rate::megabytesPerSecond(1), Way::Write));
        self::assertFalse($bench->during(new Load(0.4, 0.1, 2))->mayHold(Rate::megabytesPerSecond(1), Way::Write));
    }

    public function test_a_run_says_which_of_the_two_it_ran_into(): void
    {
        $bench = new Instrument(Rate::megabytesPerSecond(1300), null);
        $ran = fn (float $figure, Instrument $bench, Way $way): string => $bench->ranInto(Rate::megabytesPerSecond($figure), $way);
        self::assertSame(
            "The card or its chain held it, not this bench, which writes {$bench->write?->printDown()} at most.",
            $ran(90, $bench, Way::Write),
        );
        self::assertSame(
            "This bench writes {$bench->write?->printDown()} at most: the figure may be its own limit.",
            $ran(1250, $bench, Way::Write),
        );
        self::assertSame('', $ran(90, $bench, Way::Read));
        self::assertSame(
            'This computer was busy with something else while it measured.',
            $ran(90, $bench->during(new Load(1.0, 0.6, 2)), Way::Read),
        );
    }

    public function test_a_double_rate_is_for_cards_of_its_maker(): void
    {
        $reader = $this->reader('R3');
        $of = function (string $name) use ($reader): bool {
            $card = $this->card(['tag' => 'T-'.strtoupper(substr(md5($name.microtime()), 0, 6)), 'name' => $name]);

            return ChainBuilder::chainOf($card, $reader, $this->port('port 3'))?->isMatch === true;
        };
        self::assertFalse($of('Tindle Classic'));
        $reader->slots()->update(['matches' => 'Tindle']);
        $reader->load('slots');
        self::assertTrue($of('Tindle Classic'));
        self::assertTrue($of('TINDLE'));
        self::assertFalse($of('Tindlemark'));
    }

    public function test_a_card_keeps_its_label_line_and_what_it_leaves_open(): void
    {
        $typed = ['tag' => 'L-1', 'name' => 'Osker', 'form' => 'sd', 'capacity' => '64 GB', 'label_line' => 'SDXC 64GB 90-95MB/s'];
        $this->post('/cards', [...$typed, 'count' => '1'])->assertSessionHasNoErrors();
        $card = Card::query()->where('tag', 'L-1')->firstOrFail();
        self::assertSame('SDXC 64GB 90-95MB/s', $card->label_line);
        self::assertTrue($card->label()->hasUnread);
        $this->get('/intake/L-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('values.label_line', 'SDXC 64GB 90-95MB/s'),
        );
        $this->post('/cards', [...$typed, 'tag' => 'L-2', 'capacity' => '32 GiB', 'label_line' => '', 'count' => '1']);
        $binary = Card::query()->where('tag', 'L-2')->firstOrFail()->label();
        self::assertSame([34_359_738_368, 32_000_000_000], [$binary->capacity->count, $binary->inDecimal?->count]);
    }

    private function reader(string $tag): Reader
    {
        return Reader::query()->with(['slots', 'cable'])->where('tag', $tag)->firstOrFail();
    }

    private function port(string $name): Port
    {
        return Port::query()->with('host')->where('name', $name)->firstOrFail();
    }
}
