<?php

declare(strict_types=1);

namespace App\Backup;

use Generator;
use Tally\Value\NotUsable;
use Tally\Value\Values;
use ZipArchive;

/** A backup that is read: row by row and file by file, never whole. */
final readonly class Archive
{
    /** A row of before had its photo in it. Bytes. */
    private const LONGEST_LINE = 40 << 20;

    private const LARGEST_FILE = 32 << 20;

    private const LARGEST_MANIFEST = 64 << 20;

    private function __construct(private ZipArchive $zip, private Manifest $manifest) {}

    /** @throws NotABackup */
    public static function open(string $path): self
    {
        $zip = new ZipArchive();
        if (! is_file($path) || $zip->open($path, ZipArchive::RDONLY) !== true) {
            throw NotABackup::unreadable($path);
        }
        $size = $zip->statName(BackupFile::MANIFEST)['size'] ?? 0;
        $json = $size <= self::LARGEST_MANIFEST ? (string) $zip->getFromName(BackupFile::MANIFEST) : '';
        $manifest = json_decode($json, true, 32);
        try {
            $said = Values::read(Manifest::class, is_array($manifest) ? $manifest : []);
        } catch (NotUsable) {
            throw NotABackup::damaged(BackupFile::MANIFEST);
        }

        return $said->isKnown() ? new self($zip, $said) : throw NotABackup::otherKind($path);
    }

    public function madeAt(): string
    {
        return $this->manifest->madeAt;
    }

    /** @return list<string> that its books had been through */
    public function changes(): array
    {
        return $this->manifest->changes;
    }

    /** @return list<string> */
    public function tables(): array
    {
        return array_keys($this->manifest->tables);
    }

    /**
     * Every part is as it was written.
     *
     * @throws NotABackup
     */
    public function check(): void
    {
        foreach ($this->manifest->tables as $table => $of) {
            $this->mustBe("tables/{$table}.jsonl", $table, $of->sha256);
            foreach ($of->files as $name => $sum) {
                $this->mustBe($name, $name, $sum);
            }
        }
    }

    /** @return list<string>|null null in a backup of before, whose rows are in the order of the table itself */
    public function columns(string $table): ?array
    {
        return $this->manifest->version === 1 ? null : $this->manifest->tables[$table]->columns ?? [];
    }

    /**
     * @param  list<string>  $columns
     * @param  array<string, bool>  $bytes  column → whether it holds bytes that are no text
     * @return Generator<int, array<string, mixed>> number of the row, from 1 → column → value
     *
     * @throws NotABackup
     */
    public function rows(string $table, array $columns, array $bytes): Generator
    {
        $stream = $this->zip->getStream("tables/{$table}.jsonl");
        $number = 0;
        while ($stream !== false && ($line = fgets($stream, self::LONGEST_LINE)) !== false) {
            $number++;
            $values = json_decode($line, true, 4);
            if (! is_array($values) || ! array_is_list($values) || count($values) !== count($columns)) {
                throw NotABackup::row($table, $number, null, 'It has not as many values as the table has columns.');
            }
            $row = array_combine($columns, $values);
            foreach ($row as $column => $value) {
                if (is_array($value)) {
                    throw NotABackup::row($table, $number, $column, 'There is a list where one value belongs.');
                }
                $row[$column] = ($bytes[$column] ?? false) && is_string($value) ? $this->bytes($table, $number, $column, $value) : $value;
            }
            yield $number => $row;
        }
    }

    private function bytes(string $table, int $number, string $column, string $value): string
    {
        if ($this->manifest->version === 1) {
            $bytes = base64_decode($value, true);
        } else {
            // Only what belongs to this table, whatever the row says.
            $size = isset($this->manifest->tables[$table]->files[$value]) ? $this->zip->statName($value)['size'] ?? null : null;
            $bytes = $size !== null && $size <= self::LARGEST_FILE ? $this->zip->getFromName($value) : false;
        }

        return $bytes === false ? throw NotABackup::row($table, $number, $column, 'Its bytes are not in the file.') : $bytes;
    }

    private function mustBe(string $name, string $said, string $sum): void
    {
        $stream = $this->zip->getStream($name);
        $hash = hash_init('sha256');
        // A part that does not unpack whole warns, and its sum tells.
        $whole = $stream !== false && @hash_update_stream($hash, $stream) >= 0;
        if (! $whole || hash_final($hash) !== $sum) {
            throw NotABackup::damaged($said);
        }
    }
}
