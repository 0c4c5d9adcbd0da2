<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\UnusablePath;

/** A folder that is there and takes files, by its real path, with the file system it lies on. */
final readonly class WritableFolder
{
    private function __construct(public string $path, public Mount $mount) {}

    /** @throws UnusablePath when it does not exist, is no folder, or cannot be written to */
    public static function of(string $given): self
    {
        $real = realpath($given);
        if ($real === false) {
            throw UnusablePath::missing($given);
        }
        if (! is_dir($real)) {
            throw UnusablePath::notAFolder($given);
        }
        $mount = Mount::of($real);
        if ($mount->readOnly || ! is_writable($real)) {
            throw UnusablePath::notWritable($given);
        }

        return new self($real, $mount);
    }

    /** Bytes that are free, less a reserve for the file system’s own books. */
    public function free(int $reserve): int
    {
        $free = @disk_free_space($this->path);

        return max(0, ($free === false ? 0 : (int) $free) - $reserve);
    }
}
