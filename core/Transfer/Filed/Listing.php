<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Transfer\FilePath;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Stage;
use Tally\Value\NotUsable;

/** All that the lists beside a folder say of the files in it. */
final class Listing
{
    /** A list is not larger: bytes. */
    private const LARGEST = 1_073_741_824;

    private const NAME = '/^(.+?)((?:\.\d+|\.part)?)\.(sha256|xxh128|copy\.json)$/Ds';

    /**
     * By path, which as a key may be a number: what each list says of it, list → kind → sum.
     *
     * @var array<array{path: string, says: array<string, array<string, string>>}>
     */
    private array $files = [];

    /** @var array<string, string> list → what is wrong with it, a sentence */
    public array $faults = [];

    /** @var list<string> XXH128 of the records, by which a copy is known in the books */
    public array $records = [];

    /** Whether only a part of the copy was whole when they were written. */
    public bool $isPart = false;

    private bool $hasWhole = false;

    private function __construct(private readonly string $name) {}

    /** @return string|null the folder that a list of this name is of; null where it is no such name */
    public static function folderOf(string $list): ?string
    {
        return preg_match(self::NAME, $list, $parts) === 1 ? $parts[1] : null;
    }

    /**
     * @param  string  $folder  name, in the folder above
     * @param  list<string>  $names  of all that is in the folder above
     * @param  string|null  $only  of one list, where that alone is asked
     * @return self|null null where there is none
     */
    public static function beside(Beneath $above, string $folder, array $names, ?string $only = null): ?self
    {
        $path = $above->open->real()."/{$folder}";
        $listing = new self($folder);
        $lists = array_values(array_filter($names, fn (string $name): bool => self::folderOf($name) === $folder));
        foreach ($only === null ? $lists : [$only] as $list) {
            $listing->take($above, $list);
        }
        $left = $lists === [] ? self::left($path) : null;
        if ($left !== null) {
            $listing->isPart = true;
            foreach ($left['readBack'] as $file) {
                $listing->say('the journal of an offload that was left', $file->path, $file->sums->xxh128, $file->sums->sha256);
            }
        }
        $listing->isPart = $listing->isPart && ! $listing->hasWhole;

        return $lists === [] && $left === null ? null : $listing;
    }

    /**
     * An offload that was left keeps its journal on the drive, in the folder that it was told to copy into, which is somewhere above.
     *
     * @return array{readBack: list<ListedFile>, ...}|null
     */
    public static function left(string $path): ?array
    {
        for ($above = dirname($path); ; $above = dirname($above)) {
            try {
                $left = Stage::left(Beneath::folder($above), ltrim(substr($path, strlen($above)), '/'));
            } catch (HostError) {
                $left = null;
            }
            if ($left !== null || $above === dirname($above)) {
                return $left;
            }
        }
    }

    private function take(Beneath $above, string $list): void
    {
        preg_match(self::NAME, $list, $parts);
        [, , $which, $kind] = [...$parts, '', '', '', ''];
        try {
            $open = $above->file($list, Calls::READ | Calls::NON_BLOCKING);
            $text = $open->read(0, min($open->size(), self::LARGEST));
        } catch (HostError $error) {
            $this->faults[$list] = "{$list} cannot be read: {$error->getMessage()}.";

            return;
        }
        if ($text === '') {
            $this->faults[$list] = "{$list} is empty: it has no bytes at all.";

            return;
        }
        $which === '.'.BesideCopy::PART ? $this->isPart = true : $this->hasWhole = true;
        try {
            $kind === BesideCopy::RECORD ? $this->record($list, $text) : $this->sums($list, $text, $kind === BesideCopy::SHA256);
        } catch (NotUsable $fault) {
            $this->faults[$list] = "{$list} is no list that can be used whole: {$fault->getMessage()}";
        }
    }

    /** @throws NotUsable */
    private function record(string $list, string $text): void
    {
        foreach (CopyRecord::files($text) as $file) {
            $this->say($list, $file->path, $file->sums->xxh128, $file->sums->sha256);
        }
        $this->records[] = hash('xxh128', $text);
    }

    /** @throws NotUsable once all lines that can be used were taken */
    private function sums(string $list, string $text, bool $isSha): void
    {
        $fault = null;
        foreach (explode("\n", $text) as $number => $line) {
            try {
                foreach (ChecksumList::read($line, $isSha ? 64 : 32, $isSha) as [$path, $sum]) {
                    if (! str_starts_with($path, "{$this->name}/")) {
                        throw NotUsable::field('name', FilePath::shown($path), "a file of the folder {$this->name} would do.");
                    }
                    $path = substr($path, strlen($this->name) + 1);
                    $this->say($list, $path, $isSha ? null : $sum, $isSha ? $sum : null);
                }
            } catch (NotUsable $torn) {
                $fault ??= NotUsable::field('line '.($number + 1), FilePath::shown(substr($line, 0, 200)), $torn->getMessage());
            }
        }
        if ($fault !== null) {
            throw $fault;
        }
        if (! str_ends_with($text, "\n")) {
            throw NotUsable::field('end', '', 'its last line does not end: it may have been cut off there.');
        }
    }

    private function say(string $list, string $path, ?string $xxh128, ?string $sha256): void
    {
        $this->files[$path] ??= ['path' => $path, 'says' => []];
        $this->files[$path]['says'][$list] = array_filter(
            ['xxh128' => $xxh128, 'sha256' => $sha256],
            fn (?string $sum): bool => $sum !== null,
        );
    }

    /** @return list<string> paths that are listed */
    public function paths(): array
    {
        return array_values(array_map(fn (array $file): string => $file['path'], $this->files));
    }

    public function has(string $path): bool
    {
        return isset($this->files[$path]);
    }

    /** @return array<string, array<string, string>> list → kind → sum */
    public function says(string $path): array
    {
        return $this->files[$path]['says'] ?? [];
    }

    /** Whether two lists say different things of it. */
    public function disputes(string $path): bool
    {
        foreach (['xxh128', 'sha256'] as $kind) {
            if (count(array_unique(array_column($this->says($path), $kind))) > 1) {
                return true;
            }
        }

        return false;
    }
}
