<?php

declare(strict_types=1);

namespace Tests\Core\Device;

use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\HostRefused;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\FolderDevice;
use Tally\Device\HeldFolder;
use Tally\Device\Mount;
use Tally\Pattern\Appraiser;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Literal;
use Tally\Pattern\TestPattern;
use Tally\Quantity\Bytes;
use Tests\Support\TemporaryFolder;

final class FolderDeviceTest extends TestCase
{
    use TemporaryFolder;

    public function test_what_was_written_is_read_back_and_the_folder_left_as_it_was(): void
    {
        $folder = $this->folder();
        file_put_contents($folder.'/holiday.jpg', 'mine');
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(3 * TestPattern::BLOCK));
        $device->write(0, new Literal(str_repeat('a', TestPattern::BLOCK)));
        $device->write(TestPattern::BLOCK, new Literal(str_repeat('b', TestPattern::BLOCK)));
        $device->settle();
        $device->forget();
        self::assertSame('ab', $device->read(TestPattern::BLOCK - 1, 2)->bytes());
        $device->close();
        self::assertSame(['holiday.jpg'], self::everything($folder));
        self::assertSame('mine', file_get_contents($folder.'/holiday.jpg'));
    }

    public function test_a_long_run_finds_the_very_sectors_that_were_spoilt(): void
    {
        $folder = $this->folder();
        $size = Bytes::of(200 * TestPattern::BLOCK);
        $device = FolderDevice::open(HeldFolder::at($folder), $size);
        $imprint = TestPattern::random($size);
        for ($at = 0; $at < $size->count; $at += TestPattern::BLOCK) {
            $device->write($at, $imprint->stretch($at, TestPattern::BLOCK));
        }
        $device->settle();
        $files = array_filter(self::everything($folder), fn (string $name): bool => (int) @filesize("{$folder}/{$name}") >= $size->count);
        $file = fopen($folder.'/'.implode('', $files), 'r+');
        assert($file !== false);
        $spoilt = [];
        foreach ([3, 99, 100, 150, 199] as $block) {
            fseek($file, $at = $block * TestPattern::BLOCK + 5 * Appraiser::SECTOR);
            fwrite($file, str_repeat("\0", Appraiser::SECTOR));
            $spoilt[] = [$at, Appraiser::SECTOR];
        }
        fclose($file);
        $device->forget();
        $found = [];
        $appraiser = new Appraiser($imprint);
        for ($at = 0; $at < $size->count; $at += TestPattern::BLOCK) {
            foreach ($appraiser->appraise($device->read($at, TestPattern::BLOCK), $at) as $patch) {
                if ($patch->class !== BlockClass::Holds) {
                    $found[] = [$patch->offset, $patch->length];
                }
            }
        }
        $device->close();
        self::assertSame($spoilt, $found);
    }

    public function test_files_are_cut_at_one_gibibyte(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(1_073_741_824 + TestPattern::BLOCK));
        $device->write(1_073_741_824 - TestPattern::BLOCK, new Literal(str_repeat('x', TestPattern::BLOCK)));
        $device->write(1_073_741_824, new Literal(str_repeat('y', TestPattern::BLOCK)));
        $device->settle();
        self::assertSame('x', $device->read(1_073_741_824 - 1, 1)->bytes());
        self::assertSame('y', $device->read(1_073_741_824, 1)->bytes());
        self::assertCount(4, self::everything($folder), 'the folder, its marker and two files');
        $device->close();
    }

    public function test_without_a_size_it_takes_the_free_space_but_for_a_reserve(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder));
        $free = (int) disk_free_space($folder);
        $device->close();
        self::assertGreaterThan(0, $device->size()->count);
        self::assertLessThan($free, $device->size()->count);
    }

    public function test_what_a_dead_run_left_is_removed_and_nothing_else(): void
    {
        $folder = $this->folder();
        $dead = FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK));
        $dead->write(0, new Literal('left behind'));
        $left = glob($folder.'/gritty-tally-*');
        self::assertIsArray($left);
        file_put_contents($left[0].'/notes.txt', 'somebody put this here');
        unset($dead);

        FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK))->close();
        self::assertSame([basename($left[0]), basename($left[0]).'/notes.txt'], self::everything($folder));
    }

    public function test_an_empty_folder_of_a_run_that_died_at_once_is_removed(): void
    {
        $folder = $this->folder();
        mkdir($folder.'/gritty-tally-0123456789ab');
        FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK))->close();
        self::assertSame([], self::everything($folder));
    }

    public function test_folders_that_only_look_like_ours_are_left_alone(): void
    {
        $folder = $this->folder();
        mkdir($folder.'/gritty-tally-0123456789ab');
        file_put_contents($folder.'/gritty-tally-0123456789ab/000000.tally', 'a person’s own file');
        mkdir($folder.'/gritty-tally-notes');
        symlink('/etc', $folder.'/gritty-tally-ba9876543210');
        $before = self::everything($folder);
        FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK))->close();
        self::assertSame($before, self::everything($folder));
    }

    public function test_a_marker_with_other_words_is_not_taken_for_ours(): void
    {
        $folder = $this->folder();
        mkdir($folder.'/gritty-tally-0123456789ab');
        file_put_contents($folder.'/gritty-tally-0123456789ab/about-this-folder.txt', "My own notes\n");
        file_put_contents($folder.'/gritty-tally-0123456789ab/000000.tally', 'mine');
        $before = self::everything($folder);
        FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK))->close();
        self::assertSame($before, self::everything($folder));
    }

    public function test_two_runs_in_one_folder_are_refused(): void
    {
        $folder = $this->folder();
        $first = FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK));
        try {
            FolderDevice::open(HeldFolder::at($folder), Bytes::of(TestPattern::BLOCK));
            self::fail('The second run was let in.');
        } catch (UnusablePath $fault) {
            self::assertStringContainsString('Another run is using', $fault->getMessage());
        } finally {
            $first->close();
        }
    }

    public function test_a_folder_that_vanishes_is_named_as_gone(): void
    {
        $folder = $this->folder();
        $device = FolderDevice::open(HeldFolder::at($folder), Bytes::of(2 * TestPattern::BLOCK));
        $device->write(0, new Literal(str_repeat('a', TestPattern::BLOCK)));
        $device->settle();
        self::removeAll($folder);
        $this->expectException(MediumGone::class);
        $this->expectExceptionMessage('is gone');
        $device->forget();
        $device->read(0, TestPattern::BLOCK);
    }

    public function test_a_file_that_was_cut_short_by_something_else_is_not_held_against_the_card(): void
    {
        $device = FolderDevice::open(HeldFolder::at($this->folder()), Bytes::of(2 * TestPattern::BLOCK));
        $device->write(0, new Literal('short'));
        try {
            $this->expectException(HostRefused::class);
            $device->read(0, TestPattern::BLOCK);
        } finally {
            $device->close();
        }
    }

    public function test_a_path_that_is_no_folder_is_refused_with_a_sentence(): void
    {
        $file = $this->folder().'/file';
        touch($file);
        foreach (['/no/such/place' => 'There is no folder', $file => 'is not a folder'] as $path => $words) {
            try {
                FolderDevice::open(HeldFolder::at($path), Bytes::of(1));
                self::fail("{$path} was taken.");
            } catch (UnusablePath $fault) {
                self::assertStringContainsString($words, $fault->getMessage());
                self::assertStringContainsString($path, $fault->getMessage());
            }
        }
    }

    public function test_more_than_is_free_is_refused_before_anything_is_written(): void
    {
        $folder = $this->folder();
        try {
            FolderDevice::open(HeldFolder::at($folder), Bytes::parse('900 PB'));
            self::fail('It was taken.');
        } catch (UnusablePath $fault) {
            self::assertStringContainsString('900 PB was asked for', $fault->getMessage());
        }
        self::assertSame([], self::everything($folder));
    }

    public function test_a_file_system_in_memory_cannot_be_made_to_forget(): void
    {
        if (! Mount::of('/dev/shm')->isInMemory()) {
            self::markTestSkipped('/dev/shm is no file system in memory here.');
        }
        $device = FolderDevice::open(HeldFolder::at($this->folder('/dev/shm')), Bytes::of(TestPattern::BLOCK));
        $device->write(0, new Literal('x'));
        self::assertFalse($device->forget());
        $device->close();
    }

    public function test_the_mount_of_a_folder_is_the_nearest_one(): void
    {
        self::assertSame('/proc', Mount::of('/proc/self')->point);
        self::assertSame('proc', Mount::of('/proc')->type);
        self::assertNotSame('/proc', Mount::of('/processed')->point);
    }
}
