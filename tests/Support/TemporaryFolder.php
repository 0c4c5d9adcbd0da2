<?php

declare(strict_types=1);

namespace Tests\Support;

use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** A folder of its own for one test, gone afterwards. */
trait TemporaryFolder
{
    /** @var list<string> */
    private array $folders = [];

    protected function folder(string $under = '/tmp'): string
    {
        $folder = $under.'/gritty-tests-'.bin2hex(random_bytes(5));
        mkdir($folder);
        $this->folders[] = $folder;

        return $folder;
    }

    /** One whose data are in no danger of being missed: in memory, where there is such a place. */
    protected function inMemory(): string
    {
        return $this->folder(is_writable('/dev/shm') ? '/dev/shm' : '/tmp');
    }

    protected function tearDown(): void
    {
        foreach ($this->folders as $folder) {
            self::removeAll($folder);
            // What root kept for itself beside it (bin/common).
            if (is_dir("{$folder}.root")) {
                self::removeAll("{$folder}.root");
            }
        }
        parent::tearDown();
    }

    /** @return list<string> names of everything below a folder, in order */
    protected static function everything(string $folder): array
    {
        $names = [];
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($folder, RecursiveDirectoryIterator::SKIP_DOTS),
                RecursiveIteratorIterator::SELF_FIRST,
            ) as $file
        ) {
            assert($file instanceof SplFileInfo);
            $names[] = substr($file->getPathname(), strlen($folder) + 1);
        }
        sort($names);

        return $names;
    }

    private static function removeAll(string $folder): void
    {
        if (! is_dir($folder)) {
            return;
        }
        foreach (
            new RecursiveIteratorIterator(
                new RecursiveDirectoryIterator($folder, RecursiveDirectoryIterator::SKIP_DOTS),
                RecursiveIteratorIterator::CHILD_FIRST,
            ) as $file
        ) {
            assert($file instanceof SplFileInfo);
            $file->isDir() && ! $file->isLink() ? rmdir($file->getPathname()) : unlink($file->getPathname());
        }
        rmdir($folder);
    }
}
