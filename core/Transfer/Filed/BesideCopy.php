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

    /** More of one name nobody makes. */
    private const MOST = 1000;

    /**
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
        for ($number = 1; $number < self::MOST; $number++) {
            $stem = $number === 1 ? $folder : "{$folder}.{$number}";
            $taken = array_filter(array_keys($texts), fn (string $kind): bool => $drive->facts("{$stem}.{$kind}") !== null);
            if (count($taken) === count($texts) && self::say($drive, $stem, $texts)) {
                return array_map(fn (string $kind): string => "{$stem}.{$kind}", array_keys($texts));
            }
            if ($taken === []) {
                foreach ($texts as $kind => $text) {
                    self::whole($stage, "{$stem}.{$kind}", $text);
                }

                return array_map(fn (string $kind): string => "{$stem}.{$kind}", array_keys($texts));
            }
        }
        throw new HostError(HostError::EEXIST, 'open', "{$folder}.".self::RECORD);
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
            $list = $drive->file("{$stem}.{$kind}", Calls::READ | Calls::NON_BLOCKING);
            if ($list->read(0, strlen($texts[$kind]) + 1) !== $texts[$kind]) {
                return false;
            }
        }

        return true;
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
