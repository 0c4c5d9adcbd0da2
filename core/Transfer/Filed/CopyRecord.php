<?php

declare(strict_types=1);

namespace Tally\Transfer\Filed;

use JsonException;
use Tally\Device\Host\RealPath;
use Tally\Transfer\FileEntry;
use Tally\Transfer\FilePath;
use Tally\Transfer\ListedFile;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** The open record beside a copy, as docs/copy.schema.json describes it. */
final readonly class CopyRecord
{
    public const FORMAT = 'gritty-tally-copy';

    public const VERSION = 1;

    /**
     * @param  string  $from  the folder of the card
     * @param  string  $to  the folder of the copy
     * @param  list<string>  $others  folders of the other copies that were made with it
     * @param  list<string>  $skipped
     * @param  list<ListedFile>  $files
     * @param  bool  $forgot  whether the host could be made to forget before the copy was read back
     * @param  bool  $isPart  whether it ended before all of the card was copied and read back
     */
    public function __construct(
        public Circumstances $how,
        public string $from,
        public string $to,
        public array $others,
        public array $skipped,
        public array $files,
        public bool $forgot,
        public bool $isPart = false,
    ) {}

    public function json(): string
    {
        return json_encode(
            [
                'format' => self::FORMAT,
                'version' => self::VERSION,
                'card' => $this->how->card,
                'by' => $this->how->by,
                'host' => $this->how->host,
                'chain' => $this->how->chain,
                'from' => FilePath::shown($this->from),
                'to' => FilePath::shown($this->to),
                'other_copies' => array_map(FilePath::shown(...), $this->others),
                'began' => $this->how->began,
                'ended' => $this->how->ended,
                'verified' => [
                    'how' => 'every file was read back from the drive and compared by XXH128 with what was read of the card',
                    'host_forgot_first' => $this->forgot,
                ],
                'part' => $this->isPart,
                'count' => count($this->files),
                'bytes' => array_sum(array_map(fn (ListedFile $file): int => $file->size, $this->files)),
                'skipped' => array_map(FilePath::shown(...), $this->skipped),
                'files' => $this->files,
            ],
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /**
     * @param  string  $folder  of a copy
     * @return array<string, ListedFile> what the card gave, by path, as the record beside it says; none where there is no record
     *
     * @throws NotUsable where it cannot be read whole
     */
    public static function beside(string $folder): array
    {
        $real = RealPath::of($folder);
        $text = $real === null || ! is_file("{$real}.".BesideCopy::RECORD) ? null : file_get_contents("{$real}.".BesideCopy::RECORD);
        $known = [];
        foreach ($text === null ? [] : self::files((string) $text) as $file) {
            $known[$file->path] = $file;
        }

        return $known;
    }

    /**
     * @return list<ListedFile> by their paths in the folder of the copy
     *
     * @throws NotUsable
     */
    public static function files(string $json): array
    {
        try {
            $said = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotUsable::field('file', $fault->getMessage(), 'give JSON.');
        }

        return array_map(fn (FileEntry $entry): ListedFile => $entry->file, Values::read(FiledRecord::class, $said, 'record')->files);
    }
}
