<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use Closure;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Probe\Observing\Unobserved;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\FolderName;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;
use Tally\Transfer\TroubleKind;
use Tests\Support\CardFolder;

/** Copies that ended before they were whole: what lies on the drive then, and how it goes on. */
final class LeftCopyTest extends TestCase
{
    use CardFolder;

    /** @param  Closure(Progress): mixed|null  $each */
    private static function watching(?Closure $each, ?Closure $stops = null): Observer
    {
        return new class($each, $stops) implements Observer
        {
            public function __construct(private readonly ?Closure $each, private readonly ?Closure $stops) {}

            public function progress(Progress $progress): void
            {
                // As a terminal shows it: neither more than all, nor less than nothing left.
                TestCase::assertLessThanOrEqual(1.0, $progress->share());
                TestCase::assertGreaterThanOrEqual(0.0, $progress->left() ?? 0.0);
                if ($this->each !== null) {
                    ($this->each)($progress);
                }
            }

            public function wantsStop(): bool
            {
                return $this->stops !== null && ($this->stops)() === true;
            }
        };
    }

    private function bring(string $card, string $drive, Observer $observer = new Unobserved(), bool $resume = false): TransferResult
    {
        $transfer = Transfer::of(Source::at($card), [$drive => 'QS-014'], $resume);
        $result = $transfer->run(new HostClock(), $observer);
        $transfer->file(
            $result,
            new Circumstances('QS-014', 'Wren', 'bench', null, began: '2026-11-30T20:00:00Z', ended: '2026-11-30T20:10:00Z'),
        );

        return $result;
    }

    public function test_a_file_that_grows_while_it_is_read_is_read_again_and_counted(): void
    {
        $card = $this->cardFolder(['a.mov' => random_bytes(3_000_000), 'b.mov' => 'b']);
        $drive = $this->folder();
        $grown = false;
        $result = $this->bring($card, $drive, self::watching(function (Progress $progress) use ($card, &$grown): void {
            if (! $grown && $progress->phase === Phase::Writing) {
                $grown = file_put_contents("{$card}/a.mov", random_bytes(2_000_000), FILE_APPEND) !== false;
            }
        }));
        self::assertTrue($result->isHome());
        self::assertSame(5_000_001, $result->bytes);
        self::assertFileEquals("{$card}/a.mov", "{$drive}/QS-014/a.mov");
    }

    public function test_what_changes_or_comes_after_it_was_its_turn_is_in_no_copy_and_told(): void
    {
        $card = $this->cardFolder(['a.mov' => 'a', 'b.mov' => random_bytes(3_000_000)]);
        $drive = $this->folder();
        $done = false;
        $result = $this->bring($card, $drive, self::watching(function (Progress $progress) use ($card, &$done): void {
            if (! $done && $progress->phase === Phase::Writing && $progress->of > 1) {
                $done = true;
                file_put_contents("{$card}/a.mov", 'more', FILE_APPEND);
                file_put_contents("{$card}/c.mov", 'new');
            }
        }));
        self::assertFalse($result->isHome());
        self::assertSame(['a.mov', 'c.mov'], array_map(fn ($one): string => $one->path, $result->troubles));
        self::assertTrue($this->bring($card, $drive, resume: true)->isHome());
        self::assertSame($this->tree($card), array_diff_key($this->tree("{$drive}/QS-014"), ['a.mov.earlier' => true]));
    }

    public function test_one_that_never_rests_is_told_by_name_and_lists_are_there_of_what_is_whole(): void
    {
        $card = $this->cardFolder(['a.mov' => random_bytes(2_500_000), 'b.mov' => 'b', 'c.mov' => 'c']);
        $drive = $this->folder();
        $grows = fn (Progress $progress): int|false => $progress->phase === Phase::Writing && $progress->of > 1
            ? file_put_contents("{$card}/a.mov", 'more', FILE_APPEND)
            : false;
        $result = $this->bring($card, $drive, self::watching($grows));
        self::assertSame([TroubleKind::Changed], array_map(fn ($one) => $one->kind, $result->troubles));
        self::assertStringContainsString('a.mov', $result->troubles[0]->sentence());
        // Other people’s programs read them too.
        $check = new Process(['sha256sum', '-c', '--strict', 'QS-014.part.sha256'], $drive);
        self::assertSame(0, $check->run(), $check->getErrorOutput());
        self::assertSame(2, substr_count($check->getOutput(), ': OK'));
        $found = TreeCheck::of($drive)->run(new HostClock());
        self::assertTrue($found->isAsListed());
        self::assertSame([true, 2, false], [$found->folders[0]->isPart, $found->folders[0]->same, $found->folders[0]->isWhole()]);
        // Once it rests the rest comes, and the lists are those of all of it.
        self::assertTrue($this->bring($card, $drive, resume: true)->isHome());
        self::assertSame(['QS-014', 'QS-014.copy.json', 'QS-014.sha256', 'QS-014.xxh128'], array_values(
            array_diff((array) scandir($drive), ['.', '..']),
        ));
        self::assertTrue(TreeCheck::of($drive)->run(new HostClock())->folders[0]->isWhole());
    }

    public function test_gone_on_with_what_was_never_read_back_is_made_anew_and_what_was_keeps_its_bytes(): void
    {
        $card = $this->cardFolder(['a.mov' => str_repeat('a', 900), 'b.mov' => str_repeat('b', 900)]);
        $drive = $this->folder();
        $reading = false;
        // Stopped when the first one has been read back, and the second has not.
        $this->bring($card, $drive, self::watching(
            function (Progress $progress) use (&$reading): void {
                $reading = $progress->phase === Phase::Reading;
            },
            function () use (&$reading): bool {
                return $reading;
            },
        ));
        self::assertSame(1, substr_count((string) file_get_contents("{$drive}/QS-014.part.sha256"), "\n"));
        foreach (['a', 'b'] as $name) {
            file_put_contents("{$card}/{$name}.mov", str_repeat('n', 950));
        }
        $result = $this->bring($card, $drive, resume: true);
        self::assertTrue($result->isHome());
        $lies = array_keys($this->tree("{$drive}/QS-014"));
        self::assertSame(['a.mov', 'a.mov.earlier', 'b.mov'], $lies);
        self::assertSame(str_repeat('a', 900), file_get_contents("{$drive}/QS-014/a.mov.earlier"));
    }

    public function test_killed_it_leaves_a_journal_that_verify_takes_for_a_part(): void
    {
        $files = ['clip.mov' => random_bytes(60_000_000)];
        for ($i = 0; $i < 600; $i++) {
            $files["still-{$i}"] = random_bytes(2000);
        }
        [$card, $drive] = [$this->cardFolder($files), $this->folder()];
        $artisan = dirname(__DIR__, 3).'/artisan';
        $copy = new Process([PHP_BINARY, $artisan, 'tally:offload', $card, "--to={$drive}", '--card=Day/QS-014'], env: [
            'TALLY_SUPERVISED' => 'no',
        ]);
        $copy->start();
        $journal = fn (): string => implode('', array_map(
            fn (string|false $file): string => (string) @file_get_contents((string) $file),
            (array) glob("{$drive}/.gritty-tally-*/journal.jsonl"),
        ));
        while ($copy->isRunning() && ! str_contains($journal(), '"verified"')) {
            usleep(2000);
        }
        $copy->signal(SIGKILL);
        $copy->wait();
        if (is_file("{$drive}/Day/QS-014.sha256")) {
            self::markTestSkipped('It was faster than the kill.');
        }
        foreach ([$drive, "{$drive}/Day", "{$drive}/Day/QS-014"] as $given) {
            $found = TreeCheck::of($given)->run(new HostClock());
            self::assertTrue($found->isAsListed(), $given);
            self::assertTrue($found->folders[0]->isPart);
            self::assertGreaterThan(0, $found->folders[0]->same);
            self::assertSame([], $found->withoutList);
        }
    }

    public function test_a_card_that_ends_a_file_before_its_size_is_the_cards_trouble(): void
    {
        if (! is_readable('/proc/self/mem') || ! is_dir('/sys/kernel')) {
            self::markTestSkipped('This host has no file that says more than it gives.');
        }
        // Files of sysfs say 4096 bytes and give fewer, as a sick card does.
        $card = $this->cardFolder(['b.mov' => 'b']);
        $sick = $this->folder();
        exec("mount --bind /sys/kernel/mm/transparent_hugepage {$sick} 2>/dev/null", result_code: $code);
        if ($code !== 0) {
            self::markTestSkipped('This user mounts nothing.');
        }
        try {
            $result = $this->bring($sick, $this->folder());
            $kinds = array_unique(array_map(fn ($one) => $one->kind, $result->troubles), SORT_REGULAR);
            self::assertSame([TroubleKind::Unreadable], array_values($kinds));
            self::assertFalse($result->isHome());
            self::assertStringContainsString('it ends before its', $result->troubles[0]->sentence());
            self::assertStringNotContainsString('The rest was copied', $result->troubles[0]->sentence());
        } finally {
            exec("umount {$sick}");
        }
        self::assertTrue($this->bring($card, $this->folder())->isHome());
    }

    public function test_a_card_filled_anew_gets_a_folder_of_its_own_and_one_filled_up_the_same_with_one_set_of_lists(): void
    {
        $card = $this->cardFolder(['a.mov' => 'a', 'b.mov' => 'b']);
        $drive = $this->folder();
        $this->bring($card, $drive);
        self::assertSame('QS-014', self::folderFor($card, $drive));
        // Filled up further: the same folder, and lists of all of it in place of those of before.
        file_put_contents("{$card}/c.mov", 'c');
        self::assertSame('QS-014', self::folderFor($card, $drive));
        self::assertTrue($this->bring($card, $drive)->isHome());
        self::assertCount(1, (array) glob("{$drive}/QS-014*.sha256"));
        self::assertSame(3, substr_count((string) file_get_contents("{$drive}/QS-014.sha256"), "\n"));
        // Formatted and filled anew, under a name that is there already.
        unlink("{$card}/b.mov");
        file_put_contents("{$card}/a.mov", 'A');
        touch("{$card}/a.mov", 1_700_000_000);
        self::assertSame('QS-014-2', self::folderFor($card, $drive));
        self::assertSame('QS-014', self::folderFor($card, $this->folder()));
    }

    /** @phpstan-impure */
    private static function folderFor(string $card, string $drive): string
    {
        return FolderName::of(Source::at($card), [$drive], 'QS-014');
    }
}
