<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use Closure;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use RuntimeException;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Value\Values;
use Tests\Support\CheckpointInHand;
use Tests\Support\MortalDevice;
use Tests\Support\StopAt;

/** A proof that is cut off at any moment and continued comes to the same end as one that is not. */
final class ResumeTest extends TestCase
{
    private static function loaded(?string $json): ?Checkpoint
    {
        $packed = $json === null ? null : json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return is_array($packed) ? Values::read(Checkpoint::class, $packed) : null;
    }

    /** @return iterable<string, array{string}> */
    public static function media(): iterable
    {
        yield 'honest' => ['honest,size=3GB'];
        yield 'wraps' => ['wraps,size=3GB,true=900MB'];
        yield 'drops' => ['drops,size=3GB,true=1100MB'];
        yield 'patchy' => ['patchy,size=3GB,patches=11,seed=5'];
        yield 'refuses' => ['refuses,size=3GB,true=1300MB'];
    }

    #[DataProvider('media')]
    public function test_fifty_times_killed_it_comes_to_the_same_end(string $line): void
    {
        $clock = new SimulatedClock();
        $whole = FullProof::on(new SimulatedDevice(Medium::parse($line), $clock), $clock, lookBack: false);
        $chance = new Randomizer(new Xoshiro256StarStar(crc32($line)));
        $clock = new SimulatedClock();
        $device = new MortalDevice(new SimulatedDevice(Medium::parse($line), $clock));
        $saver = new CheckpointInHand($chance->getInt(1, 40));
        $result = null;
        $killed = 0;
        while ($result === null) {
            // After fifty it is let live.
            $device->dies = $killed < 50 ? $device->step + $chance->getInt(1, 400) : PHP_INT_MAX;
            try {
                $from = self::loaded($saver->json);
                $result =
                    $from === null
                        ? FullProof::on($device, $clock, lookBack: false, saver: $saver)
                        : FullProof::continued($from, $device, $clock, saver: $saver);
            } catch (RuntimeException $death) {
                self::assertSame('killed', $death->getMessage());
                $killed++;
            }
        }
        self::assertGreaterThanOrEqual(10, $killed);
        self::same($whole, $result);
        foreach ($device->written as $offset => $step) {
            if ($offset % $device->stretch() === 0 && $line === 'honest,size=3GB') {
                self::assertGreaterThan($step, $device->reads[$offset] ?? 0, "what was written last at {$offset} was read back after that");
            }
        }
    }

    private static function same(ProofResult $whole, ProofResult $result): void
    {
        self::assertEquals($whole->diagnosis, $result->diagnosis);
        self::assertSame($whole->core->bytesByClass(), $result->core->bytesByClass());
        self::assertEquals(
            array_map(fn (Patch $patch): array => [$patch->class, $patch->offset, $patch->length], $whole->core->patches()),
            array_map(fn (Patch $patch): array => [$patch->class, $patch->offset, $patch->length], $result->core->patches()),
        );
        self::assertTrue($result->isComplete());
    }

    #[DataProvider('media')]
    public function test_one_that_came_to_its_end_tells_the_same_when_it_is_gone_on_from(string $line): void
    {
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse($line), $clock);
        $whole = FullProof::on($device, $clock, lookBack: false);
        // As after a kill between the last checkpoint and the telling.
        $kept = self::loaded(Values::json($whole->checkpoint()));
        self::assertNotNull($kept);
        $told = FullProof::continued($kept, $device, $clock);
        FullProof::continued($half = $kept->readAnew(), $device, $clock);
        self::assertSame(0, $half->core->covered(), 'where it was gone on from stays what it was');
        self::assertEquals([$whole->core, $whole->diagnosis, false], [$told->core, $told->diagnosis, $told->stopped]);
        self::assertEqualsWithDelta($whole->read->span->seconds, $told->read->span->seconds, 1e-6);
        $again = FullProof::continued($kept->readAnew(), $device, $clock);
        self::assertEquals($whole->diagnosis, $again->diagnosis);
    }

    public function test_a_place_that_is_held_in_hand_stays_what_it_was_while_the_proof_goes_on(): void
    {
        $saver = new /** @implements ProgressSaver<Checkpoint> */ class implements ProgressSaver
        {
            /** @var list<Checkpoint> */
            public array $held = [];

            public function keep(Closure $soFar): void
            {
                $this->held[] = $soFar();
            }
        };
        $clock = new SimulatedClock();
        FullProof::on(new SimulatedDevice(Medium::parse('honest,size=200MB'), $clock), $clock, lookBack: false, saver: $saver);
        $read = array_filter($saver->held, fn (Checkpoint $one): bool => $one->read > 0);
        self::assertGreaterThan(2, count($read));
        foreach ($read as $one) {
            self::assertSame($one->read, $one->core->covered());
        }
    }

    public function test_what_is_kept_comes_back_as_it_was(): void
    {
        $saver = new CheckpointInHand(1);
        $clock = new SimulatedClock();
        FullProof::on(
            new SimulatedDevice(Medium::parse('patchy,size=3GB,patches=7'), $clock),
            $clock,
            new StopAt(Phase::Reading, 0.6),
            saver: $saver,
        );
        $checkpoint = self::loaded($saver->json);
        self::assertNotNull($checkpoint);
        self::assertSame($saver->json, json_encode(Values::plain($checkpoint)));
        self::assertTrue($checkpoint->allWritten);
        self::assertEqualsWithDelta(0.6, $checkpoint->read / 3e9, 0.01);
    }

    public function test_looking_back_goes_on_after_it_was_continued(): void
    {
        $saver = new CheckpointInHand(1);
        $clock = new SimulatedClock();
        $device = new SimulatedDevice(Medium::parse('wraps,size=64GB,true=16GB'), $clock);
        $stopped = FullProof::on($device, $clock, new StopAt(Phase::Writing, 0.0015), saver: $saver);
        self::assertTrue($stopped->stopped);
        $from = self::loaded($saver->json);
        self::assertNotNull($from);
        $result = FullProof::continued($from, $device, $clock);
        self::assertNotNull($result->alarmAt);
        self::assertSame(16_000_000_000, $result->diagnosis->capacity->count);
    }

    public function test_another_card_is_not_continued_on(): void
    {
        $saver = new CheckpointInHand(1);
        $clock = new SimulatedClock();
        FullProof::on(
            new SimulatedDevice(Medium::parse('honest,size=3GB'), $clock),
            $clock,
            new StopAt(Phase::Writing, 0.5),
            saver: $saver,
        );
        $from = self::loaded($saver->json);
        self::assertNotNull($from);
        foreach (
            ['honest,size=3GB' => 'none of the stamps of its run is on it', 'honest,size=2GB' => 'it has 2 GB, and the proof was '.
                'of 3 GB'] as $line => $words
        ) {
            try {
                FullProof::continued($from, new SimulatedDevice(Medium::parse($line), $clock), $clock);
                self::fail('it went on');
            } catch (UnusablePath $fault) {
                self::assertStringContainsString($words, $fault->getMessage());
            }
        }
    }

    public function test_a_checkpoint_that_is_none_is_refused(): void
    {
        $this->expectExceptionMessage('“imprint” is missing: give a whole number.');
        Values::read(Checkpoint::class, ['size' => 5]);
    }

    public function test_checkpoints_take_less_than_a_hundredth_of_the_time(): void
    {
        $took = [];
        foreach ([new CheckpointInHand(1), null] as $saver) {
            $clock = new SimulatedClock();
            FullProof::on(
                new SimulatedDevice(Medium::parse('honest,size=32GB,write=20MB/s,read=84MB/s'), $clock),
                $clock,
                new Unobserved(),
                null,
                lookBack: false,
                saver: $saver,
            );
            $took[] = $clock->now();
        }
        self::assertLessThan(1.01, $took[0] / $took[1]);
    }

    public function test_what_was_read_back_before_counts_and_the_rest_is_read(): void
    {
        $saver = new CheckpointInHand(1);
        $clock = new SimulatedClock();
        $device = new MortalDevice(new SimulatedDevice(Medium::parse('honest,size=3GB'), $clock));
        FullProof::on($device, $clock, new StopAt(Phase::Reading, 0.5), lookBack: false, saver: $saver);
        $from = self::loaded($saver->json);
        self::assertNotNull($from);
        $device->reads = [];
        $result = FullProof::continued($from, $device, new HostClock());
        self::assertSame(3_000_000_000, $result->core->bytes(BlockClass::Holds));
        self::assertEqualsWithDelta(715, count($device->reads), 15, 'only the half that was left');
    }
}
