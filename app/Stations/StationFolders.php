<?php

declare(strict_types=1);

namespace App\Stations;

use Tally\Device\AllowedFolders;

/** The folders of this station's settings. */
final readonly class StationFolders
{
    /** What the pages may order runs in. */
    public static function allowed(): AllowedFolders
    {
        return new AllowedFolders(self::listed('folders'), self::listed('plain_folders'));
    }

    /** What somebody at the terminal may. */
    public static function anywhere(): AllowedFolders
    {
        return new AllowedFolders(null, self::listed('plain_folders'));
    }

    /** @return list<string> */
    private static function listed(string $setting): array
    {
        return array_values(array_filter((array) config("tally.{$setting}"), is_string(...)));
    }
}
