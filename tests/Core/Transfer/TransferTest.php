<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use Closure;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Probe\Observing\Unobserved;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;
use Tally\Transfer\TroubleKind;
use Tests\Support\CardFolder;

final class TransferTest extends TestCase
{
    use CardFolder;

    public function test_all_of_a_card_is_on_both_drives_with_its_dates_and_the_card_is_read_once(): void
    {
        $files = ['DCIM/100/a.mov' => random_bytes(3_000_000), 'DCIM/100/b.mov' => random_bytes(70_000), '12' => 'x', 'none' => ''];
        $card = $this->cardFolder($files);
        mkdir("{$card}/MISC");
        touch("{$card}/DCIM/100/b.mov", 1_500_000_000);
        [$one, $two] = [$this->folder(), $this->folder()];
        $result = $this->bring($card, [$one, $two]);
        self::assertTrue($result->isHome());
        self::assertSame(3_070_001, $result->read);
        self::assertSame([4, 4], [$result->copies[0]->copied, $result->copies[1]->verified]);
        foreach ([$one, $two] as $drive) {
            self::assertSame($this->tree($card), $this->tree("{$drive}/QS-014"));
            self::assertSame(1_500_000_000, filemtime("{$drive}/QS-014/DCIM/100/b.mov"));
            self::assertSame(filemtime("{$card}/DCIM/100/a.mov"), filemtime("{$drive}/QS-014/DCIM/100/a.mov"));
            // Nothing of the work itself stays.
            self::assertSame(
                ['QS-014', 'QS-014.copy.json', 'QS-014.sha256', 'QS-014.xxh128'],
                array_values(array_diff((array) scandir($drive), ['.', '..'])),
            );
        }
    }

    public function test_the_checksums_are_those_that_php_takes(): void
    {
        $bytes = random_bytes(2_500_000);
        $drive = $this->folder();
        $this->bring($this->cardFolder(['a.mov' => $bytes]), [$drive]);
        self::assertSame(hash('sha256', $bytes)."  QS-014/a.mov\n", file_get_contents("{$drive}/QS-014.sha256"));
        self::assertSame(hash('xxh128', $bytes)."  QS-014/a.mov\n", file_get_contents("{$drive}/QS-014.xxh128"));
    }

    public function test_what_is_there_and_is_the_same_is_counted_and_not_written(): void
    {
        $card = $this->cardFolder(['a.mov' => 'one', 'b.mov' => 'two']);
        $drive = $this->folder();
        mkdir("{$drive}/QS-014");
        file_put_contents("{$drive}/QS-014/a.mov", 'one');
        touch("{$drive}/QS-014/a.mov", 1_000_000_000);
        $inode = fileinode("{$drive}/QS-014/a.mov");
        $result = $this->bring($card, [$drive]);
        self::assertTrue($result->isHome());
        self::assertSame([1, 1], [$result->copies[0]->there, $result->copies[0]->copied]);
        clearstatcache();
        self::assertSame([$inode, 1_000_000_000], [fileinode("{$drive}/QS-014/a.mov"), filemtime("{$drive}/QS-014/a.mov")]);
        // Once more: nothing is written, and no second list.
        self::assertSame(0, $this->bring($card, [$drive])->copies[0]->written);
        self::assertCount(4, array_diff((array) scandir($drive), ['.', '..']));
    }

    public function test_one_of_the_same_name_that_differs_stops_the_card_before_the_first_byte(): void
    {
        foreach (['anders', 'drei'] as $other) {
            $card = $this->cardFolder(['a.mov' => 'zwei', 'b.mov' => 'b']);
            $drive = $this->folder();
            mkdir("{$drive}/QS-014");
            file_put_contents("{$drive}/QS-014/a.mov", $other);
            $before = $this->tree($drive);
            try {
                $this->bring($card, [$drive]);
                self::fail('It was copied all the same.');
            } catch (CannotCopy $fault) {
                self::assertSame('differs', $fault->reason);
                self::assertStringContainsString('QS-014/a.mov', $fault->getMessage());
            }
            self::assertSame($before, $this->tree($drive));
        }
    }

    public function test_a_byte_that_flips_between_writing_and_reading_back_is_named_and_loses_its_name(): void
    {
        $card = $this->cardFolder(['DCIM/a.mov' => str_repeat('a', 400_000), 'DCIM/b.mov' => str_repeat('b', 400_000)]);
        [$one, $two] = [$this->folder(), $this->folder()];
        $result = $this->bring($card, [$one, $two], $this->atReading(function () use ($two): void {
            $file = fopen("{$two}/QS-014/DCIM/b.mov", 'r+b');
            self::assertIsResource($file);
            fseek($file, 399_999);
            fwrite($file, 'c');
            fclose($file);
        }));
        self::assertFalse($result->isHome());
        self::assertSame([TroubleKind::CopyDiffers], array_map(fn ($trouble) => $trouble->kind, $result->troubles));
        self::assertSame(['DCIM/b.mov', $two], [$result->troubles[0]->path, $result->troubles[0]->drive]);
        self::assertSame([[], ['DCIM/b.mov']], [$result->copies[0]->missing, $result->copies[1]->missing]);
        self::assertFileDoesNotExist("{$two}/QS-014/DCIM/b.mov");
        self::assertFileExists("{$two}/QS-014/DCIM/b.mov.differs");
        self::assertFileDoesNotExist("{$two}/QS-014.sha256");
        self::assertFileExists("{$one}/QS-014.sha256");
        // Gone on with, that one alone is copied anew.
        $again = $this->bring($card, [$two], resume: true);
        self::assertTrue($again->isHome());
        self::assertSame([1, 1], [$again->copies[0]->copied, $again->copies[0]->there]);
    }

    public function test_a_card_that_reads_otherwise_the_second_time_is_the_cards_trouble(): void
    {
        $card = $this->cardFolder(['a.mov' => str_repeat('a', 1000), 'b.mov' => str_repeat('b', 1000)]);
        $drive = $this->folder();
        $result = $this->bring($card, [$drive], $this->atReading(function () use ($card, $drive): void {
            file_put_contents("{$drive}/QS-014/b.mov", str_repeat('x', 1000));
            file_put_contents("{$card}/b.mov", str_repeat('y', 1000));
        }));
        self::assertSame(TroubleKind::SourceUnsteady, $result->troubles[0]->kind);
        self::assertTrue($result->troubles[0]->kind->isOfTheSource());
    }

    public function test_a_file_that_changes_while_it_is_copied_is_told_and_the_others_go_on(): void
    {
        $card = $this->cardFolder(['a.mov' => random_bytes(3_000_000), 'b.mov' => 'b']);
        $drive = $this->folder();
        $grows = fn (Progress $progress): int|false => $progress->phase === Phase::Writing && $progress->of > 1
            ? file_put_contents("{$card}/a.mov", 'more', FILE_APPEND)
            : false;
        $result = $this->bring($card, [$drive], $this->watching($grows));
        self::assertSame([TroubleKind::Changed], array_map(fn ($trouble) => $trouble->kind, $result->troubles));
        self::assertSame(['b.mov' => 'b'], $this->tree("{$drive}/QS-014"));
        self::assertFalse($result->isHome());
        self::assertTrue($this->bring($card, [$drive], resume: true)->isHome());
    }

    public function test_a_file_that_grows_while_the_copies_are_read_back_is_told(): void
    {
        $card = $this->cardFolder(['a.mov' => random_bytes(3_000_000)]);
        $drive = $this->folder();
        $grown = false;
        $grows = function (Progress $progress) use ($card, &$grown): void {
            if ($progress->phase === Phase::Reading && ! $grown) {
                $grown = (bool) file_put_contents("{$card}/a.mov", 'more', FILE_APPEND);
            }
        };
        $result = $this->bring($card, [$drive], $this->watching($grows));
        self::assertSame([TroubleKind::Changed], array_map(fn ($trouble) => $trouble->kind, $result->troubles));
        self::assertFalse($result->isHome());
        self::assertTrue($this->bring($card, [$drive], resume: true)->isHome());
        // What was read back before it grew is moved aside, never written over.
        self::assertSame(['a.mov' => 3_000_004, 'a.mov.earlier' => 3_000_000], array_map(strlen(...), $this->tree("{$drive}/QS-014")));
    }

    public function test_a_copy_whose_drive_is_another_by_the_end_is_no_copy(): void
    {
        $card = $this->cardFolder(['DCIM/a.mov' => 'a clip', 'DCIM/b.mov' => 'another']);
        [$one, $two] = [$this->folder(), $this->folder()];
        $swap = function () use ($two): void {
            rename($two, "{$two}-before");
            mkdir($two);
        };
        $result = $this->bring($card, [$one, $two], $this->atReading($swap));
        self::assertSame([true, false], array_map(fn ($copy): bool => $copy->isWhole(2), $result->copies));
        self::assertStringContainsString('Something else is mounted', (string) $result->copies[1]->fault);
        self::assertNull($result->copies[1]->place);
        self::assertNotNull($result->copies[0]->place);
        exec('rm -rf '.escapeshellarg("{$two}-before"));
    }

    public function test_stopped_it_goes_on_where_it_was(): void
    {
        $files = [];
        for ($i = 1; $i <= 40; $i++) {
            $files["clip-{$i}"] = random_bytes(5000);
        }
        $card = $this->cardFolder($files);
        $drive = $this->folder();
        $stopping = new class implements Observer
        {
            private int $beats = 0;

            public function progress(Progress $progress): void
            {
                $this->beats++;
            }

            public function wantsStop(): bool
            {
                return $this->beats >= 12;
            }
        };
        $stopped = $this->bring($card, [$drive], $stopping);
        self::assertTrue($stopped->stopped);
        self::assertSame(12, $stopped->copies[0]->copied);
        try {
            $this->bring($card, [$drive]);
            self::fail('It was begun anew.');
        } catch (CannotCopy $fault) {
            self::assertSame('unfinished', $fault->reason);
        }
        $rest = $this->bring($card, [$drive], resume: true);
        self::assertTrue($rest->isHome());
        self::assertSame([28, 12], [$rest->copies[0]->copied, $rest->copies[0]->there]);
        self::assertSame(28 * 5000, $rest->read);
    }

    public function test_a_relay_gives_on_what_the_card_gave_and_nothing_else(): void
    {
        $card = $this->cardFolder(['a.mov' => str_repeat('a', 900), 'b.mov' => str_repeat('b', 900)]);
        [$one, $two] = [$this->folder(), $this->folder()];
        $first = Transfer::of(Source::at($card), [$one => 'QS-014']);
        self::assertTrue($first->run(new HostClock())->isHome());
        file_put_contents("{$one}/QS-014/b.mov", str_repeat('c', 900));
        file_put_contents("{$one}/QS-014/somebody-elses", 'x');
        $onward = Transfer::of(Source::at("{$one}/QS-014"), [$two => 'QS-014'], known: $first->whole(0));
        $result = $onward->run(new HostClock());
        self::assertSame([TroubleKind::SourceDiffers], array_map(fn ($trouble) => $trouble->kind, $result->troubles));
        self::assertSame(['a.mov' => str_repeat('a', 900)], $this->tree("{$two}/QS-014"));
        self::assertFalse($result->isHome());
    }

    /** @param  Closure(string): mixed  $make */
    private function refused(string $reason, Closure $make): void
    {
        $card = $this->cardFolder(['a.mov' => 'a']);
        try {
            $make($card);
            self::fail("Not refused: {$reason}");
        } catch (UnusablePath $fault) {
            self::assertSame($reason, $fault->reason);
        }
    }

    public function test_what_cannot_be_is_refused_with_a_sentence(): void
    {
        $this->refused('inside', fn (string $card) => Transfer::of(Source::at($card), [$card => 'copy']));
        $this->refused('inside', fn (string $card) => Transfer::of(Source::at("{$card}"), [dirname($card) => 'QS-014']));
        $both = fn (string $card, string $drive) => Transfer::of(Source::at($card), [$drive => 'QS', "{$drive}/QS/sub" => 'QS']);
        $this->refused('inside', function (string $card) use ($both) {
            mkdir(($drive = $this->folder()).'/QS/sub', recursive: true);

            return $both($card, $drive);
        });
        foreach (['..', '../QS', '/QS', 'a/../b', 'a//b', '', "a\0b"] as $name) {
            $this->refused('leadsOut', fn () => Transfer::of(Source::at($this->cardFolder(['a' => 'a'])), [$this->folder() => $name]));
        }
        $this->refused('missing', fn (string $card) => Transfer::of(Source::at($card), ["{$card}-not" => 'QS-014']));
        $this->refused('missing', fn (string $card) => Source::at("{$card}-not"));
        $this->refused('notAFolder', fn (string $card) => Source::at("{$card}/a.mov"));
        $this->refused('emptyFolder', fn () => Source::at($this->folder()));
    }

    /** @param  list<string>  $drives */
    private function bring(string $card, array $drives, Observer $observer = new Unobserved(), bool $resume = false): TransferResult
    {
        $transfer = Transfer::of(Source::at($card), array_fill_keys($drives, 'QS-014'), $resume);
        $result = $transfer->run(new HostClock(), $observer);
        $transfer->file(
            $result,
            new Circumstances('QS-014', 'Wren', 'bench', null, began: '2026-11-27T20:00:00Z', ended: '2026-11-27T20:10:00Z'),
        );

        return $result;
    }

    /** @param  Closure(): void  $do  once, when the first file is read back */
    private function atReading(Closure $do): Observer
    {
        $done = false;

        return $this->watching(function (Progress $progress) use (&$done, $do): void {
            if ($progress->phase === Phase::Reading && ! $done) {
                $done = true;
                $do();
            }
        });
    }

    /** @param  Closure(Progress): mixed  $each */
    private function watching(Closure $each): Observer
    {
        return new class($each) implements Observer
        {
            /** @param  Closure(Progress): mixed  $each */
            public function __construct(private readonly Closure $each) {}

            public function progress(Progress $progress): void
            {
                ($this->each)($progress);
            }

            public function wantsStop(): bool
            {
                return false;
            }
        };
    }
}
