<?php

declare(strict_types=1);

namespace Tally\Transfer;

use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Device\Host\RealPath;
use Tally\Transfer\Filed\BesideCopy;
use Tally\Transfer\Filed\CopyRecord;
use Tally\Value\NotUsable;

/** A card that was filled anew goes into a folder of its own, beside the one of before. */
final readonly class FolderName
{
    private const MOST = 1000;

    /**
     * @param  list<string>  $drives  folders on drives
     * @param  string  $name  of the folder in each of them: `Harbour/Day 1/QS-014`
     * @return string that name, or `QS-014-2` where on some drive other files than these came from the card before
     */
    public static function of(Source $source, array $drives, string $name): string
    {
        $files = [];
        foreach ($source->files as $file) {
            $files[$file->path] = $file;
        }
        for ($number = 1; $number < self::MOST; $number++) {
            $tried = $number === 1 ? $name : "{$name}-{$number}";
            $others = array_filter($drives, fn (string $drive): bool => self::hasOther($drive, $tried, $files));
            if ($others === []) {
                return $tried;
            }
        }

        return $name;
    }

    /** @param  array<string, SourceFile>  $files */
    private static function hasOther(string $drive, string $name, array $files): bool
    {
        foreach (self::known($drive, $name) as $listed) {
            $file = $files[$listed->path] ?? null;
            if ($file === null || ! $listed->isOf($file)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<ListedFile> that came there from a card, by the record beside it or the journal of an offload that was left */
    private static function known(string $drive, string $name): array
    {
        $real = RealPath::of($drive);
        try {
            $root = $real === null ? null : Beneath::folder($real);
            $left = $root === null ? null : Stage::left($root, $name);
            if ($root === null || $left !== null) {
                return $left['whole'] ?? [];
            }
            $record = $root->file("{$name}.".BesideCopy::RECORD, Calls::READ | Calls::NON_BLOCKING);

            return CopyRecord::files($record->read(0, $record->size()));
        } catch (HostError|NotUsable) {
            return [];
        }
    }
}
