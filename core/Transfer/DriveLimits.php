<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HeldFolder;
use Tally\Quantity\Bytes;

/** What the file system of a drive can hold, and how it is told to bring files onto the medium. */
final readonly class DriveLimits
{
    /** Left free, for the file system’s own books. */
    private const RESERVE = 16_777_216;

    /** The largest file of FAT. Source: FAT32 file system specification, DIR_FileSize. */
    private const LARGEST_OF_FAT = 0xFFFFFFFF;

    /** File systems of the kernel, which bring all of their files onto the medium at one word. Others are told file by file. */
    private const AT_ONE_WORD = ['ext2', 'ext3', 'ext4', 'xfs', 'btrfs', 'f2fs', 'vfat', 'exfat', 'ntfs3', 'tmpfs'];

    /** Up to so many it is quicker file by file. */
    private const FEW = 4;

    /** @param  string  $given  the folder on the drive, as it was asked for */
    public function __construct(private HeldFolder $held, private string $given) {}

    /**
     * What this drive could never hold, before the first byte.
     *
     * @param  list<SourceFile>  $missing  files that are not there yet
     *
     * @throws UnusablePath
     */
    public function mustHold(array $missing): void
    {
        foreach ($missing as $file) {
            if (in_array($this->held->mount->type, ['vfat', 'msdos'], true) && $file->size > self::LARGEST_OF_FAT) {
                throw CannotCopy::tooLarge(FilePath::shown($file->path), $this->given, Bytes::of($file->size)->decimal());
            }
        }
        $asked = array_sum(array_map(fn (SourceFile $file): int => $file->size, $missing));
        $free = $this->held->free(self::RESERVE);
        if ($free < $asked) {
            throw CannotCopy::noRoom($this->given, Bytes::of($free)->decimal(), Bytes::of($asked)->decimal());
        }
    }

    /** @param  int  $parts  files that were written; 0 for whatever there is */
    public function flushesAtOneWord(int $parts): bool
    {
        return in_array($this->held->mount->type, self::AT_ONE_WORD, true) && ($parts === 0 || $parts > self::FEW);
    }
}
