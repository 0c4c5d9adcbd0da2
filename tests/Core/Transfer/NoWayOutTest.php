<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tests\Support\CardFolder;

/** All that a path can do to lead out of its folder, before and while a card is copied. */
final class NoWayOutTest extends TestCase
{
    use CardFolder;

    public function test_links_and_what_is_no_file_are_left_out_and_told(): void
    {
        $outside = $this->folder();
        file_put_contents("{$outside}/secret", 'secret');
        $card = $this->cardFolder(['a.mov' => 'a']);
        symlink("{$outside}/secret", "{$card}/link");
        symlink($outside, "{$card}/linked-folder");
        symlink('../..', "{$card}/up");
        posix_mkfifo("{$card}/pipe", 0600);
        $socket = stream_socket_server("unix://{$card}/socket");
        self::assertIsResource($socket);
        $source = Source::at($card);
        self::assertSame(['a.mov'], array_map(fn ($file): string => $file->path, $source->files));
        self::assertSame(['link', 'linked-folder', 'pipe', 'socket', 'up'], $source->skipped);
    }

    /** @return iterable<string, array{string}> */
    public static function waysOut(): iterable
    {
        foreach (['../secret', '/etc/passwd', 'link', 'folder/secret', 'up/secret', 'DCIM/../../secret', "a\0b"] as $path) {
            yield strtr($path, "\0", '0') => [$path];
        }
    }

    #[DataProvider('waysOut')]
    public function test_the_kernel_opens_nothing_outside(string $path): void
    {
        $above = $this->folder();
        file_put_contents("{$above}/secret", 'secret');
        mkdir("{$above}/root/DCIM", recursive: true);
        symlink("{$above}/secret", "{$above}/root/link");
        symlink($above, "{$above}/root/folder");
        symlink('..', "{$above}/root/up");
        foreach ([Calls::READ, Calls::WRITE | Calls::CREATE, Calls::READ | Calls::DIRECTORY] as $flags) {
            try {
                Beneath::folder("{$above}/root")->file($path, $flags);
                self::fail("{$path} was opened");
            } catch (HostError $error) {
                self::assertContains($error->errno, [HostError::EXDEV, HostError::ELOOP, HostError::ENOTDIR, HostError::EINVAL]);
            }
        }
        self::assertSame('secret', file_get_contents("{$above}/secret"));
    }

    /** @return iterable<string, array{string}> */
    public static function linksOnADrive(): iterable
    {
        yield 'the folder of the card' => ['QS-014'];
        yield 'a folder in it' => ['QS-014/DCIM'];
        yield 'the place of a file' => ['QS-014/DCIM/b.mov'];
    }

    #[DataProvider('linksOnADrive')]
    public function test_a_link_on_the_drive_is_not_written_through(string $at): void
    {
        $outside = $this->folder();
        $drive = $this->folder();
        @mkdir(dirname("{$drive}/{$at}"), recursive: true);
        symlink($outside, "{$drive}/{$at}");
        try {
            $result = Transfer::of(Source::at($this->cardFolder(['DCIM/b.mov' => 'b'])), [$drive => 'QS-014'])->run(new HostClock());
            self::assertFalse($result->isHome());
        } catch (DeviceFault $fault) {
            self::assertNotSame('', $fault->getMessage());
        }
        self::assertSame([], $this->tree($outside));
    }

    /** @return iterable<string, array{string}> */
    public static function swapped(): iterable
    {
        yield 'a folder of the drive' => ['drive'];
        yield 'a folder of the card' => ['card'];
    }

    #[DataProvider('swapped')]
    public function test_a_folder_that_becomes_a_link_while_running_leads_nowhere(string $which): void
    {
        $outside = $this->folder();
        file_put_contents("{$outside}/z.mov", 'secret');
        // More than what is asked for ahead.
        $files = ['DCIM/a.mov' => random_bytes(70_000_000)];
        for ($i = 0; $i < 40; $i++) {
            $files["DCIM/b-{$i}"] = 'b';
        }
        $card = $this->cardFolder([...$files, 'DCIM/z.mov' => 'z']);
        $drive = $this->folder();
        $folder = $which === 'drive' ? "{$drive}/QS-014/DCIM" : "{$card}/DCIM";
        $swap = new class($folder, $outside) implements Observer
        {
            private bool $done = false;

            public function __construct(private readonly string $folder, private readonly string $outside) {}

            public function progress(Progress $progress): void
            {
                if (! $this->done && ($progress->at > 69_000_000 || is_dir($this->folder) && str_contains($this->folder, 'QS-014/DCIM'))) {
                    $this->done =
                        is_dir($this->folder) &&
                        rename($this->folder, "{$this->folder}-before") &&
                        symlink($this->outside, $this->folder);
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $result = Transfer::of(Source::at($card), [$drive => 'QS-014'])->run(new HostClock(), $swap);
        self::assertTrue(is_link($folder), 'it was swapped');
        self::assertFalse($result->isHome());
        self::assertSame(['z.mov' => 'secret'], $this->tree($outside));
        self::assertNotContains('secret', $this->tree($drive));
    }
}
