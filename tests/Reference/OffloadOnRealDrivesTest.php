<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;
use Tally\Probe\Observing\Unobserved;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;
use Tests\Support\LoopMount;

/**
 * Cards come home onto real file systems, and programs that are not ours read the lists: Debian’s `sha256sum` (coreutils) and
 * `xxhsum` (xxhash).
 */
final class OffloadOnRealDrivesTest extends TestCase
{
    use LoopMount;

    /** @return iterable<string, array{string, string}> */
    public static function pairs(): iterable
    {
        yield 'from exFAT to ext4' => ['exfat', 'ext4'];
        yield 'from ext4 to exFAT' => ['ext4', 'exfat'];
    }

    #[DataProvider('pairs')]
    public function test_other_programs_find_the_lists_right(string $from, string $to): void
    {
        $card = $this->laden($this->mounted($from, 64));
        $drive = $this->mounted($to, 96);
        self::assertTrue($this->bring($card, $drive)->isHome());
        self::assertNotNull(self::shell('cd '.escapeshellarg($drive).' && sha256sum -c --strict QS-014.sha256'));
        self::assertNotNull(self::shell('cd '.escapeshellarg($drive).' && xxhsum -c --strict QS-014.xxh128'));
        self::assertNotNull(self::shell("diff -r {$card} {$drive}/QS-014"));
        self::assertTrue(TreeCheck::of("{$drive}/QS-014")->run(new HostClock())->folders[0]->isWhole());
        file_put_contents("{$drive}/QS-014/DCIM/100/clip-1.mov", 'x', FILE_APPEND);
        unlink("{$drive}/QS-014/DCIM/100/clip-2.mov");
        file_put_contents("{$drive}/QS-014/new", 'x');
        $found = TreeCheck::of("{$drive}/QS-014")->run(new HostClock())->folders[0];
        self::assertSame(
            [['DCIM/100/clip-2.mov'], ['DCIM/100/clip-1.mov'], ['new']],
            [$found->missing, $found->changed, $found->extra],
        );
    }

    public function test_a_drive_that_fills_up_leaves_no_half_file_and_the_other_goes_on(): void
    {
        $card = $this->laden($this->mounted('ext4', 64), 20);
        $full = $this->mounted('ext4', 80);
        $other = $this->mounted('ext4', 96);
        $filler = new class("{$full}/somebody-elses") implements Observer
        {
            public function __construct(private readonly string $file) {}

            public function progress(Progress $progress): void
            {
                if ($progress->done > 10_000_000 && ! file_exists($this->file)) {
                    // Somebody else fills it meanwhile.
                    exec('dd if=/dev/zero bs=1M of='.escapeshellarg($this->file).' 2>/dev/null');
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $transfer = Transfer::of(Source::at($card), [$full => 'QS-014', $other => 'QS-014']);
        $result = $transfer->run(new HostClock(), $filler);
        $transfer->file($result, self::circumstances());
        self::assertNotNull($result->copies[0]->fault);
        self::assertStringContainsString('full', $result->copies[0]->fault);
        self::assertTrue($result->copies[1]->isWhole($result->files));
        self::assertNotNull(self::shell("diff -r {$card} {$other}/QS-014"));
        foreach ((array) glob("{$full}/QS-014/DCIM/100/*") as $file) {
            self::assertFileEquals("{$card}/DCIM/100/".basename((string) $file), (string) $file);
        }
        unlink("{$full}/somebody-elses");
        self::assertTrue($this->bring($card, $full, resume: true)->isHome());
        self::assertNotNull(self::shell("diff -r {$card} {$full}/QS-014"));
    }

    public function test_a_card_that_is_unmounted_is_gone_and_it_goes_on_once_it_is_back(): void
    {
        $point = $this->mounted('ext4', 64);
        $card = $this->laden($point, 20);
        $drive = $this->mounted('ext4', 96);
        $loop = trim((string) self::shell("findmnt -n -o SOURCE {$point}"));
        $pull = new class($point) implements Observer
        {
            private bool $done = false;

            public function __construct(private readonly string $point) {}

            public function progress(Progress $progress): void
            {
                if ($progress->done > 10_000_000 && ! $this->done) {
                    $this->done = true;
                    exec("umount -l {$this->point}");
                }
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
        $transfer = Transfer::of(Source::at($card), [$drive => 'QS-014']);
        $result = $transfer->run(new HostClock(), $pull);
        $transfer->file($result, self::circumstances());
        unset($transfer);
        // What was open could still be read; what was not is gone. Either way nothing is called whole that is not.
        if ($result->isHome()) {
            self::assertNotNull(self::shell("mount -t ext4 {$loop} {$point}"));
            self::assertNotNull(self::shell("diff -r {$card} {$drive}/QS-014"));

            return;
        }
        gc_collect_cycles();
        self::assertNotNull(self::shell("mount -t ext4 {$loop} {$point}"));
        self::assertTrue($this->bring($card, $drive, resume: true)->isHome());
        self::assertNotNull(self::shell("diff -r {$card} {$drive}/QS-014"));
    }

    public function test_names_that_a_drive_cannot_hold_are_told_before_the_first_byte(): void
    {
        $card = $this->mounted('ext4', 32);
        $drive = $this->mounted('exfat', 64);
        foreach ([['a.mov', 'A.MOV'], ["x\xFFy.mov"], [str_repeat('ü', 120).'.mov', 'ok.mov']] as $i => $names) {
            mkdir("{$card}/{$i}");
            foreach ($names as $name) {
                file_put_contents("{$card}/{$i}/{$name}", $name);
            }
            try {
                self::assertTrue($this->bring("{$card}/{$i}", $drive, "QS-{$i}")->isHome());
                self::assertNotNull(self::shell("diff -r {$card}/{$i} {$drive}/QS-{$i}"));
            } catch (UnusablePath $fault) {
                self::assertInstanceOf(CannotCopy::class, $fault);
                self::assertContains($fault->reason, ['oneName', 'cannotBeNamed']);
                self::assertDirectoryDoesNotExist("{$drive}/QS-{$i}");
            }
        }
        self::assertDirectoryDoesNotExist("{$drive}/QS-0", 'upper and lower case are one name on exFAT');
    }

    private function laden(string $point, int $clips = 4): string
    {
        mkdir("{$point}/card/DCIM/100", recursive: true);
        for ($i = 1; $i <= $clips; $i++) {
            file_put_contents("{$point}/card/DCIM/100/clip-{$i}.mov", random_bytes(2_000_000));
        }
        file_put_contents("{$point}/card/Größe & Nähe.txt", 'a name with more than letters');

        return "{$point}/card";
    }

    private function bring(string $card, string $drive, string $name = 'QS-014', bool $resume = false): TransferResult
    {
        $transfer = Transfer::of(Source::at($card), [$drive => $name], $resume);
        $result = $transfer->run(new HostClock(), new Unobserved());
        $transfer->file($result, self::circumstances());

        return $result;
    }

    private static function circumstances(): Circumstances
    {
        return new Circumstances('QS-014', 'Wren', 'bench', null, began: '2026-11-27T20:00:00Z', ended: '2026-11-27T20:10:00Z');
    }
}
