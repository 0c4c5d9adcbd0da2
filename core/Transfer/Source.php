<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\FileFacts;
use Tally\Device\Host\HostError;
use Tally\Device\Host\OpenFile;
use Tally\Device\Host\RealPath;
use Tally\Device\HostCache;
use Tally\Device\Mount;

/** The folder of a card, open, with all that is in it: files and empty folders, in order of their paths. */
final readonly class Source
{
    /**
     * @param  string  $given  as it was asked for
     * @param  string  $path  the real one
     * @param  list<SourceFile>  $files
     * @param  list<string>  $empty  folders with nothing in them
     * @param  list<string>  $skipped  links, sockets, devices, and what lies on another file system
     * @param  list<Trouble>  $troubles  folders that cannot be read
     */
    private function __construct(
        public string $given,
        public string $path,
        private Beneath $root,
        public array $files,
        public array $empty,
        public array $skipped,
        public array $troubles,
    ) {}

    /**
     * @param  bool  $mayBeEmpty  where it is held against a list, nothing is an answer too
     *
     * @throws UnusablePath
     */
    public static function at(string $given, bool $mayBeEmpty = false): self
    {
        $real = RealPath::of($given) ?? throw CannotOpen::missing($given);
        try {
            $root = Beneath::folder($real);
            $device = FileFacts::of($root->open)->device;
            $root->names();
        } catch (HostError $error) {
            throw $error->errno === HostError::ENOTDIR ? CannotOpen::notAFolder($given) : CannotOpen::unreadable($given);
        }
        [$files, $empty, $skipped, $troubles] = [[], [], [], []];
        // Folders that wait: a list, however deep they are.
        $waiting = [''];
        while (($folder = array_pop($waiting)) !== null) {
            try {
                $here = $root->within($folder);
                $names = $here->names();
            } catch (HostError $error) {
                if ($error->leadsOut()) {
                    $skipped[] = $folder;
                } else {
                    $troubles[] = new Trouble(TroubleKind::Unreadable, $folder, null, $error->getMessage());
                }

                continue;
            }
            if ($names === [] && $folder !== '') {
                $empty[] = $folder;
            }
            foreach ($names as $name) {
                $path = $folder === '' ? $name : "{$folder}/{$name}";
                try {
                    $facts = FileFacts::in($here->open->fd, $name);
                } catch (HostError $error) {
                    $troubles[] = new Trouble(TroubleKind::Unreadable, $path, null, $error->getMessage());

                    continue;
                }
                if ($facts->device !== $device || ! ($facts->isFile() || $facts->isFolder())) {
                    $skipped[] = $path;
                } elseif ($facts->isFolder()) {
                    $waiting[] = $path;
                } else {
                    $files[] = new SourceFile($path, $facts->size, $facts->changed, $facts->nano);
                }
            }
        }
        sort($skipped, SORT_STRING);
        usort($files, fn (SourceFile $one, SourceFile $other): int => strcmp($one->path, $other->path));

        return $files === [] && $troubles === [] && ! $mayBeEmpty
            ? throw CannotCopy::emptyFolder($given)
            : new self($given, $real, $root, $files, empty: $empty, skipped: $skipped, troubles: $troubles);
    }

    /** @throws HostError */
    public function open(string $path): OpenFile
    {
        return $this->root->file($path, Calls::READ | Calls::NON_BLOCKING);
    }

    /** Whether its path still leads to it: not pulled, not unmounted. */
    public function isThere(): bool
    {
        clearstatcache();
        [$now, $held] = [@stat($this->path), $this->root->open->stat()];

        return $now !== false && $held !== [] && $now['dev'] === $held['dev'] && $now['ino'] === $held['ino'];
    }

    /** Makes the host drop what it keeps below the file system; the files themselves are dropped as they are opened. */
    public function forgetBelow(): bool
    {
        $mount = Mount::ofOpen($this->root->open);

        return ! $mount->isInMemory() && (! $mount->hasCacheBelow() || HostCache::forgetDevice($mount->source));
    }

    public function contents(): Contents
    {
        return Contents::of($this);
    }

    /** @return int of all files */
    public function bytes(): int
    {
        return array_sum(array_map(fn (SourceFile $file): int => $file->size, $this->files));
    }
}
