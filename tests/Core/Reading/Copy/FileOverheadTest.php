<?php

declare(strict_types=1);

namespace Tests\Core\Reading\Copy;

use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Reading\Copy\FileOverhead;

final class FileOverheadTest extends TestCase
{
    /**
     * @param  list<int>  $sizes
     * @return list<array{int, float}>
     */
    private static function timed(array $sizes, float $overhead, float $rate): array
    {
        return array_map(fn (int $size): array => [$size, $overhead + $size / $rate], $sizes);
    }

    public function test_it_finds_what_a_file_costs(): void
    {
        $sizes = [...array_fill(0, 500, 120_000), ...array_fill(0, 100, 24_600_000)];
        $overhead = FileOverhead::of(self::timed($sizes, 0.006, 90e6));
        self::assertNotNull($overhead);
        self::assertEqualsWithDelta(0.006, $overhead->perFile->seconds, 1e-9);
        self::assertEqualsWithDelta(90e6, $overhead->rate->bytesPerSecond, 1);
        self::assertStringContainsString(
            'each file costs 6.0 ms on top of its bytes, which go at 90 MB/s (from 500 smaller against 100 larger files)',
            $overhead->words(),
        );
    }

    public function test_noise_of_a_few_percent_leaves_it_near(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(7));
        $files = array_map(
            fn (array $file): array => [$file[0], $file[1] * (1 + $chance->getInt(-50, 50) / 1000)],
            self::timed([...array_fill(0, 400, 100_000), ...array_fill(0, 60, 30_000_000)], 0.02, 80e6),
        );
        self::assertEqualsWithDelta(0.02, FileOverhead::of($files)?->perFile->seconds, 0.001);
    }

    public function test_files_of_one_size_and_single_files_tell_nothing(): void
    {
        self::assertNull(FileOverhead::of(self::timed(array_fill(0, 50, 5_000_000), 0.01, 90e6)));
        self::assertNull(FileOverhead::of(self::timed([4_000_000, 5_000_000, 6_000_000], 0.01, 90e6)));
        self::assertNull(FileOverhead::of(self::timed([5_000_000], 0.01, 90e6)));
        self::assertNull(FileOverhead::of([]));
    }

    public function test_where_small_files_cost_nothing_it_says_so(): void
    {
        $overhead = FileOverhead::of([[1_000_000, 0.005], [100_000_000, 1.0]]);
        self::assertSame(0.0, $overhead?->perFile->seconds);
        self::assertStringContainsString('nothing on top of their bytes', $overhead->words());
    }

    public function test_empty_files_count_as_small(): void
    {
        self::assertEqualsWithDelta(0.004, FileOverhead::of(self::timed([0, 0, 50_000_000], 0.004, 90e6))?->perFile->seconds, 1e-9);
    }
}
