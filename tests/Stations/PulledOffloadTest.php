<?php

declare(strict_types=1);

namespace Tests\Stations;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tally\Device\Fault\CannotCopy;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tests\Support\KillsOffloads;
use Tests\Support\PulledMedium;

/** `tally:offload` while its card or a drive is pulled out, or the drive is filled by somebody else, and killed besides. */
final class PulledOffloadTest extends TestCase
{
    use KillsOffloads, PulledMedium {
        PulledMedium::tearDown insteadof KillsOffloads;
    }

    /** @var array<string, string> path → sum, of the card */
    private array $laden = [];

    /** Some 18 MB. */
    private function lade(string $card): void
    {
        mkdir("{$card}/DCIM");
        for ($i = 0; $i < 100; $i++) {
            file_put_contents("{$card}/DCIM/still-{$i}", random_bytes(1 + 1111 * $i));
        }
        file_put_contents("{$card}/DCIM/clip.mov", random_bytes(12_000_000));
        @rmdir("{$card}/lost+found");
        $this->laden = $this->sums($card);
        // What is read next comes from the medium itself.
        self::shell('sync; echo 3 > /proc/sys/vm/drop_caches');
    }

    /** Until it has begun on a drive. */
    private function begins(Process $process, string $drive): void
    {
        for ($tries = 0; $tries < 500 && $process->isRunning() && glob("{$drive}/.gritty-tally-*") === []; $tries++) {
            usleep(10_000);
        }
    }

    private function comesHome(string $card, string ...$drives): void
    {
        $last = $this->offload($card, ['--resume', ...array_map(fn (string $drive): string => "--to={$drive}", array_values($drives))]);
        $last->wait();
        self::assertSame(0, $last->getExitCode(), $last->getOutput().$last->getErrorOutput());
        foreach ($drives as $drive) {
            $this->mustBeHome($this->laden, $drive);
        }
    }

    public function test_a_card_that_is_pulled_or_unmounted_and_workers_that_are_killed_leave_nothing_half_and_it_goes_on(): void
    {
        [$card, $hand] = $this->pullable(96, 120);
        $this->lade($card);
        $drive = $this->folder();
        for ($i = 0; $i <= $this->kills(3); $i++) {
            $before = $this->inodes($drive);
            $process = $this->offload($card, ["--to={$drive}", ...$i > 0 ? ['--resume'] : []]);
            $this->begins($process, $drive);
            usleep(random_int(0, 300_000));
            // Pulled, or unmounted under its hands: what is open then can still be read, and may come home.
            $i % 2 === 0 ? touch($hand) : self::shell("umount -l {$card}");
            if ($i === 0) {
                $process->wait();
                self::assertNotSame(0, $process->getExitCode(), $process->getOutput());
            } else {
                $this->kill($process, 0, 200_000);
            }
            $this->mustBeWholeSoFar($this->laden, $drive);
            self::assertSame($before, array_intersect_key($this->inodes($drive), $before));
            if (file_exists("{$drive}/QS-014.sha256")) {
                self::assertSame(1, $i % 2, 'A card that was pulled cannot have come home.');
                $this->mustBeHome($this->laden, $drive);
                exec("rm -rf {$drive}/QS-014*");
            }
            $this->again($card, $hand);
        }
        $this->comesHome($card, $drive);
    }

    public function test_a_file_that_is_there_and_cannot_be_held_against_the_card_is_told_of_the_card(): void
    {
        [$card, $hand] = $this->pullable(96, 800);
        $this->lade($card);
        $drive = $this->folder();
        self::shell("cp -a {$card} {$drive}/QS-014 && echo 3 > /proc/sys/vm/drop_caches");
        $source = Source::at($card);
        touch($hand);
        try {
            Transfer::of($source, [$drive => 'QS-014']);
            self::fail('It was compared.');
        } catch (CannotCopy $fault) {
            self::assertSame('notCompared', $fault->reason);
            self::assertStringContainsString('cannot be read from the card', $fault->getMessage());
        }
        self::assertSame($this->laden, $this->sums("{$drive}/QS-014"));
        self::assertSame([], glob("{$drive}/.gritty-tally-*"));
    }

    public function test_a_drive_that_is_pulled_lets_the_other_copy_come_home_and_goes_on_when_it_is_back(): void
    {
        $card = "{$this->folder()}/QS-014";
        mkdir($card);
        $this->lade($card);
        $stays = $this->folder();
        [$pulled, $hand] = $this->pullable(96, 240);
        $process = $this->offload($card, ["--to={$stays}", "--to={$pulled}"]);
        $this->begins($process, $pulled);
        touch($hand);
        $process->wait();
        self::assertSame(1, $process->getExitCode(), $process->getOutput().$process->getErrorOutput());
        $this->mustBeHome($this->laden, $stays);
        $before = $this->inodes($stays);
        $this->again($pulled, $hand);
        self::assertFileDoesNotExist("{$pulled}/QS-014.sha256");
        $this->mustBeWholeSoFar($this->laden, $pulled);
        $this->comesHome($card, $stays, $pulled);
        self::assertSame($before, $this->inodes($stays));
    }

    public function test_a_medium_that_hangs_is_left_and_said_and_it_goes_on_when_it_answers(): void
    {
        [$card] = $this->pullable(96, 400);
        $this->lade($card);
        $drive = $this->folder();
        $process = $this->offload($card, ["--to={$drive}"]);
        $this->begins($process, $drive);
        $this->hang(true);
        usleep(700_000);
        self::assertTrue($process->isRunning());
        // Whatever hangs: who stops it is answered, and does not wait for the medium.
        $process->signal(SIGINT);
        $process->wait();
        self::assertSame(2, $process->getExitCode(), $process->getErrorOutput());
        self::assertStringContainsString('does not answer', $process->getErrorOutput());
        self::assertStringContainsString('"hangs":"', $process->getOutput());
        $this->hang(false);
        $this->mustBeWholeSoFar($this->laden, $drive);
        $this->comesHome($card, $drive);
    }

    public function test_a_drive_that_somebody_fills_and_workers_that_are_killed_leave_nothing_half_and_it_goes_on(): void
    {
        $card = "{$this->folder()}/QS-014";
        mkdir($card);
        $this->lade($card);
        $drive = $this->mounted('ext4', 64);
        for ($i = 0; $i <= $this->kills(2); $i++) {
            $before = $this->inodes($drive);
            $process = $this->offload($card, ["--to={$drive}", ...$i > 0 ? ['--resume'] : []]);
            $this->begins($process, $drive);
            usleep($i === 0 ? 0 : random_int(0, 150_000));
            self::shell("dd if=/dev/zero bs=1M of={$drive}/somebody-elses");
            if ($i === 0) {
                $process->wait();
                self::assertSame(1, $process->getExitCode(), $process->getOutput());
            } else {
                $this->kill($process, 0, 300_000);
            }
            $this->mustBeWholeSoFar($this->laden, $drive);
            self::assertSame($before, array_intersect_key($this->inodes($drive), $before));
            unlink("{$drive}/somebody-elses");
            if (file_exists("{$drive}/QS-014.sha256")) {
                $this->mustBeHome($this->laden, $drive);
                exec("rm -rf {$drive}/QS-014*");
            }
        }
        $this->comesHome($card, $drive);
    }
}
