<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Clock;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\FileFacts;
use Tally\Device\Host\HostError;
use Tally\Device\Place;
use Tally\Transfer\FilePath;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Reading;
use Tally\Value\NotUsable;

/** A quick look at a copy that was read back once: whether all of it is still there, by name and size, and a sample by its bytes. */
final readonly class CopySight
{
    /** Whole files are read until so much was, or for so long. Bytes, seconds. */
    private const SAMPLE = 268_435_456;

    private const SECONDS = 3.0;

    /**
     * @param  bool|null  $isRight  null where it is not at hand
     * @param  int  $files  that it has
     * @param  int  $read  of them, that were read back
     * @param  string  $note  what was found, in a few words
     */
    private function __construct(public ?bool $isRight, public int $files, public int $read, public string $note) {}

    /**
     * @param  string  $drive  where the drive was mounted
     * @param  string  $folder  in it
     * @param  string|null  $record  XXH128 of the record that was put beside it; null in books of before
     * @param  Place|null  $then  what it lay on; null in books of before
     */
    public static function of(string $drive, string $folder, ?string $record, ?Place $then, Clock $clock): self
    {
        try {
            $now = Place::of($drive);
            $root = Beneath::folder($now->path);
        } catch (CannotOpen|HostError) {
            return self::away('nothing is mounted there');
        }
        try {
            $text = self::text($root, "{$folder}.".BesideCopy::RECORD);
            $files = $text === null ? [] : CopyRecord::files($text);
        } catch (HostError|NotUsable) {
            [$text, $files] = ['', []];
        }
        $isRecord = $text !== null && ($record === null || hash('xxh128', $text) === $record);
        if (! $isRecord) {
            // Another drive lies there, or none.
            return $then === null || ! $then->isSameMediumAs($now)
                ? self::away('another drive is mounted there, or none')
                : new self(false, 0, 0, $text === null ? 'its record is not there any more' : 'its record is not the one that was written');
        }

        return self::files($root, $folder, $files, $clock);
    }

    private static function away(string $why): self
    {
        return new self(null, 0, 0, $why);
    }

    /** @throws HostError */
    private static function text(Beneath $root, string $path): ?string
    {
        if ($root->facts($path) === null) {
            return null;
        }
        $file = $root->file($path, Calls::READ | Calls::NON_BLOCKING);
        $file->forget();

        return $file->read(0, $file->size());
    }

    /** @param  list<ListedFile>  $files */
    private static function files(Beneath $root, string $folder, array $files, Clock $clock): self
    {
        foreach ($files as $file) {
            $facts = self::facts($root, "{$folder}/{$file->path}");
            if ($facts === null || ! $facts->isFile() || $facts->size !== $file->size) {
                $what = $facts === null ? 'is not there any more' : "has {$facts->size} bytes instead of {$file->size}";

                return new self(false, count($files), 0, FilePath::shown($file->path)." {$what}");
            }
        }
        // Others each time; a small one at the least.
        shuffle($files);
        [$read, $bytes, $began] = [0, 0, $clock->now()];
        foreach ($files as $file) {
            if ($read > 0 && ($bytes + $file->size > self::SAMPLE || $clock->now() - $began > self::SECONDS)) {
                continue;
            }
            if (! self::isSame($root, "{$folder}/{$file->path}", $file)) {
                return new self(false, count($files), $read, FilePath::shown($file->path).' reads otherwise than it was read back');
            }
            [$read, $bytes] = [$read + 1, $bytes + $file->size];
        }

        $all = count($files);

        $note = $read === $all ? "{$all} files read back again" : "{$all} files there, {$read} of them read back again";

        return new self(true, $all, $read, $note);
    }

    private static function facts(Beneath $root, string $path): ?FileFacts
    {
        try {
            return $root->facts($path);
        } catch (HostError) {
            return null;
        }
    }

    private static function isSame(Beneath $root, string $path, ListedFile $file): bool
    {
        try {
            return Reading::anew($root->file($path, Calls::READ | Calls::NON_BLOCKING), $file->size) === $file->sums->xxh128;
        } catch (HostError) {
            return false;
        }
    }
}
