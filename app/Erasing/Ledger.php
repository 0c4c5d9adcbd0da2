<?php

declare(strict_types=1);

namespace App\Erasing;

use App\Models\Cards\Card;
use App\Models\Runs\Erasure;
use App\Models\Runs\Run;
use Illuminate\Support\Facades\DB;
use PDOException;
use RuntimeException;
use Tally\Device\Identity;
use Tally\Value\Values;

/**
 * Writes down what is about to be destroyed, before the first byte is. Where the books cannot be reached, into a file that
 * they take over later: nothing is erased that is written down nowhere.
 */
final readonly class Ledger
{
    /** @throws RuntimeException when it can be written down nowhere */
    public static function enter(
        string $what,
        string $path,
        Identity $medium,
        string $person,
        ?Card $card = null,
        ?Run $run = null,
        ?string $why = null,
    ): void {
        $station = config('tally.station');
        $line = [
            'card_id' => $card?->id,
            'run_id' => $run?->id,
            'what' => mb_substr($what, 0, 200),
            'path' => mb_substr($path, 0, 500),
            'medium' => Values::json($medium),
            'bytes' => $medium->bytes->count,
            'person' => mb_substr($person, 0, 80),
            'station' => mb_substr(is_string($station) ? $station : '', 0, 80),
            'why' => $why === null || trim($why) === '' ? null : mb_substr(trim($why), 0, 300),
            'erased_at' => now()->utc()->format('Y-m-d H:i:s'),
        ];
        try {
            self::takeOver();
            self::add($line);
        } catch (PDOException) {
            $json = json_encode($line, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)."\n";
            if (file_put_contents(self::file(), $json, FILE_APPEND | LOCK_EX) !== strlen($json)) {
                throw new RuntimeException(
                    'What is to be erased could be written down neither in the database nor in '.self::file().'. Nothing was erased.',
                );
            }
        }
    }

    /** Takes lines over that were written while the books were away: all of them or none, and none twice at a time. */
    public static function takeOver(): void
    {
        $handle = is_file(self::file()) ? @fopen(self::file(), 'r+b') : false;
        if ($handle === false || ! flock($handle, LOCK_EX)) {
            return;
        }
        $lines = explode("\n", (string) stream_get_contents($handle));
        DB::transaction(function () use ($lines): void {
            foreach ($lines as $line) {
                $row = json_decode($line, true);
                if (is_array($row)) {
                    // Books that were made anew know neither that card nor that run; what was erased is still to be told.
                    $known = [
                        'card_id' => Card::query()
                            ->whereKey($row['card_id'] ?? 0)
                            ->value('id'),
                        'run_id' => Run::query()
                            ->whereKey($row['run_id'] ?? 0)
                            ->value('id'),
                    ];
                    self::add([...array_filter($row, is_string(...), ARRAY_FILTER_USE_KEY), ...$known]);
                }
            }
        });
        ftruncate($handle, 0);
        fclose($handle);
    }

    /** @param  array<string, mixed>  $line  as it stands in the file, too */
    private static function add(array $line): void
    {
        $medium = is_string($line['medium'] ?? null) ? json_decode($line['medium'], true) : null;
        Erasure::query()->create([...$line, 'medium' => is_array($medium) ? Values::read(Identity::class, $medium) : null]);
    }

    /** Of these books alone. */
    public static function file(): string
    {
        return storage_path('app/erasures-'.DB::connection()->getDatabaseName().'.jsonl');
    }
}
