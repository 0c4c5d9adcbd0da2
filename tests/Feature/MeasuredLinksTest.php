<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gear\ChainBuilder;
use App\Gear\OwnMeasurement;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Runs\Filing\RunBook;
use Tally\Chain\CeilingOrigin;
use Tally\Measured\Attribution;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Record\SpeedParameters;
use Tests\TestCase;

/** What a run shows a link to carry becomes the house's own measurement, where it can be trusted. */
final class MeasuredLinksTest extends TestCase
{
    /** @param  list<float>  $rates */
    private function runInBay(array $rates, bool $forgot = true): Run
    {
        $slot = Slot::query()
            ->with(['reader.slots', 'reader.cable', 'port.host'])
            ->where('name', 'Bay 1')
            ->firstOrFail();
        $card = $this->card(['bus' => 'uhs-iii', 'capacity' => 128_000_000_000, 'family' => 'SDXC', 'tag' => 'M-'.Run::query()->count()]);
        $chain = ChainBuilder::chain($card->label(), $slot) ?? self::fail('it does not fit');

        return Run::query()
            ->create([
                'card_id' => $card->id,
                'slot_id' => $slot->id,
                'reader_id' => $slot->reader->id,
                'port_id' => $slot->port->id,
                'kind' => 'speed',
                'state' => RunState::Done,
                'chain' => $chain,
                'parameters' => new SpeedParameters(SpeedPlan::plain(Bytes::gigabytes(1), 3)),
                'result' => [
                    'region' => 1_000_000_000,
                    'writes' => [200e6, 200e6, 200e6],
                    'reads' => $rates,
                    'forgot' => $forgot,
                    'wrong' => 0,
                ],
            ])
            ->fresh(['card']) ?? self::fail('not kept');
    }

    public function test_a_run_that_beats_practice_becomes_the_houses_own_measurement_and_wins(): void
    {
        Reader::query()
            ->where('tag', 'R1')
            ->update(['uplink' => 'usb2']);
        // USB at 480 Mb/s gives 40 MB/s in practice and 60 on paper.
        OwnMeasurement::note($this->runInBay([44e6, 44e6, 44e6]));
        $reader = Reader::query()->where('tag', 'R1')->firstOrFail();
        self::assertSame(44e6, $reader->measured?->bytesPerSecond);
        self::assertSame(CeilingOrigin::Measurement, $reader->asLink()->ceiling->origin);
        self::assertStringContainsString('first 1 GB', (string) $reader->measured_how);
        self::assertNull(Port::query()->where('name', 'port 3')->firstOrFail()->measured);
    }

    public function test_a_voided_run_has_measured_no_link_and_the_others_still_have(): void
    {
        Reader::query()
            ->where('tag', 'R1')
            ->update(['uplink' => 'usb2']);
        [$less, $most] = [$this->runInBay([42e6, 42e6, 42e6]), $this->runInBay([44e6, 44e6, 44e6])];
        OwnMeasurement::note($less);
        OwnMeasurement::note($most);
        $measured = fn (): ?float => Reader::query()->where('tag', 'R1')->firstOrFail()->measured?->bytesPerSecond;
        self::assertSame(44e6, $measured());
        RunBook::void($most, 'another cable', 'Wren');
        self::assertSame(42e6, $measured());
        RunBook::void($less, 'another cable too', 'Wren');
        self::assertNull($measured());
        RunBook::countAgain($most, 'it was the right one');
        self::assertSame(44e6, $measured());
        // What somebody typed is nobody else’s to take away.
        Reader::query()
            ->where('tag', 'R1')
            ->firstOrFail()
            ->forceFill(['measured' => 43e6, 'measured_how' => 'by hand'])
            ->save();
        RunBook::void($most->refresh(), 'again', 'Wren');
        self::assertSame(43e6, $measured());
    }

    public function test_a_slow_run_or_one_that_cannot_be_trusted_measures_no_link(): void
    {
        Reader::query()
            ->where('tag', 'R1')
            ->update(['uplink' => 'usb2']);
        $run = $this->runInBay([30e6, 30e6, 30e6]);
        $run->forceFill(['result' => [...$run->rawResult() ?? [], 'writes' => [30e6, 30e6, 30e6]]]);
        OwnMeasurement::note($run);
        // Faster than the link carries on paper: a cache answered.
        $cached = $this->runInBay([300e6, 300e6, 300e6], false);
        $cached->forceFill(['result' => [...$cached->rawResult() ?? [], 'writes' => [900e6, 900e6]]]);
        OwnMeasurement::note($cached);
        self::assertNull(Reader::query()->where('tag', 'R1')->firstOrFail()->measured);
    }

    public function test_a_camera_used_as_its_own_reader_is_reckoned_far_below_its_port_until_it_is_measured(): void
    {
        $this->post(
            '/kit/readers',
            [
                'tag' => 'R8',
                'name' => 'housing camera',
                'uplink' => 'usb-gen2',
                'camera' => '1',
                'slots' => [['name' => 'A', 'lane' => 'A', 'buses' => ['uhs-ii']]],
            ],
        )->assertSessionHasNoErrors();
        $reader = Reader::query()
            ->with(['slots', 'cable'])
            ->where('tag', 'R8')
            ->firstOrFail();
        self::assertTrue($reader->camera);
        // 65–250 MB/s, far below its port: handbook § 3, common practice.
        self::assertEqualsWithDelta(65, $reader->asLink()->ceiling->usable()->megabytes(), 1e-9);
        $port = Port::query()->with('host')->where('name', 'port 2')->firstOrFail();
        $card = $this->card(['bus' => 'uhs-ii', 'read' => 250e6]);
        $chain = ChainBuilder::chainAt($card->label(), $reader, $port);
        self::assertTrue($chain?->isCamera);
        $attribution = new Attribution($chain, $card->label());
        self::assertFalse($attribution->isTheCards(Rate::megabytesPerSecond(30), Rate::megabytesPerSecond(250)));
        self::assertStringContainsString('a camera on USB 10 Gb/s', $chain->describe());
        $reader->forceFill(['measured' => 180e6, 'measured_how' => 'five runs'])->save();
        self::assertEqualsWithDelta(180, $reader->asLink()->ceiling->usable()->megabytes(), 1e-9);
    }
}
