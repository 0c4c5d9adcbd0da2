<?php

declare(strict_types=1);

namespace App\Runs;

use App\Gear\Rig;
use App\Jobs\ConductRun;
use App\Models\Card;
use App\Models\Run;
use App\Models\SlotKind;
use App\Models\Station;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Fluent;
use Illuminate\Validation\ValidationException;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\UnusablePath;
use Tally\StandIn\Shelf;

/** Takes orders for runs: checks that they can be carried out, and puts them on the station's queue. */
final readonly class RunDesk
{
    public function __construct(private AllowedFolders $allowed, private Dispatcher $queue) {}

    /** @throws ValidationException with a sentence under the field it is about */
    public function order(Card $card, Station $station, Ordered $order): Run
    {
        $slot = $order->slot;
        $chain = Rig::chain($card, $slot)
            ?? throw $this->refuse('slot', "{$slot->reader->tag} does not take {$card->label()->connection()}: choose another slot.");
        $this->check($order);

        return DB::transaction(function () use ($card, $slot, $station, $order, $chain): Run {
            // Two orders at once for one card would measure each other.
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
            if ($card->runs()->whereIn('state', RunState::going())->exists()) {
                throw $this->refuse('slot', "{$card->tag} already has a run going or waiting: let it end, or stop it.");
            }
            if ($slot->kind === SlotKind::StandIn && $card->stand_in === null) {
                $card->stand_in = ($order->standIn ?? Shelf::Honest)->medium($card->label(), $card->id)->line();
                $card->save();
            }
            $run = Run::query()->create([
                'card_id' => $card->id,
                'station_id' => $station->id,
                'slot_id' => $slot->id,
                'reader_id' => $slot->reader->id,
                'cable_id' => $slot->reader->cable_id,
                'port_id' => $slot->port->id,
                'drive_id' => $order->parameters['drive'] ?? null,
                'kind' => $order->kind,
                'state' => RunState::Waiting,
                'chain' => ChainRecord::pack($chain),
                'parameters' => $order->parameters,
                'beside' => $order->beside,
                'recorded_by' => $order->by,
            ]);
            $this->queue->dispatch((new ConductRun($run->id))->onQueue($station->queue())->afterCommit());

            return $run;
        });
    }

    /** @throws ValidationException */
    private function check(Ordered $order): void
    {
        $parameters = new Fluent($order->parameters);
        if ($order->slot->kind === SlotKind::StandIn) {
            if ($order->kind === RunKind::Copy) {
                throw $this->refuse('slot', "{$order->slot->name} holds a stand-in, which keeps no files: choose a slot with a folder, or take the time by stopwatch.");
            }

            return;
        }
        if ($parameters->integer('from') > 0) {
            throw $this->refuse('from', 'In a folder the file system decides where data lies, so a region that begins further on cannot be promised. Leave it empty, or write up to there.');
        }
        $this->admit('slot', $order->slot->path ?? '');
        if ($order->kind === RunKind::Copy) {
            $this->admit('source', $parameters->string('source')->value());
            $this->admit('into', $parameters->string('into')->value());
        }
    }

    /** @throws ValidationException when a folder is not one that may be used */
    private function admit(string $field, string $path): void
    {
        try {
            $this->allowed->admit($path);
        } catch (UnusablePath $fault) {
            throw $this->refuse($field, $fault->getMessage());
        }
    }

    private function refuse(string $field, string $sentence): ValidationException
    {
        return ValidationException::withMessages([$field => $sentence]);
    }
}
