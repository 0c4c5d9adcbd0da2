<?php

declare(strict_types=1);

namespace App\Runs;

use App\Gear\Rig;
use App\Jobs\ConductRun;
use App\Models\Card;
use App\Models\Run;
use App\Models\Slot;
use App\Models\SlotKind;
use App\Models\Station;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\UnusablePath;
use Tally\Quantity\Bytes;
use Tally\StandIn\Shelf;

/** Takes orders for runs: checks that they can be carried out, and puts them on the station's queue. */
final readonly class RunDesk
{
    public function __construct(private AllowedFolders $allowed, private Dispatcher $queue) {}

    /**
     * @param  Bytes  $size  how much each speed run writes, or how much is proven; nothing for all there is
     *
     * @throws ValidationException with a sentence under the field it is about
     */
    public function order(Card $card, Slot $slot, Station $station, RunKind $kind, Bytes $size, int $runs, ?Shelf $standIn, ?string $by): Run
    {
        $chain = Rig::chain($card, $slot)
            ?? throw $this->refuse('slot', "{$slot->reader->tag} does not take {$card->label()->connection()}: choose another slot.");
        if ($slot->kind === SlotKind::Folder) {
            try {
                $this->allowed->admit($slot->path ?? '');
            } catch (UnusablePath $fault) {
                throw $this->refuse('slot', $fault->getMessage());
            }
        }

        return DB::transaction(function () use ($card, $slot, $station, $kind, $size, $runs, $standIn, $by, $chain): Run {
            // Two orders at once for one card would measure each other.
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
            if ($card->runs()->whereIn('state', RunState::going())->exists()) {
                throw $this->refuse('slot', "{$card->tag} already has a run going or waiting: let it end, or stop it.");
            }
            if ($slot->kind === SlotKind::StandIn && $card->stand_in === null) {
                $card->stand_in = ($standIn ?? Shelf::Honest)->medium($card->label(), $card->id)->line();
                $card->save();
            }
            $run = Run::query()->create([
                'card_id' => $card->id,
                'station_id' => $station->id,
                'slot_id' => $slot->id,
                'kind' => $kind,
                'state' => RunState::Waiting,
                'chain' => ChainRecord::pack($chain),
                'parameters' => ['size' => $size->count, 'runs' => $runs],
                'recorded_by' => $by,
            ]);
            $this->queue->dispatch((new ConductRun($run->id))->onQueue($station->queue())->afterCommit());

            return $run;
        });
    }

    private function refuse(string $field, string $sentence): ValidationException
    {
        return ValidationException::withMessages([$field => $sentence]);
    }
}
