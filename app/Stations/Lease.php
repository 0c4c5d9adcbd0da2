<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Stations\Station;
use Illuminate\Database\Eloquent\Builder;

/**
 * Who works under the name of a station: one folder on one machine. Held in the books, said again every few seconds; a second
 * folder of the same name is refused while the first one goes on saying so.
 */
final readonly class Lease
{
    public function __construct(private Station $station) {}

    /** Takes it or holds on to it; false where another folder has it. */
    public function hold(): bool
    {
        $free = Station::query()
            ->whereKey($this->station->id)
            ->where(
                fn (Builder $who): Builder => $who
                    ->whereNull('holder')
                    ->orWhere('holder', self::here())
                    ->orWhereNull('worker_seen_at')
                    ->orWhere('worker_seen_at', '<', now()->subSeconds(Station::AWAY_AFTER)),
            );
        // A row that is the same as before counts as none that was changed.
        $free->update(['holder' => self::here(), 'worker_seen_at' => now()]);

        return $this->holder() === self::here();
    }

    public function holder(): ?string
    {
        return Station::query()->find($this->station->id)?->holder;
    }

    /** Given back, so that another folder need not wait for it. */
    public function giveBack(): void
    {
        Station::query()
            ->whereKey($this->station->id)
            ->where('holder', self::here())
            ->update(['holder' => null]);
    }

    /** This folder on this machine, until it is started anew. */
    private static function here(): string
    {
        $boot = trim((string) @file_get_contents('/proc/sys/kernel/random/boot_id'));

        return mb_strcut(storage_path(), -150).' on '.mb_strcut(php_uname('n'), 0, 60).' ('.substr(hash('sha256', $boot), 0, 8).')';
    }
}
