<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\HostClock;
use Tally\Transfer\Filed\ChecksumList;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopyRecord;
use Tally\Transfer\Filed\FolderFinding;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Source;
use Tally\Transfer\Sums;
use Tally\Transfer\Transfer;
use Tests\Support\CardFolder;

final class FolderCheckTest extends TestCase
{
    use CardFolder;

    public function test_missing_changed_and_extra_are_told_apart(): void
    {
        $drive = $this->home(['a.mov' => 'a', 'b.mov' => 'b', 'c.mov' => 'c', '7' => 'seven']);
        self::assertTrue($this->checked("{$drive}/QS-014")->isWhole());
        unlink("{$drive}/QS-014/a.mov");
        file_put_contents("{$drive}/QS-014/b.mov", 'x');
        file_put_contents("{$drive}/QS-014/8", 'x');
        $found = $this->checked("{$drive}/QS-014");
        self::assertSame([['a.mov'], ['b.mov'], ['8'], 2], [$found->missing, $found->changed, $found->extra, $found->same]);
    }

    public function test_one_list_alone_is_enough_and_two_that_contradict_one_another_are_told(): void
    {
        $drive = $this->home(['a.mov' => 'a']);
        unlink("{$drive}/QS-014.copy.json");
        unlink("{$drive}/QS-014.xxh128");
        self::assertTrue($this->checked("{$drive}/QS-014")->isWhole());
        file_put_contents("{$drive}/QS-014.2.sha256", str_repeat('0', 64)."  QS-014/a.mov\n");
        $found = $this->checked("{$drive}/QS-014");
        self::assertSame([[], false], [$found->changed, $found->isWhole()]);
        self::assertSame(['QS-014.sha256'], $found->disputed[0]->right());
        self::assertSame('a.mov: it is as QS-014.sha256 says, and not as QS-014.2.sha256 says', $found->disputed[0]->sentence());
        // Changed as well, it is as neither says.
        file_put_contents("{$drive}/QS-014/a.mov", 'z');
        self::assertSame([], $this->checked("{$drive}/QS-014")->disputed[0]->right());
    }

    public function test_without_a_list_it_says_so(): void
    {
        $card = $this->cardFolder(['a.mov' => 'a']);
        $this->expectException(CannotCopy::class);
        $this->expectExceptionMessage('no list to hold it against');
        TreeCheck::of($card);
    }

    /** @return iterable<string, array{string, string}> */
    public static function wrongLists(): iterable
    {
        $sum = str_repeat('0', 64);
        yield 'out of the folder' => ['sha256', "{$sum}  QS-014/../../etc/passwd\n"];
        yield 'from the root' => ['sha256', "{$sum}  /etc/passwd\n"];
        yield 'another folder' => ['sha256', "{$sum}  QS-015/a.mov\n"];
        yield 'no checksum' => ['sha256', "abc  QS-014/a.mov\n"];
        yield 'no bytes' => ['sha256', ''];
        yield 'torn' => ['sha256', "{$sum}  QS-014/a.mov\n{$sum}  QS-0"];
        yield 'no list at all' => ['xxh128', "\x00\x01\x02"];
        yield 'no JSON' => ['copy.json', 'hello'];
        yield 'another format' => ['copy.json', '{"format":"x","version":1,"files":[]}'];
        yield 'a name that leads out' => ['copy.json', (string) json_encode([
            'format' => CopyRecord::FORMAT, 'version' => 1,
            'files' => [['path' => '../x', 'bytes' => 1, 'changed' => '1.0', 'xxh128' => str_repeat('0', 32), 'sha256' => $sum]],
        ])];
    }

    #[DataProvider('wrongLists')]
    public function test_a_list_that_is_none_is_a_finding(string $kind, string $list): void
    {
        $card = $this->cardFolder(['a.mov' => 'a']);
        file_put_contents("{$card}.{$kind}", $list);
        $found = $this->checked($card);
        self::assertFalse($found->isAsListed());
        self::assertStringContainsString("QS-014.{$kind}", $found->faults[0]);
    }

    public function test_names_go_through_a_list_and_back(): void
    {
        // The letters of sha256sum: coreutils manual, “cksum output modes”.
        $names = ["a\nb", 'c\\d', "e\rf", ' lead', "x\xFFy", 'plain'];
        $files = array_map(
            fn (string $name): ListedFile => new ListedFile($name, 1, 0, 0, sums: new Sums(md5($name), hash('sha256', $name))),
            $names,
        );
        self::assertSame(
            array_map(fn (string $name): array => ["QS/{$name}", hash('sha256', $name)], $names),
            ChecksumList::read(ChecksumList::sha256('QS', $files), 64, true),
        );
        $record = new CopyRecord(
            new Circumstances(null, null, 'h', null, began: 'a', ended: 'b'),
            '/card',
            '/drive',
            [],
            skipped: [],
            files: $files,
            forgot: true,
        );
        self::assertEquals($files, CopyRecord::files($record->json()));
    }

    private function checked(string $folder): FolderFinding
    {
        return TreeCheck::of($folder)->run(new HostClock())->folders[0];
    }

    /**
     * @param  array<string>  $files  path → bytes
     * @return string the drive
     */
    private function home(array $files): string
    {
        $drive = $this->folder();
        $transfer = Transfer::of(Source::at($this->cardFolder($files)), [$drive => 'QS-014']);
        $transfer->file(
            $transfer->run(new HostClock()),
            new Circumstances('QS-014', null, 'bench', null, began: '2026-11-27T20:00:00Z', ended: ''),
        );

        return $drive;
    }
}
