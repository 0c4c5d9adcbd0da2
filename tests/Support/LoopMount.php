<?php

declare(strict_types=1);

namespace Tests\Support;

/** Real file systems of the kernel (or of FUSE), made in an image and mounted for one test, where the machine allows it. */
trait LoopMount
{
    use TemporaryFolder {
        tearDown as private removeFolders;
    }

    /** @var list<array{string, string}> mount point, loop device */
    private array $mounts = [];

    /** @return string where it is mounted */
    protected function mounted(string $kind, int $megabytes): string
    {
        $folder = $this->folder();
        $image = "{$folder}/image";
        $point = "{$folder}/mounted";
        mkdir($point);
        self::shell("truncate -s {$megabytes}M {$image}");
        $loop = self::shell("losetup -f --show {$image}");
        if ($loop === null) {
            self::markTestSkipped('This machine gives no loop device: it takes root and /dev/loop-control.');
        }
        $this->mounts[] = [$point, $loop];
        $made =
            $kind === 'exfat'
                ? self::shell("mkfs.exfat {$loop} && mount.exfat-fuse {$loop} {$point}")
                : self::shell("mkfs.ext4 -q -E lazy_itable_init=0,lazy_journal_init=0 -m 0 {$loop} && mount -t ext4 {$loop} {$point}");
        if ($made === null) {
            self::markTestSkipped("This machine mounts no {$kind}.");
        }
        // Where it belongs to root alone, another user could write nothing in it.
        @chmod($point, 0777);

        return $point;
    }

    protected function tearDown(): void
    {
        foreach (array_reverse($this->mounts) as [$point, $loop]) {
            self::shell("umount {$point}") ?? self::shell("umount -l {$point}");
            self::shell("losetup -d {$loop}");
        }
        $this->removeFolders();
    }

    /** @return string|null what it printed; null when it failed */
    protected static function shell(string $command): ?string
    {
        exec("({$command}) 2>/dev/null", $lines, $code);

        return $code === 0 ? implode("\n", $lines) : null;
    }
}
