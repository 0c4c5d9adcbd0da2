<?php

declare(strict_types=1);

namespace App\Intake\Import;

use App\Tables\NotATable;
use App\Tables\TableProcess;
use Generator;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use stdClass;
use Throwable;

/**
 * Tables that were sent in, are being read, and wait to be confirmed. Nothing of them is among the cards; what nobody confirms within
 * a day is thrown away.
 */
final readonly class WaitingTable
{
    private const HOURS = 24;

    /** Reading has come to an end by then, or never will. Seconds. */
    private const READ = 30;

    /** @param  string|null  $refused  why it is no table that is taken */
    private function __construct(public string $id, public string $name, public ?string $refused, public bool $isRead) {}

    /** @param  string  $called  what whoever sent it calls it */
    public static function sent(string $called): self
    {
        DB::table('waiting_tables')->where('sent_at', '<', now()->subHours(self::HOURS))->delete();
        $id = Str::lower((string) Str::ulid());
        $name = Str::limit(mb_scrub($called), 60);
        DB::table('waiting_tables')->insert(['id' => $id, 'name' => $name, 'sent_at' => now()]);

        return new self($id, $name, null, false);
    }

    /** Reads what was sent; whatever comes of it stands with the table. */
    public function read(string $path): void
    {
        $now = self::find($this->id);
        if ($now === null || $now->isRead || $now->refused !== null) {
            return;
        }
        try {
            $lines = deflate_init(ZLIB_ENCODING_GZIP);
            $packed = '';
            $rows = 0;
            foreach (TableProcess::rows($path, $this->name) as $number => $cells) {
                $packed .= $lines === false ? '' : deflate_add($lines, json_encode([$number, $cells], JSON_THROW_ON_ERROR)."\n");
                $rows++;
            }
            $packed .= $lines === false ? '' : deflate_add($lines, '', ZLIB_FINISH);
            $this->keep($rows < 2 ? ['refused' => NotATable::empty($this->name)->getMessage()] : ['rows' => $packed]);
        } catch (NotATable $fault) {
            $this->keep(['refused' => mb_substr($fault->getMessage(), 0, 600)]);
        } catch (Throwable $fault) {
            $this->keep(['refused' => NotATable::unreadable($this->name)->getMessage()]);
            throw $fault;
        }
    }

    /** @return self|null null when it was confirmed, cancelled or thrown away */
    public static function find(string $id): ?self
    {
        $row = DB::table('waiting_tables')
            ->where('id', $id)
            ->selectRaw('name, refused, `rows` IS NOT NULL AS is_read, sent_at < ? AS is_old', [now()->subSeconds(self::READ)])
            ->first();
        if (! $row instanceof stdClass || ! is_string($row->name)) {
            return null;
        }
        $isRead = (bool) $row->is_read;
        $refused = is_string($row->refused) ? $row->refused : null;

        return new self(
            $id,
            $row->name,
            $refused ?? (! $isRead && (bool) $row->is_old ? NotATable::unreadable($row->name)->getMessage() : null),
            $isRead,
        );
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
        $packed = DB::table('waiting_tables')->where('id', $this->id)->value('rows');
        $lines = inflate_init(ZLIB_ENCODING_GZIP);
        if (! is_string($packed) || $lines === false) {
            return;
        }
        $rest = '';
        foreach (str_split($packed, 1 << 15) as $piece) {
            $whole = explode("\n", $rest.inflate_add($lines, $piece));
            $rest = array_pop($whole);
            foreach ($whole as $line) {
                $row = json_decode($line, true);
                if (is_array($row) && is_int($row[0] ?? null) && is_array($row[1] ?? null)) {
                    yield $row[0] => array_values(array_filter($row[1], is_string(...)));
                }
            }
        }
    }

    /** @return bool whether it was there to be dropped */
    public function drop(): bool
    {
        return DB::table('waiting_tables')->where('id', $this->id)->delete() === 1;
    }

    /** @param  array<string, string>  $found */
    private function keep(array $found): void
    {
        DB::table('waiting_tables')->where('id', $this->id)->update($found);
    }
}
