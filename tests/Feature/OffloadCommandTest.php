<?php

declare(strict_types=1);

namespace Tests\Feature;

use Symfony\Component\Process\Process;
use Tests\Support\CardFolder;
use Tests\Support\LoopMount;
use Tests\TestCase;

/** `tally:offload` and `tally:verify` in the terminal: what they print, and how they end. */
final class OffloadCommandTest extends TestCase
{
    use CardFolder, LoopMount {
        LoopMount::tearDown insteadof CardFolder;
    }

    /** @param  list<string>  $arguments */
    private function tally(string $command, array $arguments): Process
    {
        $process = new Process([PHP_BINARY, base_path('artisan'), $command, ...$arguments], timeout: 60);
        $process->run();

        return $process;
    }

    public function test_a_relay_brings_a_card_home_to_both_drives_and_says_so(): void
    {
        $card = $this->cardFolder(['DCIM/a.mov' => random_bytes(400_000), 'b' => 'b']);
        [$one, $two] = [$this->mounted('ext4', 32), $this->mounted('ext4', 32)];
        $done = $this->tally('tally:offload', [$card, "--to={$one}", "--to={$two}", '--relay', '--card=QS-77', '--json']);
        self::assertSame(0, $done->getExitCode(), $done->getErrorOutput());
        $said = json_decode($done->getOutput(), true);
        self::assertIsArray($said);
        self::assertTrue($said['home']);
        self::assertIsArray($said['transfers']);
        self::assertCount(2, $said['transfers']);
        self::assertSame($this->tree($card), $this->tree("{$one}/QS-77"));
        self::assertSame($this->tree($card), $this->tree("{$two}/QS-77"));
        self::assertSame(file_get_contents("{$one}/QS-77.sha256"), file_get_contents("{$two}/QS-77.sha256"));
        self::assertSame(0, $this->tally('tally:verify', ["{$two}/QS-77"])->getExitCode());
        file_put_contents("{$two}/QS-77/b", 'c');
        $wrong = $this->tally('tally:verify', ["{$two}/QS-77", '--json']);
        self::assertSame(1, $wrong->getExitCode());
        self::assertStringContainsString('"changed":["b"]', $wrong->getOutput());
    }

    public function test_it_ends_with_1_where_something_differs_and_2_where_it_cannot_run(): void
    {
        $card = $this->cardFolder(['a.mov' => 'one']);
        $drive = $this->folder();
        self::assertSame(2, $this->tally('tally:offload', [$card])->getExitCode());
        self::assertSame(2, $this->tally('tally:offload', ["{$card}-not", "--to={$drive}"])->getExitCode());
        self::assertSame(2, $this->tally('tally:offload', [$card, "--to={$drive}", "--to={$drive}"])->getExitCode());
        self::assertSame(2, $this->tally('tally:offload', [$card, "--to={$drive}", '--card=../up'])->getExitCode());
        self::assertSame(2, $this->tally('tally:verify', [$card])->getExitCode());
        mkdir("{$drive}/QS-014");
        file_put_contents("{$drive}/QS-014/a.mov", 'two');
        $differs = $this->tally('tally:offload', [$card, "--to={$drive}"]);
        self::assertSame(1, $differs->getExitCode());
        self::assertStringContainsString('is there already and is another file', $differs->getErrorOutput());
        self::assertSame('two', file_get_contents("{$drive}/QS-014/a.mov"));
    }
}
