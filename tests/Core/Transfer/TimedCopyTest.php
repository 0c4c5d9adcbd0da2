<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Record\CopyRecord;
use Tally\Transfer\FilePath;
use Tally\Transfer\Source;
use Tally\Transfer\TimedCopy;
use Tally\Value\Values;
use Tests\Support\Meddle;
use Tests\Support\StopAt;
use Tests\Support\TemporaryFolder;

final class TimedCopyTest extends TestCase
{
    use TemporaryFolder;

    /** @return array{string, string} a card with some files, and an empty drive */
    private function cardAndDrive(): array
    {
        $folder = $this->folder();
        mkdir("{$folder}/card/DCIM/100", 0777, true);
        mkdir("{$folder}/drive");
        foreach (range(1, 12) as $i) {
            file_put_contents("{$folder}/card/DCIM/100/IMG_{$i}.raw", random_bytes($i <= 9 ? 20_000 : 3_000_000));
        }
        file_put_contents("{$folder}/card/empty.txt", '');
        touch("{$folder}/card/DCIM/100/IMG_1.raw", 1_700_000_000);
        symlink('/etc/passwd', "{$folder}/card/link");

        return ["{$folder}/card", "{$folder}/drive"];
    }

    public function test_it_copies_every_file_and_reads_it_back(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock());
        self::assertSame(13, $result->files);
        self::assertSame(9_180_000, $result->bytes->count);
        self::assertSame([], $result->different);
        self::assertSame(['link'], $result->skipped);
        self::assertFalse($result->stopped);
        self::assertGreaterThan($result->copied->seconds, $result->verified?->seconds);
        foreach (range(1, 12) as $i) {
            self::assertFileEquals("{$card}/DCIM/100/IMG_{$i}.raw", "{$drive}/card/DCIM/100/IMG_{$i}.raw");
        }
        self::assertFileExists("{$drive}/card/empty.txt");
        self::assertSame(1_700_000_000, filemtime("{$drive}/card/DCIM/100/IMG_1.raw"));
        self::assertFileDoesNotExist("{$drive}/card/link");
    }

    public function test_without_verifying_done_means_copied(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        self::assertNull(TimedCopy::of($card, $drive, false)->run(new HostClock())->verified);
    }

    public function test_a_copy_that_changed_before_it_was_read_back_is_named(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $meddle = new class($drive) implements Observer
        {
            public function __construct(private readonly string $drive) {}

            public function progress(Progress $progress): void
            {
                $file = "{$this->drive}/card/DCIM/100/IMG_7.raw";
                if ($progress->phase === Phase::Reading && is_file($file) && fileatime($file) !== 1) {
                    file_put_contents($file, str_repeat('x', 20_000));
                    touch($file, 1, 1);
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        self::assertSame(['DCIM/100/IMG_7.raw'], TimedCopy::of($card, $drive, true)->run(new HostClock(), $meddle)->different);
    }

    public function test_stopped_it_keeps_whole_files_and_no_piece_of_one(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock(), new StopAt(Phase::Writing, 0.5, 1));
        self::assertTrue($result->stopped);
        self::assertNull($result->verified);
        $copied = Source::at("{$drive}/card");
        self::assertCount($result->files, $copied->files);
        self::assertSame($result->bytes->count, $copied->bytes());
        foreach ($copied->files as $file) {
            self::assertFileEquals("{$card}/{$file->path}", "{$drive}/card/{$file->path}");
        }
    }

    public function test_a_card_pulled_out_ends_it_with_a_sentence(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        // More than are opened before it is their turn.
        foreach (range(1, 100) as $i) {
            file_put_contents("{$card}/DCIM/100/MORE_{$i}.raw", 'x');
        }
        $pull = new class($card) implements Observer
        {
            public function __construct(private readonly string $card) {}

            public function progress(Progress $progress): void
            {
                if ($progress->done > 3_000_000 && is_dir($this->card)) {
                    rename($this->card, "{$this->card}-away");
                    exec('rm -r '.escapeshellarg("{$this->card}-away"));
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock(), $pull);
        self::assertStringContainsString('is gone: the card was pulled out', (string) $result->cutShort);
        self::assertGreaterThan(0, $result->files);
        self::assertCount($result->files, Source::at("{$drive}/card")->files);
    }

    public function test_names_of_any_bytes_and_length_are_copied_or_told(): void
    {
        $card = $this->folder().'/card';
        $drive = $this->folder();
        mkdir($card);
        $names = [str_repeat('n', 255), "caf\xE9.mov", "new\nline.mov", 'ünïcode.mov', ' blank ', '-rf'];
        foreach ($names as $name) {
            file_put_contents("{$card}/{$name}", $name);
        }
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock());
        self::assertNull($result->cutShort);
        self::assertSame([count($names), []], [$result->files, $result->different]);
        foreach ($names as $name) {
            self::assertSame($name, file_get_contents("{$drive}/card/{$name}"));
        }
        // What is kept of it is text, whatever the names are.
        self::assertSame('caf\\xE9.mov', FilePath::shown($names[1]));
        self::assertIsString(json_encode((array) Values::plain(CopyRecord::of($result))));
    }

    public function test_a_file_that_a_drive_takes_for_another_of_the_same_name_is_told_and_overwrites_nothing(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $watch = new Meddle(1, function () use ($drive): void {
            @mkdir("{$drive}/card/DCIM/100", recursive: true);
            @file_put_contents("{$drive}/card/DCIM/100/IMG_10.raw", 'somebody else');
        });
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock(), $watch);
        self::assertStringContainsString('IMG_10.raw” is there already, and nothing is ever overwritten', (string) $result->cutShort);
        self::assertNull($result->verified, 'what was copied before was not read back, and nobody says so');
        self::assertSame('somebody else', file_get_contents("{$drive}/card/DCIM/100/IMG_10.raw"));
    }

    public function test_a_piece_of_a_file_never_has_its_name(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $seen = [];
        $watch = new Meddle(100_000, function () use ($drive, &$seen): void {
            $seen = self::everything($drive);
        });
        TimedCopy::of($card, $drive, false)->run(new HostClock(), $watch);
        self::assertNotSame([], array_filter($seen, fn (string $name): bool => preg_match('#^\.gritty-tally-.*/\d+\.part$#', $name) === 1));
        self::assertNotContains('card/DCIM/100/IMG_10.raw', $seen);
        self::assertSame([], array_filter(self::everything($drive), fn (string $name): bool => str_contains($name, 'gritty')));
    }

    /** @return iterable<string, array{string, string, string}> source, into, what is said */
    public static function refused(): iterable
    {
        yield 'no source' => ['nowhere', 'drive', 'There is no folder'];
        yield 'no drive' => ['card', 'nowhere', 'There is no folder'];
        yield 'a file for a source' => ['card/empty.txt', 'drive', 'is not a folder'];
        yield 'a file for a drive' => ['card', 'card/empty.txt', 'is not a folder'];
        yield 'nothing in it' => ['drive', 'card', 'holds no files'];
        yield 'into itself' => ['card', 'card/DCIM', 'cannot be copied into itself'];
        yield 'into its own place' => ['card', '.', 'is there already, and nothing is ever overwritten'];
    }

    #[DataProvider('refused')]
    public function test_what_cannot_be_copied_is_refused_before_anything_is_written(string $source, string $into, string $said): void
    {
        [$card] = $this->cardAndDrive();
        $folder = dirname($card);
        $before = self::everything($folder);
        try {
            TimedCopy::of("{$folder}/{$source}", "{$folder}/{$into}", false);
            self::fail('It was taken.');
        } catch (UnusablePath $fault) {
            self::assertStringContainsString($said, $fault->getMessage());
        }
        self::assertSame($before, self::everything($folder));
    }

    public function test_pieces_of_one_that_died_are_in_nobodys_way(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $died = TimedCopy::of($card, $drive, false);
        unset($died);
        self::assertNotSame([], self::everything($drive));
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock());
        self::assertSame([13, [], null], [$result->files, $result->different, $result->cutShort]);
        self::assertSame([], array_filter(self::everything($drive), fn (string $name): bool => str_contains($name, 'gritty')));
    }

    public function test_one_file_that_cannot_be_copied_as_it_is_is_told_and_the_rest_is_copied(): void
    {
        [$card, $drive] = $this->cardAndDrive();
        $writes = new class("{$card}/DCIM/100/IMG_3.raw") implements Observer
        {
            public function __construct(private readonly string $file) {}

            public function progress(Progress $progress): void
            {
                if ($progress->phase === Phase::Writing) {
                    file_put_contents($this->file, 'more', FILE_APPEND);
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $result = TimedCopy::of($card, $drive, true)->run(new HostClock(), $writes);
        self::assertStringContainsString('IMG_3.raw changed while it was copied', (string) $result->cutShort);
        self::assertSame([12, []], [$result->files, $result->different]);
        self::assertFileDoesNotExist("{$drive}/card/DCIM/100/IMG_3.raw");
    }
}
