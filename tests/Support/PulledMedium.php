<?php

declare(strict_types=1);

namespace Tests\Support;

/**
 * A medium that is pulled out of its reader: a real ext4 on a device that answers nothing but errors from then on. Shown by
 * programs that are not ours: nbdkit with its filters error(1) and rate(1), and nbdfuse.
 */
trait PulledMedium
{
    use LoopMount {
        tearDown as private unmountAll;
    }

    /** @var list<resource> */
    private array $serving = [];

    /**
     * @param  int  $megabits  a second that it gives and takes
     * @return array{string, string} where it is mounted, and the file that stands for a hand: while it is there, the medium is out
     */
    protected function pullable(int $megabytes, int $megabits): array
    {
        $folder = $this->folder();
        [$image, $shown, $point, $hand] = ["{$folder}/image", "{$folder}/shown", "{$folder}/mounted", "{$folder}/hand"];
        mkdir($shown);
        mkdir($point);
        self::shell("truncate -s {$megabytes}M {$image} && mkfs.ext4 -q -E lazy_itable_init=0,lazy_journal_init=0 -m 0 {$image}");
        $nbdkit = ['nbdkit', '-s', '-f', '--exit-with-parent', '--filter=error', '--filter=rate', 'file', $image];
        $process = @proc_open(
            [
                'nbdfuse',
                // What is started as root works under an account of its own.
                ...posix_geteuid() === 0 ? ['-o', 'allow_other'] : [],
                $shown,
                '--command',
                ...$nbdkit,
                'error=EIO',
                'error-rate=100%',
                "error-file={$hand}",
                "rate={$megabits}M",
                // No store of speed from before: as fast from the first moment on.
                'burstiness=0.1',
            ],
            array_fill(0, 3, ['file', '/dev/null', 'r+']),
            $pipes,
        );
        for ($tries = 0; $tries < 100 && ! is_file("{$shown}/nbd"); $tries++) {
            usleep(50_000);
            clearstatcache();
        }
        if ($process === false || ! is_file("{$shown}/nbd")) {
            self::markTestSkipped('This machine shows no medium that can be pulled: it takes nbdkit, nbdfuse and /dev/fuse.');
        }
        $this->serving[] = $process;
        $this->insert("{$shown}/nbd", $point);

        return [$point, $hand];
    }

    /** It answers nothing at all any more, not even with errors; or it does again. */
    protected function hang(bool $isHung): void
    {
        foreach ($this->serving as $process) {
            posix_kill(proc_get_status($process)['pid'], $isHung ? SIGSTOP : SIGCONT);
        }
    }

    /** Put in, or put in again after it was pulled. */
    protected function insert(string $device, string $point): void
    {
        $loop = self::shell("losetup -f --show {$device}");
        if ($loop === null || self::shell("mount -t ext4 {$loop} {$point}") === null) {
            self::markTestSkipped('This machine mounts no loop device: it takes root and /dev/loop-control.');
        }
        $this->mounts[] = [$point, $loop];
    }

    /** Taken out for good, and put in once more. */
    protected function again(string $point, string $hand): void
    {
        foreach ($this->mounts as [$mounted, $loop]) {
            if ($mounted === $point) {
                self::shell("umount {$point}") ?? self::shell("umount -l {$point}");
                self::shell("losetup -d {$loop}");
            }
        }
        $this->mounts = array_values(array_filter($this->mounts, fn (array $one): bool => $one[0] !== $point));
        @unlink($hand);
        $this->insert(dirname($point).'/shown/nbd', $point);
    }

    protected function tearDown(): void
    {
        $this->hang(false);
        // Whatever is still out is put back, so that it can be unmounted.
        foreach ($this->folders as $folder) {
            @unlink("{$folder}/hand");
        }
        foreach (array_reverse($this->mounts) as [$point, $loop]) {
            self::shell("umount {$point}") ?? self::shell("umount -l {$point}");
            self::shell("losetup -d {$loop}");
        }
        $this->mounts = [];
        foreach ($this->folders as $folder) {
            self::shell("fusermount3 -u -z {$folder}/shown") ?? self::shell("umount -l {$folder}/shown");
        }
        foreach ($this->serving as $process) {
            proc_terminate($process, SIGKILL);
            proc_close($process);
        }
        $this->unmountAll();
    }
}
