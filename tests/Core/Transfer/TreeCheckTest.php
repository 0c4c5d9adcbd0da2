<?php

declare(strict_types=1);

namespace Tests\Core\Transfer;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\FolderFinding;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\Filed\TreeFinding;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tests\Support\CardFolder;

/** `tally:verify` takes what a person gives it. */
final class TreeCheckTest extends TestCase
{
    use CardFolder;

    /** @return string a drive with two cards of a shoot, one of another, and things that nobody listed */
    private function drive(): string
    {
        $drive = $this->folder();
        foreach (['Harbour/Day 1/QS-014' => 'a', 'Harbour/Day 1/QS-015' => 'b', 'Reef/QS-014' => 'c'] as $name => $bytes) {
            $card = $this->cardFolder(["DCIM/{$bytes}.mov" => str_repeat($bytes, 5000), 'b' => $bytes]);
            $transfer = Transfer::of(Source::at($card), [$drive => $name]);
            $how = new Circumstances(basename($name), null, 'bench', null, began: '2026-11-30T20:00:00Z', ended: '2026-11-30T20:01:00Z');
            $transfer->file($transfer->run(new HostClock()), $how);
        }
        mkdir("{$drive}/from somewhere/deep", recursive: true);
        file_put_contents("{$drive}/from somewhere/deep/x.mov", 'x');
        file_put_contents("{$drive}/Harbour/notes.txt", 'x');

        return $drive;
    }

    private function check(string $given): TreeFinding
    {
        return TreeCheck::of($given)->run(new HostClock());
    }

    public function test_a_card_a_shoot_a_drive_and_a_list_are_each_held_against_what_is_there(): void
    {
        $drive = $this->drive();
        foreach (
            [
                "{$drive}/Harbour/Day 1/QS-014" => 1, "{$drive}/Harbour/Day 1" => 2, "{$drive}/Harbour" => 2, $drive => 3,
                "{$drive}/Reef/QS-014.sha256" => 1, "{$drive}/Reef/QS-014.copy.json" => 1,
            ] as $given => $folders
        ) {
            $found = $this->check($given);
            self::assertTrue($found->isAsListed(), $given);
            self::assertCount($folders, $found->folders, $given);
        }
        self::assertSame(
            ["{$drive}/Harbour (the files that lie in it loose)", "{$drive}/from somewhere"],
            $this->check($drive)->withoutList,
        );
        unlink("{$drive}/Reef/QS-014/b");
        self::assertFalse($this->check($drive)->isAsListed());
        self::assertTrue($this->check("{$drive}/Harbour")->isAsListed());
        self::assertFalse($this->check("{$drive}/Reef/QS-014.xxh128")->isAsListed());
        // A folder that is gone leaves its lists behind, and all of it is missing.
        exec('rm -r '.escapeshellarg("{$drive}/Reef/QS-014"));
        $gone = array_values(array_filter($this->check($drive)->folders, fn (FolderFinding $one): bool => ! $one->isAsListed()));
        self::assertSame([['DCIM/c.mov', 'b']], array_map(fn (FolderFinding $one): array => $one->missing, $gone));
    }

    public function test_it_ends_with_0_1_or_2_in_one_report(): void
    {
        $drive = $this->drive();
        $verify = function (string $given, string $more = '--no-ansi'): array {
            $command = new Process([PHP_BINARY, dirname(__DIR__, 3).'/artisan', 'tally:verify', $given, $more], timeout: 60);
            $command->run();

            return [$command->getExitCode(), $command->getOutput().$command->getErrorOutput()];
        };
        [$code, $said] = $verify($drive);
        self::assertSame(0, $code, $said);
        self::assertStringContainsString('from somewhere: no list, so nothing can be said of it', $said);
        file_put_contents("{$drive}/Harbour/Day 1/QS-015.sha256", '');
        file_put_contents("{$drive}/Reef/QS-014.2.sha256", str_repeat('0', 64)."  QS-014/b\n");
        [$code, $said] = $verify($drive, '--json');
        self::assertSame(1, $code, $said);
        self::assertStringContainsString('QS-015.sha256 is empty', $said);
        self::assertStringContainsString('it is as QS-014.copy.json and QS-014.sha256 and QS-014.xxh128 says', $said);
        self::assertSame(2, $verify("{$drive}/not there")[0]);
        self::assertSame(2, $verify("{$drive}/from somewhere")[0]);
        self::assertSame(2, $verify("{$drive}/Harbour/notes.txt")[0]);
    }

    public function test_a_folder_without_any_list_is_told(): void
    {
        $this->expectException(UnusablePath::class);
        $this->expectExceptionMessage('nor in any folder below');
        TreeCheck::of($this->cardFolder(['a' => 'a']));
    }
}
