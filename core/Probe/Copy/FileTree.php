<?php

declare(strict_types=1);

namespace Tally\Probe\Copy;

use FilesystemIterator;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\RealPath;
use Tally\Quantity\Bytes;
use UnexpectedValueException;

/** The files below a folder, in order of their names. Links are not followed: they could lead anywhere. */
final readonly class FileTree
{
    /**
     * @param  string  $root  the real path
     * @param  list<array{path: string, size: int, changed: int}>  $files  paths from the root
     * @param  list<string>  $skipped  links and what is no file
     */
    private function __construct(public string $root, public array $files, public array $skipped) {}

    /** @throws UnusablePath */
    public static function of(string $path): self
    {
        $root = RealPath::of($path);
        if ($root === null) {
            throw CannotOpen::missing($path);
        }
        if (! is_dir($root)) {
            throw CannotOpen::notAFolder($path);
        }
        [$files, $skipped] = [[], []];
        try {
            $entries = new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($root, FilesystemIterator::SKIP_DOTS),
                RecursiveIteratorIterator::LEAVES_ONLY,
            );
            foreach ($entries as $entry) {
                if (! ($entry instanceof SplFileInfo)) {
                    continue;
                }
                $name = substr($entry->getPathname(), strlen($root) + 1);
                if ($entry->isLink() || ! $entry->isFile()) {
                    $skipped[] = $name;
                } else {
                    $files[] = ['path' => $name, 'size' => (int) $entry->getSize(), 'changed' => (int) $entry->getMTime()];
                }
            }
        } catch (UnexpectedValueException) {
            throw CannotOpen::unreadable($path);
        }
        usort($files, fn (array $a, array $b): int => $a['path'] <=> $b['path']);
        sort($skipped);

        return new self($root, $files, $skipped);
    }

    /** A name as it can be shown and kept: bytes that are no letters stand as they are numbered. */
    public static function word(string $name): string
    {
        return mb_check_encoding($name, 'UTF-8')
            ? $name
            : (string) preg_replace_callback('/[\x80-\xFF]/', fn (array $byte): string => sprintf('\\x%02X', ord($byte[0])), $name);
    }

    /** @return list<string> */
    public function skippedWords(): array
    {
        return array_map(self::word(...), $this->skipped);
    }

    public function bytes(): Bytes
    {
        return Bytes::of(array_sum(array_column($this->files, 'size')));
    }
}
