<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use Tally\Device\Host\Beneath;
use Tally\Device\Host\Calls;
use Tally\Device\Host\HostError;
use Tally\Transfer\Stage;

/**
 * The lists and the record beside a copy: `QS-014.sha256`, `QS-014.xxh128` and `QS-014.copy.json` beside the folder `QS-014`. Where
 * there are others of that name already, these are numbered: `QS-014.2.sha256`.
 */
final readonly class BesideCopy
{
    public const SHA256 = 'sha256';

    public const XXH128 = 'xxh128';

    public const RECORD = 'copy.json';

    /** Of a copy that ended before it was whole: `QS-014.part.sha256`. */
    public const PART = 'part';

    /** More of one name nobody makes. */
    private const MOST = 1000;

    /**
     * Lists that say nothing that these do not say too are replaced by them: of a part of the copy, or of the card before it was filled
     * up further.
     *
     * @return list<string> the three, by their path on the drive
     *
     * @throws HostError
     */
    public static function put(Beneath $drive, Stage $stage, string $folder, CopyRecord $record): array
    {
        $name = basename($folder);
        $texts = [
            self::SHA256 => ChecksumList::sha256($name, $record->files),
            self::XXH128 => ChecksumList::xxh128($name, $record->files),
            self::RECORD => $record->json(),
        ];
        $taken = [];
        for ($number = 1; $number < self::MOST; $number++) {
            $stem = $number === 1 ? $folder : "{$folder}.{$number}";
            $there = array_filter(array_keys($texts), fn (string $kind): bool => $drive->facts("{$stem}.{$kind}") !== null);
            if ($there === []) {
                break;
            }
            $taken[$stem] = $there;
        }
        $outdated = ["{$folder}.".self::PART => array_keys($texts)];
        foreach ($record->isPart ? [] : $taken as $stem => $there) {
            if (count($there) === count($texts) && self::say($drive, $stem, $texts)) {
                self::remove($drive, $outdated);

                return array_map(fn (string $kind): string => "{$stem}.{$kind}", array_keys($texts));
            }
            if (self::sayLess($drive, $stem, $texts)) {
                $outdated[$stem] = $there;
            }
        }
        $stem = $record->isPart ? "{$folder}.".self::PART : self::free($folder, array_keys(array_diff_key($taken, $outdated)));
        self::remove($drive, $outdated);
        foreach ($texts as $kind => $text) {
            self::whole($stage, "{$stem}.{$kind}", $text);
        }

        return array_map(fn (string $kind): string => "{$stem}.{$kind}", array_keys($texts));
    }

    /**
     * @param  list<string>  $taken  stems
     *
     * @throws HostError
     */
    private static function free(string $folder, array $taken): string
    {
        for ($number = 1; $number < self::MOST; $number++) {
            $stem = $number === 1 ? $folder : "{$folder}.{$number}";
            if (! in_array($stem, $taken, true)) {
                return $stem;
            }
        }
        throw new HostError(HostError::EEXIST, 'open', "{$folder}.".self::RECORD);
    }

    /**
     * @param  array<string, array<string>>  $lists  stem → kinds
     *
     * @throws HostError
     */
    private static function remove(Beneath $drive, array $lists): void
    {
        foreach ($lists as $stem => $kinds) {
            foreach ($kinds as $kind) {
                if ($drive->facts("{$stem}.{$kind}") !== null) {
                    $drive->remove("{$stem}.{$kind}");
                }
            }
        }
    }

    /**
     * Whether lists that are there say the same; the record of the day on which they were made stays.
     *
     * @param  array<string, string>  $texts
     *
     * @throws HostError
     */
    private static function say(Beneath $drive, string $stem, array $texts): bool
    {
        foreach ([self::SHA256, self::XXH128] as $kind) {
            if (self::text($drive, "{$stem}.{$kind}") !== $texts[$kind]) {
                return false;
            }
        }

        return true;
    }

    /**
     * Whether each line of them stands in these, too.
     *
     * @param  array<string, string>  $texts
     *
     * @throws HostError
     */
    private static function sayLess(Beneath $drive, string $stem, array $texts): bool
    {
        foreach ([self::SHA256, self::XXH128] as $kind) {
            $path = "{$stem}.{$kind}";
            $lines = $drive->facts($path) === null ? [] : explode("\n", self::text($drive, $path));
            if (array_diff($lines, explode("\n", $texts[$kind])) !== []) {
                return false;
            }
        }

        return true;
    }

    /** @throws HostError */
    private static function text(Beneath $drive, string $path): string
    {
        $list = $drive->file($path, Calls::READ | Calls::NON_BLOCKING);

        return $list->read(0, $list->size());
    }

    /** @throws HostError */
    private static function whole(Stage $stage, string $path, string $text): void
    {
        $part = $stage->nextPart();
        $file = $stage->part($part, Calls::WRITE | Calls::CREATE | Calls::EXCLUSIVE);
        $file->write(0, $text);
        $file->sync();
        $file->close();
        $stage->name($part, $path);
    }
}
