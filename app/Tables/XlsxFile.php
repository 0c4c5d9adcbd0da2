<?php

declare(strict_types=1);

namespace App\Tables;

use XMLWriter;
use ZipArchive;

/** The least that is an Office Open XML workbook: one sheet of text. Source: ECMA-376 part 1, 12.2 (package structure). */
final readonly class XlsxFile
{
    private const MAIN = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';

    private const RELATIONS = 'http://schemas.openxmlformats.org/package/2006/relationships';

    private const DOCUMENT = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

    private const HEAD = '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>';

    /** @param  iterable<list<string>>  $rows */
    public static function write(string $path, iterable $rows): void
    {
        $sheet = $path.'.sheet';
        self::sheet($sheet, $rows);
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE | ZipArchive::OVERWRITE);
        $zip->addFromString(
            '[Content_Types].xml',
            self::HEAD.
                '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types">'.
                '<Default Extension="rels" ContentType="application/vnd.openxmlformats-package.relationships+xml"/><Default '.
                'Extension="xml" ContentType="application/xml"/>'.
                '<Override PartName="/xl/workbook.xml" '.
                'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml"/>'.
                '<Override PartName="/xl/worksheets/sheet1.xml" '.
                'ContentType="application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml"/></Types>',
        );
        $zip->addFromString(
            '_rels/.rels',
            self::HEAD.
                '<Relationships xmlns="'.
                self::RELATIONS.
                '"><Relationship Id="rId1" Type="'.
                self::DOCUMENT.
                '/officeDocument" Target="xl/workbook.xml"/></Relationships>',
        );
        $zip->addFromString(
            'xl/workbook.xml',
            self::HEAD.
                '<workbook xmlns="'.
                self::MAIN.
                '" xmlns:r="'.
                self::DOCUMENT.
                '"><sheets><sheet name="Cards" sheetId="1" r:id="rId1"/></sheets></workbook>',
        );
        $zip->addFromString(
            'xl/_rels/workbook.xml.rels',
            self::HEAD.
                '<Relationships xmlns="'.
                self::RELATIONS.
                '"><Relationship Id="rId1" Type="'.
                self::DOCUMENT.
                '/worksheet" Target="worksheets/sheet1.xml"/></Relationships>',
        );
        $zip->addFile($sheet, 'xl/worksheets/sheet1.xml');
        $zip->close();
        unlink($sheet);
    }

    /** @param  iterable<list<string>>  $rows */
    private static function sheet(string $path, iterable $rows): void
    {
        $xml = new XMLWriter();
        $xml->openUri($path);
        $xml->startDocument('1.0', 'UTF-8', 'yes');
        $xml->startElementNs(null, 'worksheet', self::MAIN);
        $xml->startElement('sheetData');
        foreach ($rows as $row) {
            $xml->startElement('row');
            foreach ($row as $cell) {
                $xml->startElement('c');
                $xml->writeAttribute('t', 'inlineStr');
                $xml->startElement('is');
                $xml->startElement('t');
                $xml->writeAttribute('xml:space', 'preserve');
                $xml->text(PlainXml::text($cell));
                $xml->endElement();
                $xml->endElement();
                $xml->endElement();
            }
            $xml->endElement();
            $xml->flush();
        }
        $xml->endDocument();
        $xml->flush();
    }
}
