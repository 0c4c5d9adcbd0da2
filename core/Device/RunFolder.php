<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\UnusablePath;

/**
 * The folder that one run makes for its own files, and nothing else.
 *
 * A marker with a known first line is held locked while the run lives. A folder whose marker nobody holds was left by a
 * run that died: its numbered files are removed, and the folder too if nothing else is in it.
 */
final class RunFolder
{
    private const NAME = '/^gritty-tally-[0-9a-f]{12}$/';

    private const MARKER = 'about-this-folder.txt';

    private const FIRST_LINE = "Written by Gritty Tally to test this card. It removes its own files when it is done.\n";

    private const FILE = '/^\d{6}\.tally$/';

    /** @param  resource  $lock */
    private function __construct(public readonly string $path, private $lock) {}

    /** @throws UnusablePath|CannotWrite */
    public static function create(string $parent): self
    {
        $path = $parent.'/gritty-tally-'.bin2hex(random_bytes(6));
        if (! @mkdir($path, 0700)) {
            throw CannotWrite::folder($parent, error_get_last()['message'] ?? 'no folder could be made');
        }
        $lock = @fopen($path.'/'.self::MARKER, 'xb');
        if ($lock === false || ! flock($lock, LOCK_EX | LOCK_NB) || @fwrite($lock, self::FIRST_LINE) === false || ! fflush($lock)) {
            @unlink($path.'/'.self::MARKER);
            @rmdir($path);
            throw CannotWrite::folder($parent, error_get_last()['message'] ?? 'no file could be made');
        }

        return new self($path, $lock);
    }

    /**
     * Takes up the folder of a run that was left, to go on with it.
     *
     * @throws UnusablePath when it is not there any more, is no folder of a run, or a live run is at work in it
     */
    public static function takeUp(string $parent, string $name): self
    {
        $path = "{$parent}/{$name}";
        if (preg_match(self::NAME, $name) !== 1 || is_link($path) || ! is_file("{$path}/".self::MARKER) || is_link("{$path}/".self::MARKER)) {
            throw UnusablePath::otherCard('the folder of its run is not on it any more');
        }
        $lock = @fopen("{$path}/".self::MARKER, 'r+b');
        if ($lock === false || (string) fgets($lock) !== self::FIRST_LINE) {
            throw UnusablePath::otherCard('the folder of its run was changed');
        }
        if (! flock($lock, LOCK_EX | LOCK_NB)) {
            throw UnusablePath::inUse($parent);
        }

        return new self($path, $lock);
    }

    /** Lets go of the folder and leaves it where it is, for the run to be continued. */
    public function leave(): void
    {
        if (is_resource($this->lock)) {
            fclose($this->lock);
        }
    }

    /**
     * Removes what dead runs left in the parent folder.
     *
     * @return int how many folders were cleared
     *
     * @throws UnusablePath when a live run is at work there
     */
    public static function clearLeftovers(string $parent): int
    {
        $cleared = 0;
        foreach (self::entries($parent) as $name) {
            $path = "{$parent}/{$name}";
            if (preg_match(self::NAME, $name) !== 1 || is_link($path) || ! is_dir($path)) {
                continue;
            }
            if (self::entries($path) === []) {
                $cleared += @rmdir($path) ? 1 : 0;

                continue;
            }
            $marker = is_file("{$path}/".self::MARKER) ? fopen("{$path}/".self::MARKER, 'rb') : false;
            if ($marker === false) {
                continue;
            }
            if (! flock($marker, LOCK_EX | LOCK_NB)) {
                throw UnusablePath::inUse($parent);
            }
            // The first line may be missing when the disk was full or the plug was pulled at once: an empty marker is ours too.
            if (in_array((string) fgets($marker), [self::FIRST_LINE, ''], true)) {
                self::removeFrom($path, $marker);
                $cleared++;
            } else {
                fclose($marker);
            }
        }

        return $cleared;
    }

    public function file(int $number): string
    {
        return sprintf('%s/%06d.tally', $this->path, $number);
    }

    public function isThere(): bool
    {
        clearstatcache(true);

        return is_file($this->path.'/'.self::MARKER);
    }

    public function remove(): void
    {
        if ($this->isThere() && is_resource($this->lock)) {
            self::removeFrom($this->path, $this->lock);
        } elseif (is_resource($this->lock)) {
            fclose($this->lock);
        }
    }

    /**
     * The marker goes last, so that a removal that is itself cut off can be taken up again. It is let go of before: a file
     * system of FUSE keeps an open file under another name, and then the folder is not empty.
     *
     * @param  resource  $marker  the open, locked marker
     */
    private static function removeFrom(string $path, $marker): void
    {
        foreach (self::entries($path) as $name) {
            if (preg_match(self::FILE, $name) === 1) {
                @unlink("{$path}/{$name}");
            }
        }
        fclose($marker);
        @unlink($path.'/'.self::MARKER);
        @rmdir($path);
    }

    /** @return list<string> */
    private static function entries(string $path): array
    {
        $names = @scandir($path);

        return array_values(array_diff($names === false ? [] : $names, ['.', '..']));
    }
}
