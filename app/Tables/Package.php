<?php

declare(strict_types=1);

namespace App\Tables;

use XMLReader;
use ZipArchive;

/**
 * The packed file that a spreadsheet is. Everything in it is unpacked once and counted before any of it is read: a small
 * file can unpack to more than the machine holds, and what it says of its own sizes need not be true.
 */
final readonly class Package
{
    private const MOST_ENTRIES = 1000;

    /** @param  array<string, true>  $entries */
    private function __construct(private string $path, public string $name, private array $entries) {}

    /** @throws NotATable */
    public static function open(string $path, string $name): self
    {
        $zip = new ZipArchive();
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw NotATable::broken($name);
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw NotATable::unpacksHuge($name, TableLimits::UNPACKED);
        }
        $entries = [];
        $unpacked = 0;
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $entry = (string) $zip->getNameIndex($i);
            $stream = $zip->getStreamIndex($i);
            if ($stream === false) {
                throw NotATable::broken($name);
            }
            while (! feof($stream)) {
                $piece = fread($stream, 1 << 16);
                if ($piece === false) {
                    throw NotATable::broken($name);
                }
                $unpacked += strlen($piece);
                if ($unpacked > TableLimits::UNPACKED) {
                    throw NotATable::unpacksHuge($name, TableLimits::UNPACKED);
                }
            }
            fclose($stream);
            $entries[$entry] = true;
        }
        $zip->close();

        return new self($path, $name, $entries);
    }

    public function has(string $entry): bool
    {
        return isset($this->entries[$entry]);
    }

    /** @throws NotATable */
    public function read(string $entry): XMLReader
    {
        $reader = new XMLReader();
        if (
            ! $this->has($entry) ||
            ! $reader->open("zip://{$this->path}#{$entry}", null, LIBXML_NONET | LIBXML_COMPACT | LIBXML_NOERROR | LIBXML_NOWARNING)
        ) {
            throw NotATable::broken($this->name);
        }

        return $reader;
    }

    /**
     * One step on. A document type declaration is refused: it could make a few bytes stand for gigabytes.
     *
     * @throws NotATable
     */
    public function step(XMLReader $reader): bool
    {
        $more = @$reader->read();
        if ($more && $reader->nodeType === XMLReader::DOC_TYPE) {
            throw NotATable::declares($this->name);
        }
        if (! $more && libxml_get_last_error() !== false) {
            libxml_clear_errors();
            throw NotATable::broken($this->name);
        }

        return $more;
    }
}
