<?php

declare(strict_types=1);

namespace App\Intake\Import;

use App\Tables\NotATable;
use App\Tables\TableReader;
use Generator;
use Illuminate\Support\Facades\Storage;
use Illuminate\Support\Str;
use RuntimeException;

/**
 * Tables that were sent in and wait to be confirmed, as plain rows, one to a line. Nothing of them is in the books; what
 * nobody confirms within a day is thrown away.
 */
final readonly class WaitingTable
{
    private const SECONDS = 86_400;

    private function __construct(public string $id) {}

    /**
     * @param  string  $path  where the file lies
     * @param  string  $called  what whoever sent it calls it
     *
     * @throws NotATable
     */
    public static function put(string $path, string $called): self
    {
        self::tidy();
        $name = Str::limit($called, 60);
        $table = new self(Str::lower((string) Str::ulid()));
        Storage::makeDirectory('imports');
        $out = fopen($table->path(), 'w');
        if ($out === false) {
            throw new RuntimeException("{$table->path()} cannot be written.");
        }
        fwrite($out, json_encode($name, JSON_THROW_ON_ERROR)."\n");
        $rows = 0;
        try {
            foreach (TableReader::rows($path, $name) as $number => $cells) {
                fwrite($out, json_encode([$number, $cells], JSON_THROW_ON_ERROR)."\n");
                $rows++;
            }
            if ($rows < 2) {
                throw NotATable::empty($name);
            }
        } catch (NotATable $fault) {
            $table->drop();
            throw $fault;
        } finally {
            fclose($out);
        }

        return $table;
    }

    /** @return self|null null when it was confirmed, cancelled or thrown away */
    public static function find(string $id): ?self
    {
        return preg_match('/^[0-9a-z]{26}$/', $id) === 1 && Storage::exists("imports/{$id}.jsonl") ? new self($id) : null;
    }

    public function name(): string
    {
        $file = fopen($this->path(), 'r');
        $name = $file === false ? null : json_decode((string) fgets($file), true);

        return is_string($name) ? $name : '';
    }

    /** @return list<string> */
    public function headings(): array
    {
        foreach ($this->rows() as $cells) {
            return $cells;
        }

        return [];
    }

    /** @return Generator<int, list<string>> row number in the sheet → cells; without the headings */
    public function body(): Generator
    {
        $isHeading = true;
        foreach ($this->rows() as $number => $cells) {
            if (! $isHeading) {
                yield $number => $cells;
            }
            $isHeading = false;
        }
    }

    /** @return list<list<string>> the first so many rows, without the headings */
    public function samples(int $most): array
    {
        $samples = [];
        foreach ($this->body() as $cells) {
            $samples[] = $cells;
            if (count($samples) === $most) {
                break;
            }
        }

        return $samples;
    }

    /** @return Generator<int, list<string>> row number in the sheet → cells; the headings first */
    private function rows(): Generator
    {
        $file = fopen($this->path(), 'r');
        if ($file === false) {
            return;
        }
        fgets($file);
        while (($line = fgets($file)) !== false) {
            $row = json_decode($line, true);
            if (is_array($row) && is_int($row[0] ?? null) && is_array($row[1] ?? null)) {
                yield $row[0] => array_values(array_filter($row[1], is_string(...)));
            }
        }
        fclose($file);
    }

    public function drop(): void
    {
        Storage::delete("imports/{$this->id}.jsonl");
    }

    private function path(): string
    {
        return Storage::path("imports/{$this->id}.jsonl");
    }

    private static function tidy(): void
    {
        foreach (Storage::files('imports') as $file) {
            if (Storage::lastModified($file) < time() - self::SECONDS) {
                Storage::delete($file);
            }
        }
    }
}
