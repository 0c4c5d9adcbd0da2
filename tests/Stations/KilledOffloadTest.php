<?php

declare(strict_types=1);

namespace Tests\Stations;

use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;
use Tests\Support\CardFolder;

/** `tally:offload`, killed at random moments and gone on with. TALLY_KILLS sets how often. */
final class KilledOffloadTest extends TestCase
{
    use CardFolder;

    public function test_killed_at_any_moment_it_goes_on_and_nothing_half_ever_has_a_name(): void
    {
        $files = [];
        for ($i = 0; $i < 300; $i++) {
            $files[sprintf('DCIM/%d/still-%03d', $i % 7, $i)] = random_bytes(1 + 531 * $i);
        }
        $files['DCIM/clip.mov'] = random_bytes(40_000_000);
        $card = $this->cardFolder($files);
        $drive = $this->folder();
        $asked = (int) getenv('TALLY_KILLS');
        $kills = $asked > 0 ? $asked : 8;
        $killed = 0;
        for ($i = 0; $i < $kills; $i++) {
            $this->mustBeWholeSoFar($card, $drive);
            $before = $this->inodes($drive);
            $process = $this->offload($card, $drive, $i > 0);
            // From before the first byte until well into the reading back.
            usleep(random_int(150_000, 1_200_000));
            if ($process->isRunning()) {
                $killed++;
                $process->signal(SIGKILL);
            }
            $process->wait();
            // What was whole is not touched again.
            self::assertSame($before, array_intersect_key($this->inodes($drive), $before));
            if (file_exists("{$drive}/QS-014.sha256")) {
                $this->mustBeHome($card, $drive);
                exec('rm -rf '.escapeshellarg($drive).'/*');
            }
        }
        self::assertGreaterThan(0, $killed);
        $last = $this->offload($card, $drive, true);
        $last->wait();
        self::assertSame(0, $last->getExitCode(), $last->getOutput().$last->getErrorOutput());
        $this->mustBeHome($card, $drive);
    }

    private function mustBeWholeSoFar(string $card, string $drive): void
    {
        foreach (is_dir("{$drive}/QS-014") ? $this->tree("{$drive}/QS-014") : [] as $path => $bytes) {
            self::assertTrue(str_ends_with($path, '/') || $bytes === file_get_contents("{$card}/{$path}"), "{$path} is not whole");
        }
    }

    private function mustBeHome(string $card, string $drive): void
    {
        self::assertSame($this->tree($card), $this->tree("{$drive}/QS-014"));
        $check = 'sha256sum -c --quiet --strict QS-014.sha256 && xxhsum -c --quiet --strict QS-014.xxh128';
        exec('cd '.escapeshellarg($drive)." && {$check}", $said, $code);
        self::assertSame(0, $code, implode("\n", $said));
        self::assertSame([], glob("{$drive}/.gritty-tally-*"));
    }

    /** @return array<string, int> path → inode, of what has its name */
    private function inodes(string $drive): array
    {
        clearstatcache();
        $all = [];
        foreach (is_dir("{$drive}/QS-014") ? array_keys($this->tree("{$drive}/QS-014")) : [] as $path) {
            $all[$path] = (int) fileinode("{$drive}/QS-014/{$path}");
        }

        return $all;
    }

    private function offload(string $card, string $drive, bool $resume): Process
    {
        $command = [PHP_BINARY, dirname(__DIR__, 2).'/artisan', 'tally:offload', $card, "--to={$drive}", '--json'];
        $process = new Process($resume ? [...$command, '--resume'] : $command, timeout: 60);
        $process->start();

        return $process;
    }
}
