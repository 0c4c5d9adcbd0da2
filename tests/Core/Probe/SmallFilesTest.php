<?php

declare(strict_types=1);

namespace Tests\Core\Probe;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Files\FolderFiles;
use Tally\Device\HeldFolder;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Unobserved;
use Tally\Probe\SmallFiles;
use Tally\Reading\Copy\SmallFilesReading;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Simulated\SimulatedFiles;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;

final class SmallFilesTest extends TestCase
{
    use TemporaryFolder;

    private static function on(string $medium, float $overhead, Observer $watch = new Unobserved()): SmallFilesResult
    {
        $clock = new SimulatedClock();

        return (new SmallFiles(100, 3))->on(
            new SimulatedFiles(new SimulatedDevice(Medium::parse($medium), $clock), $clock, $overhead),
            $clock,
            $watch,
        );
    }

    public function test_it_finds_what_a_file_costs(): void
    {
        $result = self::on('honest,size=64GB,write=60MB/s,read=90MB/s,seed=3', 0.006);
        foreach ([SmallFilesReading::ofWriting($result), SmallFilesReading::ofReading($result)] as $reading) {
            self::assertSame(3, $reading?->overhead->count);
            self::assertEqualsWithDelta(0.006, $reading->overhead->mean, 0.0003);
            self::assertLessThan($reading->one->mean, $reading->many->mean);
        }
        self::assertSame(0, $result->wrong);
    }

    public function test_a_medium_without_such_a_cost_shows_none(): void
    {
        self::assertEqualsWithDelta(
            0,
            SmallFilesReading::ofWriting(self::on('honest,size=64GB,write=60MB/s', 0.0))?->overhead->mean,
            0.0003,
        );
    }

    public function test_data_that_comes_back_changed_is_counted(): void
    {
        self::assertGreaterThan(0, self::on('wraps,size=64MB,true=8MB', 0.004)->wrong);
    }

    public function test_only_whole_rounds_count_when_it_is_stopped(): void
    {
        $result = self::on('honest,size=64GB', 0.004, new StopAt(Phase::Reading, 0.5, 2));
        self::assertTrue($result->stopped);
        self::assertCount(1, $result->rounds);
    }

    public function test_nothing_measured_reads_as_nothing(): void
    {
        self::assertNull(SmallFilesReading::ofWriting(self::on('honest,size=64GB', 0.004, new StopAt(Phase::Writing, 0.1, 1))));
    }

    public function test_on_a_real_folder_it_leaves_nothing_behind(): void
    {
        $folder = $this->folder();
        file_put_contents("{$folder}/mine.txt", 'kept');
        $files = FolderFiles::open(HeldFolder::at($folder));
        $result = (new SmallFiles(20, 2))->on($files, new HostClock());
        $files->clear();
        self::assertCount(2, $result->rounds);
        self::assertSame(0, $result->wrong);
        self::assertSame(['mine.txt'], array_values(array_diff((array) scandir($folder), ['.', '..'])));
    }

    public function test_a_folder_that_goes_away_ends_it_with_a_sentence(): void
    {
        $folder = $this->folder();
        $files = FolderFiles::open(HeldFolder::at($folder));
        foreach (array_reverse(self::everything($folder)) as $name) {
            is_dir("{$folder}/{$name}") ? rmdir("{$folder}/{$name}") : unlink("{$folder}/{$name}");
        }
        $result = (new SmallFiles(4, 1))->on($files, new HostClock());
        self::assertTrue($result->stopped);
        self::assertStringContainsString('is gone', (string) $result->cutShort);
    }

    public function test_a_folder_that_is_none_is_refused(): void
    {
        $this->expectException(UnusablePath::class);
        FolderFiles::open(HeldFolder::at($this->folder().'/nowhere'));
    }

    /** @return iterable<array{int, int, int}> */
    public static function impossible(): iterable
    {
        yield from [[1, 3, 512], [20, 0, 512], [20, 51, 512], [20, 3, 500], [20, 3, 2_000_000], [10_001, 3, 512]];
    }

    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_refused(int $files, int $rounds, int $each): void
    {
        $this->expectException(InvalidArgumentException::class);
        $this->expectExceptionMessage("{$files}, {$each} B and {$rounds} were given");
        new SmallFiles($files, $rounds, $each);
    }
}
