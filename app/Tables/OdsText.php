<?php

declare(strict_types=1);

namespace App\Tables;

use ZipArchive;

/**
 * What the library leaves undone in an OpenDocument spreadsheet. Spaces beside spaces, tabs and line ends are elements
 * there: as plain text they are drawn together. Source: OASIS OpenDocument 1.3 part 3, 6.1.2–6.1.5.
 */
final readonly class OdsText
{
    /** The content of a package, as the library reads it best. */
    public static function toRead(string $xml): string
    {
        // Rows end in thousands of empty cells, kept as one, which the library would count through for every row.
        $short = preg_replace('~(?:<table:table-cell\b[^>]*+(?<=/)>\s*+)++(?=</table:table-row>)~', '', $xml) ?? $xml;

        return str_replace('<text:tab/>', "\t", $short);
    }

    /** Makes elements of the spaces, tabs and line ends that stand in a package's text. */
    public static function complete(string $path): void
    {
        $zip = new ZipArchive();
        $zip->open($path);
        $xml = (string) $zip->getFromName('content.xml');
        $whole = preg_replace_callback('~(?<=<text:p>)[^<]++~', fn (array $text): string => self::elements($text[0]), $xml);
        $zip->addFromString('content.xml', (string) $whole);
        $zip->close();
    }

    private static function elements(string $text): string
    {
        $spaced = preg_replace_callback(
            '/^ +| {2,}| +$/m',
            fn (array $spaces): string => '<text:s text:c="'.strlen($spaces[0]).'"/>',
            str_replace(['&#13;', "\r"], '', $text),
        );

        return str_replace(["\t", "\n"], ['<text:tab/>', '</text:p><text:p>'], (string) $spaced);
    }
}
