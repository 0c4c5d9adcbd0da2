<?php

declare(strict_types=1);

namespace App\Stations;

use App\Models\Runs\RunState;
use App\Models\Stations\Contents;
use App\Models\Stations\Seen;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use Closure;
use Illuminate\Database\Eloquent\Builder;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Identity;

/** Looks into the slots of the station that this machine is, and writes down what lies in them. */
final readonly class SlotLook
{
    public function __construct(private AllowedFolders $allowed) {}

    /** What lies in it at this moment, with its station at hand; on another machine, what its station told last. */
    public function now(Slot $slot): Seen
    {
        return $slot->station->isHere()
            ? $this->into($slot)
            : $slot->seen ?? new Seen(null, "{$slot->name} is on another machine, which has not told yet what is in it.");
    }

    /** The same with what is on it, as far as that was looked at. */
    public function shown(Slot $slot): Seen
    {
        $now = $this->now($slot);
        $known = $slot->seen;
        $isSame = $known?->medium !== null && $now->medium !== null && $known->medium->isSameAs($now->medium);

        return new Seen($now->medium, $now->refused, $isSame ? $known->parts : []);
    }

    /** Looks into every slot; at what is on a raw medium only when it is another than before, and nobody is at work on it. */
    public function all(Station $station): void
    {
        $slots = $station
            ->slots()
            ->where('kind', '!=', SlotKind::Simulated)
            ->withExists(['runs as is_busy' => fn (Builder $runs): Builder => $runs->whereIn('state', RunState::going())])
            ->get();
        foreach ($slots as $slot) {
            $seen = $this->into($slot);
            $before = $slot->seen;
            $isSame =
                $before !== null &&
                ($before->medium === null ? $seen->medium === null : $seen->medium !== null && $before->medium->isSameAs($seen->medium));
            $isBusy = $slot->getAttribute('is_busy') === true;
            $parts = match (true) {
                $slot->kind !== SlotKind::Raw || $seen->medium === null => [],
                $isSame || $isBusy => $before->parts ?? [],
                default => self::undisturbed($slot, fn (): array => Contents::of($seen->medium)),
            };
            // A run that is over has changed what is on it.
            $slot->forceFill([
                'seen' => $isBusy && $slot->kind === SlotKind::Raw
                        ? new Seen(null, 'a run is at work on it')
                        : new Seen($seen->medium, $seen->refused, $parts),
            ]);
            if ($slot->isDirty('seen')) {
                $slot->forceFill(['seen_at' => now()])->save();
            }
        }
    }

    private function into(Slot $slot): Seen
    {
        $path = $slot->path ?? '';
        $medium = Identity::at($path);
        if ($slot->kind !== SlotKind::Folder) {
            return new Seen($medium, $medium === null ? 'nothing is in it' : null);
        }
        try {
            $this->allowed->admit($path);
        } catch (UnusablePath $fault) {
            return new Seen(null, $fault->getMessage());
        }

        return new Seen($medium);
    }

    /**
     * Looking and erasing keep out of each other's way.
     *
     * @template T
     *
     * @param  Closure(): T  $do
     * @return T
     */
    public static function undisturbed(Slot $slot, Closure $do): mixed
    {
        return OneAtATime::by(storage_path('framework/slot-'.$slot->getConnection()->getDatabaseName()."-{$slot->id}.lock"), $do);
    }
}
