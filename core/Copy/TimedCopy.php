<?php

declare(strict_types=1);

namespace Tally\Copy;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotRead;
use Tally\Device\Fault\CannotSettle;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\MediumGone;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\FileAdvice;
use Tally\Device\Mount;
use Tally\Device\WritableFolder;
use Tally\Probe\Watch\Keeper;
use Tally\Probe\Watch\Observer;
use Tally\Probe\Watch\Pacemaker;
use Tally\Probe\Watch\Phase;
use Tally\Probe\Watch\Unwatched;
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

    /** A file has this behind its name until all of it is on the drive: after a power cut nobody takes a piece for the file. */
    private const PART = '.gritty-tally-part';

    /** Left free on the drive, for the file system’s own books. */
    private const RESERVE = 16_777_216;

    /** @var array<string, string> checksum of each copied file */
    private array $sums = [];

    /** @var list<array{int, float}> */
    private array $times = [];

    private bool $forgot = true;

    private function __construct(private readonly FileTree $tree, private readonly string $target, private readonly bool $verify, private readonly FileAdvice $advice) {}

    /**
     * @param  string  $into  an existing folder; the copy becomes a folder in it, of the name of the source
     *
     * @throws UnusablePath|CannotWrite
     */
    public static function of(string $source, string $into, bool $verify, FileAdvice $advice = new FileAdvice): self
    {
        $tree = FileTree::of($source);
        $drive = WritableFolder::of($into);
        if ($tree->files === []) {
            throw UnusablePath::emptyFolder($source);
        }
        if ($drive->path === $tree->root || str_starts_with($drive->path, $tree->root.'/')) {
            throw UnusablePath::inside($into, $source);
        }
        $target = $drive->path.'/'.(basename($tree->root) === '' ? 'copy' : basename($tree->root));
        if (file_exists($target) || is_link($target)) {
            throw UnusablePath::taken($target);
        }
        $free = $drive->free(self::RESERVE);
        if ($free < $tree->bytes()->count) {
            throw UnusablePath::tooSmall($into, Bytes::of($free)->decimal(), $tree->bytes()->decimal());
        }

        return new self($tree, $target, $verify, $advice);
    }

    public function bytes(): Bytes
    {
        return $this->tree->bytes();
    }

    /** @param  Keeper<CopyResult>|null  $keeper */
    public function run(Clock $clock, Observer $observer = new Unwatched, ?Keeper $keeper = null): CopyResult
    {
        $beat = new Pacemaker($clock, $observer, $this->bytes()->count * ($this->verify ? 2 : 1));
        $this->forget($this->tree->root);
        $began = $clock->now();
        [$copied, $verified, $different, $done, $cutShort] = [0.0, null, [], false, null];
        try {
            $done = $this->copy($clock, $beat, $keeper);
            $copied = $clock->now() - $began;
            if ($done && $this->verify) {
                $this->forget($this->target);
                $different = $this->different($beat);
                $done = $different !== null;
                $verified = $done ? $clock->now() - $began : null;
            }
        } catch (DeviceFault $fault) {
            $copied = $copied > 0 ? $copied : $clock->now() - $began;
            $cutShort = $fault->getMessage();
        }

        return $this->result($copied, $verified, $different ?? [], ! $done && $cutShort === null, $cutShort);
    }

    /** @param  list<string>  $different */
    private function result(float $copied, ?float $verified, array $different, bool $stopped, ?string $cutShort): CopyResult
    {
        return new CopyResult(
            count($this->times), Bytes::of(array_sum(array_column($this->times, 0))), Span::seconds($copied), $verified === null ? null : Span::seconds($verified),
            $different, $this->tree->skipped, $this->times, $this->target, $this->forgot, $stopped, $cutShort,
        );
    }

    /**
     * @param  Keeper<CopyResult>|null  $keeper
     * @return bool false when it was stopped
     *
     * @throws DeviceFault
     */
    private function copy(Clock $clock, Pacemaker $beat, ?Keeper $keeper): bool
    {
        $start = $clock->now();
        $this->makeFolder($this->target);
        foreach ($this->tree->files as $file) {
            $began = $clock->now();
            $to = "{$this->target}/{$file['path']}";
            $this->makeFolder(dirname($to));
            try {
                $sum = $this->carry("{$this->tree->root}/{$file['path']}", $to, $file['size'], $beat);
            } catch (DeviceFault $fault) {
                // A piece of a file is worse than none: somebody might take it for the file.
                @unlink($to.self::PART);
                throw $fault;
            }
            if ($sum === null) {
                @unlink($to.self::PART);

                return false;
            }
            @touch($to, $file['changed']);
            $this->sums[$file['path']] = $sum;
            $this->times[] = [$file['size'], $clock->now() - $began];
            $keeper?->keep(fn (): CopyResult => $this->result($clock->now() - $start, null, [], true, null));
        }

        return true;
    }

    /**
     * @return string|null its checksum; null when it was stopped
     *
     * @throws DeviceFault
     */
    private function carry(string $from, string $to, int $size, Pacemaker $beat): ?string
    {
        $in = @fopen($from, 'rb');
        if ($in === false) {
            throw $this->lost($from, 'it cannot be opened');
        }
        $out = @fopen($to.self::PART, 'xb');
        if ($out === false) {
            throw $this->refused($to, 0);
        }
        stream_set_read_buffer($in, 0);
        stream_set_write_buffer($out, 0);
        $sum = hash_init('xxh128');
        for ($at = 0; $at < $size; $at += strlen($bytes)) {
            if ($beat->wantsStop()) {
                return null;
            }
            $bytes = @fread($in, min(self::STRETCH, max(1, $size - $at)));
            if ($bytes === false || $bytes === '') {
                throw $this->lost($from, "it ended at byte {$at} of {$size}");
            }
            hash_update($sum, $bytes);
            if (@fwrite($out, $bytes) !== strlen($bytes)) {
                throw $this->refused($to, $at);
            }
            $beat->beat(Phase::Writing, 1, $at + strlen($bytes), $size, strlen($bytes));
        }
        if (! @fsync($out)) {
            throw is_dir($this->target) ? CannotSettle::on($to, 'flushing failed') : MediumGone::from($this->target);
        }
        fclose($out);
        if (! @rename($to.self::PART, $to)) {
            throw $this->refused($to, $size);
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
            $from = "{$this->target}/{$file['path']}";
            $in = @fopen($from, 'rb');
            if ($in === false) {
                throw is_dir($this->target) ? CannotRead::at(0, $file['size'], $from, 'it cannot be opened') : MediumGone::from($this->target);
            }
            stream_set_read_buffer($in, 0);
            $sum = hash_init('xxh128');
            while (! feof($in)) {
                if ($beat->wantsStop()) {
                    return null;
                }
                $bytes = @fread($in, self::STRETCH);
                if ($bytes === false) {
                    break;
                }
                hash_update($sum, $bytes);
                $beat->beat(Phase::Reading, 1, 0, $file['size'], strlen($bytes));
            }
            if (hash_final($sum) !== $this->sums[$file['path']]) {
                $different[] = $file['path'];
            }
        }

        return $different;
    }

    /** Makes the host forget the files below a folder, so that they are read from where they lie. */
    private function forget(string $root): void
    {
        foreach ($this->tree->files as $file) {
            $this->advice->forget("{$root}/{$file['path']}");
        }
        $this->forgot = $this->forgot && ! Mount::of($root)->isInMemory();
    }

    /** @throws CannotWrite|MediumGone */
    private function makeFolder(string $folder): void
    {
        if (! is_dir($folder) && ! @mkdir($folder, 0755, true) && ! is_dir($folder)) {
            throw $this->refused($folder, 0);
        }
    }

    private function lost(string $from, string $why): DeviceFault
    {
        clearstatcache();

        return is_dir($this->tree->root) ? CannotRead::file($from, $why) : MediumGone::from($this->tree->root);
    }

    private function refused(string $to, int $at): DeviceFault
    {
        $why = error_get_last()['message'] ?? 'no byte was taken';
        clearstatcache();

        return match (true) {
            ! is_dir(dirname($this->target)) => MediumGone::from($this->target),
            preg_match('/errno=(28|122)\b|No space left/', $why) === 1 => CannotWrite::full($at, $to),
            default => CannotWrite::at($at, $to, $why),
        };
    }
}
