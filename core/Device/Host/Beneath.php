<?php

declare(strict_types=1);

namespace Tally\Device\Host;

/**
 * An open folder, and what lies beneath it: nothing that is done by way of it leads out, over a link or onto another file system,
 * whatever anybody puts in its way meanwhile. Paths are from the folder, with `/` between their parts; “” is the folder itself.
 */
final readonly class Beneath
{
    private const FOLDER = Calls::READ | Calls::DIRECTORY | Calls::NO_FOLLOW;

    private function __construct(public OpenFile $open) {}

    /** @throws HostError */
    public static function folder(string $path): self
    {
        return new self(OpenFile::at($path, Calls::READ | Calls::DIRECTORY));
    }

    /** @throws HostError */
    public function within(string $path): self
    {
        return new self($this->file($path, self::FOLDER));
    }

    /**
     * @param  int  $flags  of Calls
     * @param  int  $mode  of a file that it creates
     *
     * @throws HostError
     */
    public function file(string $path, int $flags, int $mode = 0644): OpenFile
    {
        return OpenFile::beneath($this->open, $path === '' ? '.' : $path, $flags | Calls::NO_FOLLOW, $mode);
    }

    /**
     * @return FileFacts|null null where nothing is there
     *
     * @throws HostError
     */
    public function facts(string $path): ?FileFacts
    {
        try {
            return FileFacts::of($this->file($path, Calls::PATH));
        } catch (HostError $error) {
            return in_array($error->errno, [HostError::ENOENT, HostError::ENOTDIR], true) ? null : throw $error;
        }
    }

    /**
     * @return list<string> names in it
     *
     * @throws HostError
     */
    public function names(): array
    {
        $names = @scandir($this->open->held(), SCANDIR_SORT_NONE);
        if ($names === false) {
            throw new HostError(Calls::errno(), 'readdir', $this->open->path);
        }
        sort($names, SORT_STRING);

        return array_values(array_diff($names, ['.', '..']));
    }

    /**
     * Makes a folder, and those above it, where they are missing.
     *
     * @throws HostError
     */
    public function makeFolders(string $path): void
    {
        if ($path === '' || $path === '.') {
            return;
        }
        try {
            $this->place($path);

            return;
        } catch (HostError $error) {
            if ($error->errno !== HostError::ENOENT) {
                throw $error;
            }
        }
        [$above, $name] = self::split($path);
        $this->makeFolders($above);
        try {
            $folder = $this->place($above);
            Calls::mkdirIn($folder->fd, $name, 0755);
        } catch (HostError $error) {
            // Somebody else was faster.
            if ($error->errno !== HostError::EEXIST) {
                throw $error;
            }
        }
    }

    /**
     * Gives a file another place beneath this folder, never onto one that is there.
     *
     * @throws HostError EEXIST where the name is taken
     */
    public function move(string $from, string $to): void
    {
        [$folder, $name] = self::split($from);
        $this->moveFrom($this->place($folder), $name, $to);
    }

    /**
     * The same for a file of a folder that is open already.
     *
     * @throws HostError EEXIST where the name is taken
     */
    public function moveFrom(OpenFile $folder, string $name, string $to): void
    {
        [$into, $as] = self::split($to);
        $target = $this->place($into);
        try {
            Calls::renameIn($folder->fd, $name, $target->fd, $as);
        } catch (HostError $error) {
            // A file system that cannot promise it is asked first, and then trusted.
            if ($error->errno !== HostError::EINVAL) {
                throw $error;
            }
            if ($this->facts($to) !== null) {
                throw new HostError(HostError::EEXIST, 'rename', $to);
            }
            Calls::rename("{$folder->held()}/{$name}", "{$target->held()}/{$as}");
        }
    }

    /** @throws HostError */
    public function remove(string $path): void
    {
        [$folder, $name] = self::split($path);
        $place = $this->place($folder);
        Calls::unlinkIn($place->fd, $name);
    }

    /** Removes a folder where nothing is in it any more. */
    public function removeFolder(string $path): void
    {
        [$folder, $name] = self::split($path);
        try {
            $place = $this->place($folder);
            @rmdir("{$place->held()}/{$name}");
        } catch (HostError) {
            // It is not there.
        }
    }

    /**
     * A folder to do something in; it must be kept for as long as that takes, since it is closed when nobody has it any more.
     *
     * @throws HostError
     */
    private function place(string $path): OpenFile
    {
        return $this->file($path, Calls::PATH | Calls::DIRECTORY);
    }

    /** @return array{string, string} folder and name */
    private static function split(string $path): array
    {
        $at = strrpos($path, '/');

        return $at === false ? ['', $path] : [substr($path, 0, $at), substr($path, $at + 1)];
    }
}
