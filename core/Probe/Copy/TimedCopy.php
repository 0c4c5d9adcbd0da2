<?php

declare(strict_types=1);

namespace Tally\Probe\Copy;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\HostErrorMapper;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HeldFolder;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\HostCache;
use Tally\Device\Mount;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Pacemaker;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\ProgressSaver;
use Tally\Probe\Observing\Unobserved;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/**
 * Copies a real folder of mixed files into a new folder, times it, and reads the copy back if asked to.
 *
 * Each file is read after the host has forgotten it, written, flushed to the drive and only then counted; its checksum
 * (XXH128) is taken on the way. Nothing is ever overwritten, and the files keep their dates. Folders without files are not
 * made.
 */
final class TimedCopy
{
    private const STRETCH = 1_048_576;

    /**
     * A file has this name until all of it is on the drive: after a power cut nobody takes a piece for the file. A name of its
     * own, since the file's may be as long as the drive takes.
     */
    private const PART = '.gritty-tally-part';

    /** Left free on the drive, for the file system’s own books. */
    private const RESERVE = 16_777_216;

    /** @var array<string, string> checksum of each copied file */
    private array $sums = [];

    /** @var list<array{int, float}> */
    private array $times = [];

    private bool $forgot = true;

    /**
     * @param  HeldFolder  $drive  the folder that the copy goes into
     * @param  string  $name  of the copy in it
     */
    private function __construct(
        private readonly FileTree $tree,
        private readonly HeldFolder $drive,
        private readonly string $name,
        private readonly bool $verify,
    ) {}

    /**
     * @param  string  $into  an existing folder; the copy becomes a folder in it, of the name of the source
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function of(string $source, string $into, bool $verify): self
    {
        $tree = FileTree::of($source);
        $drive = HeldFolder::at($into);
        if ($tree->files === []) {
            throw CannotCopy::emptyFolder($source);
        }
        if ($drive->path === $tree->root || str_starts_with($drive->path, $tree->root.'/')) {
            throw CannotCopy::inside($into, $source);
        }
        $name = basename($tree->root) === '' ? 'copy' : basename($tree->root);
        if (file_exists($drive->inside($name)) || is_link($drive->inside($name))) {
            throw CannotCopy::taken("{$drive->path}/{$name}");
        }
        $free = $drive->free(self::RESERVE);
        if ($free < $tree->bytes()->count) {
            throw CannotOpen::tooSmall($into, Bytes::of($free)->decimal(), $tree->bytes()->decimal());
        }

        return new self($tree, $drive, $name, $verify);
    }

    public function bytes(): Bytes
    {
        return $this->tree->bytes();
    }

    /** @param  ProgressSaver<CopyResult>|null  $saver */
    public function run(Clock $clock, Observer $observer = new Unobserved(), ?ProgressSaver $saver = null): CopyResult
    {
        $beat = new Pacemaker($clock, $observer, $this->bytes()->count * ($this->verify ? 2 : 1));
        $this->forget($this->tree->root);
        $began = $clock->now();
        [$copied, $verified, $different, $done, $cutShort] = [0.0, null, [], false, null];
        try {
            $done = $this->copy($clock, $beat, $saver);
            $copied = $clock->now() - $began;
            if ($done && $this->verify) {
                $this->forget($this->target());
                $different = $this->different($beat);
                $done = $different !== null;
                $verified = $done ? $clock->now() - $began : null;
            }
        } catch (DeviceFault $fault) {
            $copied = $copied > 0 ? $copied : $clock->now() - $began;
            $cutShort = $fault->getMessage();
        }

        return $this->result($copied, $verified, $different ?? [], ! $done && $cutShort === null, cutShort: $cutShort);
    }

    /** @param  list<string>  $different */
    private function result(float $copied, ?float $verified, array $different, bool $stopped, ?string $cutShort): CopyResult
    {
        return new CopyResult(
            count($this->times),
            Bytes::of(array_sum(array_column($this->times, 0))),
            Span::seconds($copied),
            $verified === null ? null : Span::seconds($verified),
            different: $different,
            skipped: $this->tree->skippedWords(),
            times: $this->times,
            target: "{$this->drive->path}/{$this->name}",
            forgot: $this->forgot,
            stopped: $stopped,
            cutShort: $cutShort,
        );
    }

    /**
     * @param  ProgressSaver<CopyResult>|null  $saver
     * @return bool false when it was stopped
     *
     * @throws DeviceFault
     */
    private function copy(Clock $clock, Pacemaker $beat, ?ProgressSaver $saver): bool
    {
        $start = $clock->now();
        $this->makeFolder($this->target());
        foreach ($this->tree->files as $file) {
            $began = $clock->now();
            $to = $this->target($file['path']);
            $this->makeFolder(dirname($to));
            $part = dirname($to).'/'.self::PART;
            try {
                $sum = $this->carry("{$this->tree->root}/{$file['path']}", $to, $part, $file['size'], beat: $beat);
            } catch (DeviceFault $fault) {
                // A piece of a file is worse than none: somebody might take it for the file.
                @unlink($part);
                throw $fault;
            }
            if ($sum === null) {
                @unlink($part);

                return false;
            }
            @touch($to, $file['changed']);
            $this->sums[$file['path']] = $sum;
            $this->times[] = [$file['size'], $clock->now() - $began];
            $saver?->keep(fn (): CopyResult => $this->result($clock->now() - $start, null, [], true, cutShort: null));
        }

        return true;
    }

    /**
     * @return string|null its checksum; null when it was stopped
     *
     * @throws DeviceFault
     */
    private function carry(string $from, string $to, string $part, int $size, Pacemaker $beat): ?string
    {
        try {
            $in = OpenFile::at($from, Calls::READ | Calls::NO_FOLLOW);
        } catch (HostError $error) {
            throw $this->lost($from, $error->getMessage());
        }
        try {
            $out = OpenFile::at($part, Calls::WRITE | Calls::CREATE | Calls::EXCLUSIVE, 0644);
        } catch (HostError $error) {
            throw $this->refused($error, $to, 0);
        }
        $sum = hash_init('xxh128');
        for ($at = 0; $at < $size; $at += strlen($bytes)) {
            if ($beat->wantsStop()) {
                return null;
            }
            try {
                $bytes = $in->read($at, min(self::STRETCH, max(1, $size - $at)));
            } catch (HostError $error) {
                throw $this->lost($from, $error->getMessage());
            }
            if ($bytes === '') {
                throw $this->lost($from, "it ended at byte {$at} of {$size}");
            }
            hash_update($sum, $bytes);
            try {
                $out->write($at, $bytes);
            } catch (HostError $error) {
                throw $this->refused($error, $to, $at + $error->moved);
            }
            $beat->beat(Phase::Writing, 1, $at + strlen($bytes), $size, moved: strlen($bytes));
        }
        // A drive that takes upper and lower case for one would lose one of two files here.
        if (file_exists($to) || is_link($to)) {
            throw CannotCopy::taken($this->shown($to));
        }
        try {
            $out->sync();
            $out->close();
            Calls::rename($part, $to);
        } catch (HostError $error) {
            throw $this->refused($error, $to, $size);
        }

        return hash_final($sum);
    }

    /**
     * @return list<string>|null null when it was stopped
     *
     * @throws DeviceFault
     */
    private function different(Pacemaker $beat): ?array
    {
        $different = [];
        foreach ($this->tree->files as $file) {
            $from = $this->target($file['path']);
            $sum = hash_init('xxh128');
            try {
                $in = OpenFile::at($from, Calls::READ | Calls::NO_FOLLOW);
                for ($at = 0; ($bytes = $in->read($at, self::STRETCH)) !== ''; $at += strlen($bytes)) {
                    if ($beat->wantsStop()) {
                        return null;
                    }
                    hash_update($sum, $bytes);
                    $beat->beat(Phase::Reading, 1, 0, $file['size'], moved: strlen($bytes));
                }
            } catch (HostError $error) {
                if (! HostErrorMapper::isOfTheMedium($error->errno) || ! $this->drive->isThere()) {
                    throw HostErrorMapper::reading($error, 0, $file['size'], $this->shown($from), isThere: $this->drive->isThere());
                }
                // A spot that cannot be read is a copy that is not alike.
                $sum = null;
            }
            if ($sum === null || hash_final($sum) !== $this->sums[$file['path']]) {
                $different[] = FileTree::word($file['path']);
            }
        }

        return $different;
    }

    /** Makes the host forget the files below a folder, so that they are read from where they lie. */
    private function forget(string $root): void
    {
        foreach ($this->tree->files as $file) {
            HostCache::forget("{$root}/{$file['path']}");
        }
        $this->forgot = $this->forgot && ! Mount::of($root === $this->tree->root ? $root : $this->drive->path)->isInMemory();
    }

    /** @return string a path to the copy, or to a file in it, on the drive that is held */
    private function target(string $within = ''): string
    {
        return $this->drive->inside($this->name).($within === '' ? '' : "/{$within}");
    }

    /** The same for people. */
    private function shown(string $to): string
    {
        return FileTree::word($this->drive->path.substr($to, strlen($this->drive->inside())));
    }

    /** @throws DeviceFault */
    private function makeFolder(string $folder): void
    {
        if (is_dir($folder)) {
            return;
        }
        if ($folder !== $this->target()) {
            $this->makeFolder(dirname($folder));
        }
        try {
            Calls::mkdir($folder, 0755);
        } catch (HostError $error) {
            throw $this->refused($error, $folder, 0);
        }
    }

    private function lost(string $from, string $why): DeviceFault
    {
        clearstatcache();

        return is_dir($this->tree->root) ? CannotRead::file(FileTree::word($from), $why) : MediumGone::from($this->tree->root);
    }

    private function refused(HostError $error, string $to, int $at): DeviceFault
    {
        return $error->isAboutTheName()
            ? CannotCopy::cannotBeNamed(FileTree::word(basename($to)), $this->drive->path, $error->getMessage())
            : HostErrorMapper::writing($error, $at, $this->shown($to), $this->drive->isThere());
    }
}
