<?php

declare(strict_types=1);

namespace App\People;

use App\Models\People\User;
use Illuminate\Support\Facades\DB;

/**
 * Wrong tries at signing in, and how long whoever made them waits. A few are free; from then on each costs a little more than the
 * one before. A try is counted before its password is looked at, so that many at once are no more than many in a row.
 *
 * They are of one name at one address. From a browser in which somebody has signed in before they are of that browser alone:
 * whatever others do at the same address keeps that person out for nothing.
 */
final readonly class Tries
{
    private const FREE = 5;

    /** Of all names together, from an address that nobody is known at. */
    private const FREE_OF_ALL = 30;

    /** Seconds that each further one costs more, and the most that one costs. */
    private const STEP = 10;

    private const LONGEST = 900;

    /** What was not tried again for so long is forgotten. Seconds. */
    private const KEPT = 3600;

    /** @param  array<string, int>  $keys  what is counted → how many are free */
    private function __construct(private array $keys) {}

    /** @param  string|null  $browser  in which this person has signed in before */
    public static function of(string $name, ?User $person, string $address, ?string $browser): self
    {
        // By the person and not by how the name was written: the books take an accent for a letter without one.
        $who = $person === null ? 'name '.mb_strtolower($name) : "person {$person->id}";

        return new self(
            $browser !== null
                ? [hash('sha256', "{$who} in {$browser}") => self::FREE]
                : [hash('sha256', "{$who} from {$address}") => self::FREE, hash('sha256', "from {$address}") => self::FREE_OF_ALL],
        );
    }

    /**
     * Counts one more.
     *
     * @return int seconds to wait first; 0 where it may be tried now
     */
    public function take(): int
    {
        return DB::transaction(function (): int {
            $now = now();
            // A row is there to be locked, before two at once find none; always in one order, so that neither waits for the other.
            $keys = array_keys($this->keys);
            sort($keys);
            DB::table('sign_in_tries')->insertOrIgnore(
                array_map(fn (string $key): array => ['key' => $key, 'tries' => 0, 'next_at' => $now, 'tried_at' => $now], $keys),
            );
            $rows = DB::table('sign_in_tries')->whereIn('key', $keys)->orderBy('key')->lockForUpdate()->get()->keyBy('key');
            $waits = 0;
            foreach ($rows as $row) {
                $waits = max($waits, (is_string($row->next_at) ? (int) strtotime("{$row->next_at} UTC") : 0) - $now->getTimestamp());
            }
            if ($waits > 0) {
                return $waits;
            }
            foreach ($rows as $row) {
                $isOld = is_string($row->tried_at) && strtotime("{$row->tried_at} UTC") < $now->getTimestamp() - self::KEPT;
                $tries = 1 + ($isOld || ! is_numeric($row->tries) ? 0 : (int) $row->tries);
                $over = $tries + 1 - $this->keys[is_string($row->key) ? $row->key : ''];
                DB::table('sign_in_tries')
                    ->where('key', $row->key)
                    ->update([
                        'tries' => $tries,
                        'tried_at' => $now,
                        'next_at' => $now->copy()->addSeconds(min(self::LONGEST, self::STEP * max(0, $over))),
                    ]);
            }

            return 0;
        });
    }

    /** The person has come in. */
    public function forget(): void
    {
        DB::table('sign_in_tries')
            ->whereIn('key', array_keys($this->keys))
            ->orWhere('tried_at', '<', now()->subSeconds(self::KEPT))
            ->delete();
    }
}
