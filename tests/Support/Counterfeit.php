<?php

declare(strict_types=1);

namespace Tests\Support;

/** Cards made by other people's parts: an nbdkit server with a small plugin that lies, shown as a file by nbdfuse. */
trait Counterfeit
{
    use TemporaryFolder {
        tearDown as private removeFolders;
    }

    /** @var list<array{string, resource}> where each is shown, and what shows it */
    private array $shown = [];

    /**
     * @param  array<string, int|string>  $traits  of tests/Support/counterfeit/medium.py
     * @return string the file it is shown as
     */
    protected function counterfeit(string $kind, int $size, array $traits = [], ?string $at = null): string
    {
        $point = $at ?? $this->folder();
        $parts = ["kind={$kind}", "size={$size}"];
        foreach ($traits as $key => $value) {
            $parts[] = "{$key}={$value}";
        }
        $command = [
            'nbdfuse',
            // What is started as root works under an account of its own.
            ...posix_geteuid() === 0 ? ['-o', 'allow_other'] : [],
            $point,
            '--command',
            'nbdkit',
            '-s',
            '-f',
            '--exit-with-parent',
            'python',
            __DIR__.'/counterfeit/medium.py',
            ...$parts,
        ];
        $process = @proc_open($command, [['file', '/dev/null', 'r'], ['file', '/dev/null', 'w'], ['file', '/dev/null', 'w']], $pipes);
        if ($process === false) {
            self::markTestSkipped('This machine has no nbdfuse.');
        }
        $this->shown[] = [$point, $process];
        for ($tries = 0; $tries < 100 && ! is_file("{$point}/nbd"); $tries++) {
            usleep(50_000);
            clearstatcache();
        }
        if (! is_file("{$point}/nbd")) {
            self::markTestSkipped(
                'This machine shows no file by nbdfuse: it takes nbdkit with its Python plugin, libnbd-bin and /dev/fuse.',
            );
        }

        return "{$point}/nbd";
    }

    /** Takes the newest one out, as a card from its reader. */
    protected function takeOut(): void
    {
        [$point, $process] = array_pop($this->shown) ?? [null, null];
        if ($process !== null) {
            exec(
                'fusermount3 -u -z '.
                    escapeshellarg((string) $point).
                    ' 2>/dev/null || umount -l '.
                    escapeshellarg((string) $point).
                    ' 2>/dev/null',
            );
            proc_terminate($process, SIGKILL);
            proc_close($process);
        }
    }

    protected function tearDown(): void
    {
        while ($this->shown !== []) {
            $this->takeOut();
        }
        $this->removeFolders();
    }
}
