<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Device\Raw\Guard;
use Tally\Device\Raw\RawDevice;
use Tally\Pattern\BlockClass;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Screen\QuickScreen;
use Tally\Reading\Condition;
use Tests\Support\Counterfeit;

/** Raw proof and quick screen against cards made of other people's parts: nbdkit and nbdfuse of Debian. */
final class CounterfeitTest extends TestCase
{
    use Counterfeit;

    private const MIB = 1_048_576;

    /** The raw ones show 96 of these: large enough for laps, caches and 64 places, small enough to be proven forty times. */
    private const UNIT = 524_288;

    /**
     * @return iterable<string, array{string, array<string, int|string>, Condition, int, int|null}> kind, traits, condition,
     * capacity, wrap
     */
    public static function cards(): iterable
    {
        $odd = 17 * self::UNIT + 512 * 77;
        yield 'honest' => ['honest', [], Condition::Whole, 96 * self::UNIT, null];
        yield 'wraps at a third' => ['wraps', ['true' => 32 * self::UNIT], Condition::Wraps, 32 * self::UNIT, 32 * self::UNIT];
        yield 'wraps at an odd sector' => ['wraps', ['true' => $odd], Condition::Wraps, $odd, $odd];
        yield 'wraps at an odd byte' => ['wraps', ['true' => 16_666_667], Condition::Wraps, 16_666_667, 16_666_667];
        yield 'wraps less than twice' => [
            'wraps',
            ['true' => 90 * self::UNIT - 512],
            Condition::Wraps,
            90 * self::UNIT - 512,
            90 * self::UNIT - 512,
        ];
        yield 'wraps after a part that is spared' => [
            'wraps',
            ['true' => 40 * self::UNIT, 'from' => 10 * self::UNIT + 4096],
            Condition::Wraps,
            40 * self::UNIT,
            30 * self::UNIT - 4096,
        ];
        yield 'its first lap stays' => ['first-lap-stays', ['true' => $odd], Condition::Wraps, $odd, $odd];
        yield 'drops, zeros' => ['drops', ['true' => $odd], Condition::Drops, $odd, null];
        yield 'drops, ones' => ['drops-ff', ['true' => 48 * self::UNIT], Condition::Drops, 48 * self::UNIT, null];
        yield 'a scratch sector for the rest' => ['scratch', ['true' => 24 * self::UNIT], Condition::Drops, 24 * self::UNIT, null];
        yield 'noise behind its end' => ['noise', ['true' => $odd], Condition::Corrupts, $odd, null];
        yield 'corrupts behind its end' => ['corrupts', ['true' => 60 * self::UNIT], Condition::Corrupts, 60 * self::UNIT, null];
        yield 'errors behind its end' => ['refuses', ['true' => 64 * self::UNIT], Condition::Refuses, 64 * self::UNIT, null];
    }

    /** @param  array<string, int|string>  $traits */
    #[DataProvider('cards')]
    public function test_a_raw_proof_names_kind_capacity_and_wrap(
        string $kind,
        array $traits,
        Condition $condition,
        int $capacity,
        ?int $wrap,
    ): void {
        $result = $this->on($kind, $traits, fn (RawDevice $device): ProofResult => FullProof::on($device, new HostClock()));
        self::assertSame(
            [$condition, $capacity, $wrap],
            [$result->diagnosis->condition, $result->diagnosis->capacity->count, $result->diagnosis->wrap],
        );
        self::assertTrue($result->isComplete());
        self::assertTrue($result->forgot);
    }

    /** @param  array<string, int|string>  $traits */
    #[DataProvider('cards')]
    public function test_a_quick_screen_names_the_same(string $kind, array $traits, Condition $condition, int $capacity, ?int $wrap): void
    {
        $result = $this->on($kind, $traits, fn (RawDevice $device): ProofResult => QuickScreen::on($device, new HostClock(), points: 64));
        self::assertSame(
            [$condition, $capacity, $wrap],
            [$result->diagnosis->condition, $result->diagnosis->capacity->count, $result->diagnosis->wrap],
        );
        self::assertLessThan(96 * self::UNIT, $result->core->covered());
    }

    /** @return iterable<string, array{string, int, int}> kind, its size or the address line that is missing, what it keeps */
    public static function mixedUp(): iterable
    {
        yield 'an address line that is not connected' => ['line', 4 * self::UNIT, 48 * self::UNIT];
        yield 'a low one' => ['line', 8192, 48 * self::UNIT];
        yield 'a mirror' => ['mirror', 32 * self::UNIT, 32 * self::UNIT];
        yield 'a shuffle' => ['shuffle', 40 * self::UNIT, 40 * self::UNIT];
    }

    #[DataProvider('mixedUp')]
    public function test_addresses_that_share_a_place_in_no_lap_are_a_fake_of_their_own_kind(string $kind, int $true, int $kept): void
    {
        $proof = $this->on($kind, ['true' => $true], fn (RawDevice $device): ProofResult => FullProof::on($device, new HostClock()));
        self::assertSame(
            [Condition::Aliases, $kept, null],
            [$proof->diagnosis->condition, $proof->diagnosis->capacity->count, $proof->diagnosis->wrap],
        );
        $screen = $this->on($kind, ['true' => $true], fn (RawDevice $device): ProofResult => QuickScreen::on($device, new HostClock()));
        self::assertSame([Condition::Aliases, false], [$screen->diagnosis->condition, $screen->diagnosis->exact]);
        self::assertLessThan(0.93 * 96 * self::UNIT, $screen->diagnosis->capacity->count);
    }

    public function test_a_misplaced_block_is_a_fault_and_no_fake(): void
    {
        foreach ([FullProof::on(...), QuickScreen::on(...)] as $probe) {
            $result = $this->on(
                'strays',
                ['true' => 80 * self::UNIT],
                fn (RawDevice $device): ProofResult => $probe($device, new HostClock()),
            );
            self::assertSame([Condition::Faulty, self::MIB], [$result->diagnosis->condition, $result->core->bytes(BlockClass::Echoes)]);
        }
    }

    public function test_scattered_bad_sectors_are_a_fault_and_no_fake(): void
    {
        $result = $this->on('spots', [], fn (RawDevice $device): ProofResult => FullProof::on($device, new HostClock()));
        self::assertSame(Condition::Faulty, $result->diagnosis->condition);
        self::assertSame([40 * 512, 40], [$result->core->bytes(BlockClass::Scrambled), $result->core->wrongBits()]);
        self::assertStringContainsString('scattered, in', implode(' ', $result->diagnosis->also));
    }

    public function test_a_cache_that_answers_until_it_is_taken_out_hides_nothing_from_a_proof(): void
    {
        $result = $this->on(
            'drops',
            ['true' => 32 * self::UNIT, 'cache' => 8 * self::UNIT],
            fn (RawDevice $device): ProofResult => FullProof::on($device, new HostClock()),
        );
        self::assertSame([Condition::Drops, 32 * self::UNIT], [$result->diagnosis->condition, $result->diagnosis->capacity->count]);
        self::assertStringContainsString('from a cache inside it', implode(' ', $result->diagnosis->also));
    }

    public function test_a_quick_screen_pushes_a_cache_aside_before_it_believes_anything(): void
    {
        $result = $this->on(
            'drops',
            ['true' => 32 * self::UNIT + 512, 'cache' => 6 * self::UNIT],
            fn (RawDevice $device): ProofResult => QuickScreen::on($device, new HostClock()),
        );
        self::assertSame([Condition::Drops, 32 * self::UNIT + 512], [$result->diagnosis->condition, $result->diagnosis->capacity->count]);
    }

    /** @return iterable<string, array{string, array<string, int|string>, Condition, int|null}> kind, traits, condition, lap */
    public static function mounted(): iterable
    {
        yield 'honest' => ['honest', [], Condition::Whole, null];
        yield 'drops' => ['drops', ['true' => 48 * self::MIB], Condition::Drops, null];
        // The first part is spared, or the file system itself would be written over.
        yield 'wraps' => ['wraps', ['true' => 48 * self::MIB, 'from' => 12 * self::MIB], Condition::Wraps, 36 * self::MIB];
        yield 'corrupts' => ['corrupts', ['true' => 48 * self::MIB], Condition::Corrupts, null];
    }

    /** @param  array<string, int|string>  $traits */
    #[DataProvider('mounted')]
    public function test_a_proof_in_a_mounted_folder_names_the_kind(string $kind, array $traits, Condition $condition, ?int $lap): void
    {
        $image = $this->counterfeit($kind, 96 * self::MIB, $traits);
        $point = $this->folder();
        exec('losetup -f --show '.escapeshellarg($image).' 2>/dev/null', $lines, $code);
        $loop = escapeshellarg($lines[0] ?? '');
        if ($code !== 0) {
            self::markTestSkipped('This machine gives no loop device.');
        }
        try {
            exec("(mkfs.exfat {$loop} && mount.exfat-fuse {$loop} ".escapeshellarg($point).') >/dev/null 2>&1', $ignored, $code);
            if ($code !== 0) {
                self::markTestSkipped('This machine mounts no exFAT.');
            }
            $device = FolderDevice::open(HeldFolder::at($point));
            $result = FullProof::on($device, new HostClock());
            $device->close();
            self::assertTrue($result->forgot);
            self::assertSame([$condition, $lap], [$result->diagnosis->condition, $result->diagnosis->wrap]);
            // What the file system takes for itself is not the files'.
            $true = is_int($traits['true'] ?? null) ? $traits['true'] : 96 * self::MIB;
            self::assertEqualsWithDelta($true, $result->diagnosis->capacity->count, 6 * self::MIB);
        } finally {
            exec('umount '.escapeshellarg($point)." 2>/dev/null; losetup -d {$loop}");
        }
    }

    /**
     * @param  array<string, int|string>  $traits
     * @param  callable(RawDevice): ProofResult  $probe
     */
    private function on(string $kind, array $traits, callable $probe): ProofResult
    {
        $device = RawDevice::open($this->counterfeit($kind, 96 * self::UNIT, $traits), new Guard([]));
        try {
            return $probe($device);
        } finally {
            $device->close();
        }
    }
}
