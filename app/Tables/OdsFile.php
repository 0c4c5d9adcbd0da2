<?php

declare(strict_types=1);

namespace App\Tables;

use XMLWriter;
use ZipArchive;

/** The least that is an OpenDocument spreadsheet: one sheet of text. Source: OASIS OpenDocument 1.3 part 2, 3 (packages). */
final readonly class OdsFile
{
    private const TYPE = 'application/vnd.oasis.opendocument.spreadsheet';

    /** @param  iterable<list<string>>  $rows */
    public static function write(string $path, iterable $rows): void
    {
        $content = $path.'.content';
        self::content($content, $rows);
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        // First and unpacked, so that the kind of the file can be told from its first bytes.
        $zip->addFromString('mimetype', self::TYPE);
        $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
        $zip->addFromString(
            'META-INF/manifest.xml',
            '<?xml version="1.0" encoding="UTF-8"?><manifest:manifest '.
            'xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.3">'.
                '<manifest:file-entry manifest:full-path="/" manifest:version="1.3" manifest:media-type="'.
                self::TYPE.
                '"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>',
        );
        $zip->addFile($content, 'content.xml');
        $zip->close();
        unlink($content);
    }

    /** Spaces that stand beside others, and tabs, are elements of their own: as text they would be drawn together. */
    private static function paragraphs(XMLWriter $xml, string $text): void
    {
        foreach (explode("\n", $text) as $line) {
            $xml->startElement('text:p');
            $pieces = preg_split('/(\t|^ +| {2,}| +$)/', $line, -1, PREG_SPLIT_DELIM_CAPTURE | PREG_SPLIT_NO_EMPTY);
            foreach ($pieces === false ? [] : $pieces as $piece) {
                if ($piece === "\t") {
                    $xml->writeElement('text:tab');
                } elseif (trim($piece, ' ') === '') {
                    $xml->startElement('text:s');
                    $xml->writeAttribute('text:c', (string) strlen($piece));
                    $xml->endElement();
                } else {
                    $xml->text($piece);
                }
            }
            $xml->endElement();
        }
    }

    /** @param  iterable<list<string>>  $rows */
    private static function content(string $path, iterable $rows): void
    {
        $xml = new XMLWriter();
        $xml->openUri($path);
        $xml->startDocument('1.0', 'UTF-8');
        $xml->startElement('office:document-content');
        foreach (['office', 'table', 'text'] as $space) {
            $xml->writeAttribute("xmlns:{$space}", "urn:oasis:names:tc:opendocument:xmlns:{$space}:1.0");
        }
        $xml->writeAttribute('office:version', '1.3');
        $xml->startElement('office:body');
        $xml->startElement('office:spreadsheet');
        $xml->startElement('table:table');
        $xml->writeAttribute('table:name', 'Cards');
        foreach ($rows as $row) {
            $xml->startElement('table:table-row');
            foreach ($row as $cell) {
                $xml->startElement('table:table-cell');
                $xml->writeAttribute('office:value-type', 'string');
                self::paragraphs($xml, PlainXml::text($cell));
                $xml->endElement();
            }
            $xml->endElement();
            $xml->flush();
        }
        $xml->endDocument();
        $xml->flush();
    }
}
