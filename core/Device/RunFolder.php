<?php

declare(strict_types=1);

namespace Tally\Device;

use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\CannotResume;
use Tally\Device\Fault\CannotWrite;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;

/**
 * The folder that one run makes for its own files, and nothing else.
 *
 * A marker with a known first line is held locked while the run lives. A folder whose marker nobody holds was left by a
 * run that died: its numbered files are removed, and the folder too if nothing else is in it.
 */
final readonly class RunFolder
{
    private const NAME = '/^gritty-tally-[0-9a-f]{12}$/';

    private const MARKER = 'about-this-folder.txt';

    private const FIRST_LINE = "Written by Gritty Tally to test this card. It removes its own files when it is done.\n";

    private const FILE = '/^\d{6}\.tally$/';

    private const OURS = Calls::READ | Calls::DIRECTORY | Calls::NO_FOLLOW;

    /**
     * @param  OpenFile  $open  the folder itself
     * @param  OpenFile  $lock  its marker
     */
    private function __construct(public string $name, private HeldFolder $parent, private OpenFile $open, private OpenFile $lock) {}

    /** @throws UnusablePath|CannotWrite */
    public static function create(HeldFolder $parent): self
    {
        $name = 'gritty-tally-'.bin2hex(random_bytes(6));
        $path = $parent->inside($name);
        try {
            Calls::mkdir($path, 0700);
            $open = OpenFile::at($path, self::OURS);
        } catch (HostError $error) {
            throw CannotWrite::folder($parent->given, $error);
        }
        try {
            $lock = OpenFile::at($open->held().'/'.self::MARKER, Calls::READ_WRITE | Calls::CREATE | Calls::EXCLUSIVE);
            $lock->lock();
            $lock->write(0, self::FIRST_LINE);
        } catch (HostError $error) {
            @unlink($open->held().'/'.self::MARKER);
            @rmdir($path);
            throw CannotWrite::folder($parent->given, $error);
        }

        return new self($name, $parent, $open, $lock);
    }

    /**
     * Takes up the folder of a run that was left, to go on with it.
     *
     * @throws UnusablePath when it is not there any more, is no folder of a run, or a live run is at work in it
     */
    public static function reopen(HeldFolder $parent, string $name): self
    {
        try {
            $open =
                preg_match(self::NAME, $name) === 1
                    ? OpenFile::at($parent->inside($name), self::OURS)
                    : throw new HostError(HostError::ENOENT, 'open', $name);
            $lock = OpenFile::at($open->held().'/'.self::MARKER, Calls::READ_WRITE | Calls::NO_FOLLOW);
            $isOurs = $lock->read(0, 512) === self::FIRST_LINE;
        } catch (HostError) {
            throw CannotResume::otherCard('the folder of its run is not on it any more');
        }
        if (! $isOurs) {
            throw CannotResume::otherCard('the folder of its run was changed');
        }
        if (! $lock->lock()) {
            throw CannotOpen::inUse($parent->given);
        }

        return new self($name, $parent, $open, $lock);
    }

    /** Lets go of the folder and leaves it where it is, for the run to be continued. */
    public function leave(): void
    {
        $this->lock->close();
        $this->open->close();
    }

    /**
     * Removes the numbered files of runs that died here, and their folders where nothing else is in them.
     *
     * @param  list<string>  $kept  names of folders that stay: of runs that are to be continued
     * @return int how many folders were cleared
     *
     * @throws UnusablePath when a live run is at work there
     */
    public static function clearLeftovers(HeldFolder $parent, array $kept = []): int
    {
        $cleared = 0;
        foreach (self::entries($parent->inside()) as $name) {
            $left = preg_match(self::NAME, $name) === 1 && ! in_array($name, $kept, true) ? self::left($parent, $name) : null;
            if ($left === null) {
                continue;
            }
            [$open, $marker] = $left;
            if ($marker === null) {
                $cleared += self::entries($open->held()) === [] && @rmdir($parent->inside($name)) ? 1 : 0;
            } elseif (! $marker->lock()) {
                throw CannotOpen::inUse($parent->given);
            } elseif (in_array($marker->read(0, 512), [self::FIRST_LINE, ''], true)) {
                // The first line may be missing when the disk was full or the plug was pulled at once: an empty marker is ours too.
                self::removeFrom($parent, $name, $open, $marker);
                $cleared++;
            }
        }

        return $cleared;
    }

    /** @param  list<string>  $names */
    public static function holdsAny(HeldFolder $parent, array $names): bool
    {
        return array_intersect(self::entries($parent->inside()), $names) !== [];
    }

    /** @return array{OpenFile, OpenFile|null}|null the folder and its marker, if it has one; null when it is no folder */
    private static function left(HeldFolder $parent, string $name): ?array
    {
        try {
            $open = OpenFile::at($parent->inside($name), self::OURS);
        } catch (HostError) {
            return null;
        }
        try {
            return [$open, OpenFile::at($open->held().'/'.self::MARKER, Calls::READ_WRITE | Calls::NO_FOLLOW)];
        } catch (HostError) {
            return [$open, null];
        }
    }

    public function file(int $number): string
    {
        return sprintf('%s/%06d.tally', $this->open->held(), $number);
    }

    /** @return list<int> numbers of the files that are in it */
    public function files(): array
    {
        return array_map(
            intval(...),
            array_values(array_filter(self::entries($this->open->held()), fn (string $name): bool => preg_match(self::FILE, $name) === 1)),
        );
    }

    /** Whether it and the medium below it are still where they were. */
    public function isThere(): bool
    {
        clearstatcache();

        return $this->parent->isThere() && is_file($this->open->held().'/'.self::MARKER);
    }

    public function remove(): void
    {
        if (is_file($this->open->held().'/'.self::MARKER)) {
            self::removeFrom($this->parent, $this->name, $this->open, $this->lock);
        }
        $this->leave();
    }

    /**
     * The marker goes last, so that a removal that is itself cut off can be taken up again. It is let go of before: a file
     * system of FUSE keeps an open file under another name, and then the folder is not empty.
     */
    private static function removeFrom(HeldFolder $parent, string $name, OpenFile $open, OpenFile $marker): void
    {
        foreach (self::entries($open->held()) as $file) {
            if (preg_match(self::FILE, $file) === 1) {
                @unlink("{$open->held()}/{$file}");
            }
        }
        $marker->close();
        @unlink($open->held().'/'.self::MARKER);
        @rmdir($parent->inside($name));
    }

    /** @return list<string> */
    private static function entries(string $path): array
    {
        $names = @scandir($path);

        return array_values(array_diff($names === false ? [] : $names, ['.', '..']));
    }
}
