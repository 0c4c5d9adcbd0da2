<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;

/**
 * Whether a drive can hold the names of a card: those that are out of the ordinary are tried, in the offload's own folder, since no
 * list of rules knows every file system and its settings.
 */
final readonly class NameTrial
{
    /** Any file system takes these. */
    private const ORDINARY = '/^[A-Za-z0-9_][A-Za-z0-9_.-]{0,99}(?<!\.)$/';

    public function __construct(private Beneath $drive, private string $stage, private string $given) {}

    /**
     * @param  string  $name  of the folder that they go into
     * @param  list<SourceFile>  $files
     *
     * @throws UnusablePath
     * @throws HostError
     */
    public function of(string $name, array $files): void
    {
        $strange = [];
        $alike = [];
        foreach ([$name, ...array_map(fn (SourceFile $file): string => $file->path, $files)] as $path) {
            $above = '';
            foreach (explode('/', $path) as $part) {
                if (preg_match(self::ORDINARY, $part) !== 1) {
                    $strange[$part] = $part;
                }
                $alike[mb_strtolower("{$above}/{$part}")][$part] = $part;
                $above .= "/{$part}";
            }
        }
        $pairs = array_filter($alike, fn (array $names): bool => count($names) > 1);
        if ($strange === [] && $pairs === []) {
            return;
        }
        $room = "{$this->stage}/names";
        $this->drive->makeFolders($room);
        try {
            foreach ($strange as $one) {
                $this->each($room, [$one]);
            }
            foreach ($pairs as $names) {
                $this->each($room, array_values($names));
            }
        } finally {
            $this->drive->removeFolder($room);
        }
    }

    /**
     * @param  list<string>  $names  that are to be there side by side
     *
     * @throws UnusablePath
     * @throws HostError
     */
    private function each(string $room, array $names): void
    {
        $made = [];
        try {
            foreach ($names as $name) {
                $this->drive->file("{$room}/{$name}", Calls::WRITE | Calls::CREATE | Calls::EXCLUSIVE);
                $made[] = $name;
            }
        } catch (HostError $error) {
            if ($error->isFull() || $error->isGone() || $error->isReadOnly()) {
                throw $error;
            }
            throw $error->errno === HostError::EEXIST
                ? CannotCopy::oneName(array_map(FilePath::shown(...), $names), $this->given)
                : CannotCopy::cannotBeNamed(FilePath::shown($name), $this->given, $error->getMessage());
        } finally {
            foreach ($made as $name) {
                $this->drive->remove("{$room}/{$name}");
            }
        }
    }
}
