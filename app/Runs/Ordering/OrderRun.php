<?php

declare(strict_types=1);

namespace App\Runs\Ordering;

use App\Erasing\Permit;
use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\People\Ability;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use App\People\Authorisation;
use App\Runs\Conducting\ConductRun;
use App\Stations\SlotLook;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Identity;
use Tally\Record\CopyParameters;
use Tally\Record\Parameters;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;
use Tally\Record\SpeedParameters;
use Tally\Simulated\SimulatedChoice;

/** Takes orders for runs: checks that they can be carried out, and puts them on the station's queue. */
final readonly class OrderRun
{
    public function __construct(private AllowedFolders $allowed, private Dispatcher $queue, private SlotLook $look) {}

    /** @throws ValidationException with a sentence under the field it is about */
    public function order(Card $card, Station $station, RunOrder $order): Run
    {
        $slot = $order->slot;
        $chain =
            ChainBuilder::chainOf($card, $slot->reader, $slot->port) ??
            throw $this->refuse('slot', "{$slot->reader->tag} does not take {$card->label()->connection()}: choose another slot.");
        $this->check($card, $order);
        $medium = $this->medium($order);

        return DB::transaction(function () use ($card, $slot, $station, $order, $chain, $medium): Run {
            // Two orders at once for one card would measure each other.
            Card::query()->whereKey($card->id)->lockForUpdate()->first();
            if ($card->runs()->whereIn('state', RunState::going())->exists()) {
                throw $this->refuse('slot', "{$card->tag} already has a run going or waiting: let it end, or stop it.");
            }
            $this->mustBeFree($slot, $medium);
            if ($slot->kind === SlotKind::Simulated && $card->stand_in === null) {
                $card->stand_in = ($order->simulated ?? SimulatedChoice::Honest)->medium($card->label(), $card->id)->line();
                $card->save();
            }
            $run = Run::query()->create([
                'card_id' => $card->id,
                'station_id' => $station->id,
                'slot_id' => $slot->id,
                'medium' => $medium,
                'reader_id' => $slot->reader->id,
                'cable_id' => $slot->reader->cable_id,
                'port_id' => $slot->port->id,
                'drive_id' => $order->drive,
                'kind' => $order->kind,
                'state' => RunState::Waiting,
                // A made-up medium keeps its own time.
                'chain' => $chain->at($slot->kind === SlotKind::Simulated ? null : $station->instrument()),
                'parameters' => self::reinserted($card, $order),
                'beside' => $order->beside,
                'may_be_lost' => $order->lost,
                'recorded_by' => $order->by,
            ]);
            $this->dispatch($run, $station);

            return $run;
        });
    }

    /**
     * Puts a proof that was left back on the queue, to go on from its checkpoint.
     *
     * @param  bool  $again  to read all of it back once more, after the card was taken out and put in again
     *
     * @throws ValidationException when it cannot go on
     */
    public function goOn(Run $run, bool $again = false): void
    {
        DB::transaction(function () use ($run, $again): void {
            Card::query()->whereKey($run->card_id)->lockForUpdate()->first();
            $run->refresh();
            if ($run->card->runs()->whereIn('state', RunState::going())->exists()) {
                throw $this->refuse('run', "{$run->card->tag} already has a run going or waiting: let it end, or stop it.");
            }
            $station = $run->station;
            if (! ($again ? $run->canReadAgain() : $run->canContinue()) || $station === null) {
                throw $this->refuse(
                    'run',
                    "There is nothing to continue: {$run->name()} is {$run->state->value}, and no place of it was kept. Begin a ".
                    'new proof.',
                );
            }
            $parameters = $run->parameters;
            assert($parameters instanceof ProofParameters);
            $run->forceFill([
                'state' => RunState::Waiting,
                'stop_requested' => false,
                'message' => null,
                'parameters' => $parameters->goneOnWith($again),
            ])->save();
            $this->dispatch($run, $station);
        });
    }

    /**
     * What the run is ordered for: the medium that lies in the slot now, and no other.
     *
     * @throws ValidationException when nothing lies there, or another than was shown
     */
    private function medium(RunOrder $order): ?Identity
    {
        $slot = $order->slot;
        if ($slot->kind === SlotKind::Simulated) {
            return null;
        }
        $seen = $this->look->now($slot);
        if ($seen->medium === null) {
            throw $this->refuse('slot', "Nothing can be run in {$slot->name}: {$seen->refused}.");
        }
        if ($order->shown !== null && $order->shown !== $seen->medium->token()) {
            throw $this->refuse(
                'slot',
                "{$slot->name} holds another medium than this page showed. Look at what it shows now, and order again.",
            );
        }

        return $seen->medium;
    }

    /**
     * One order for one medium: a second one would begin on what the first had left.
     *
     * @throws ValidationException
     */
    private function mustBeFree(Slot $slot, ?Identity $medium): void
    {
        if ($medium === null) {
            return;
        }
        Slot::query()->whereKey($slot->id)->lockForUpdate()->first();
        $going = Run::query()
            ->with(['card', 'slot'])
            ->where('station_id', $slot->station_id)
            ->whereIn('state', RunState::going())
            ->whereNotNull('medium')
            ->get();
        $other = $going->first(
            fn (Run $run): bool => $run->slot_id === $slot->id || ($run->medium !== null && $run->medium->isAtTheSamePlaceAs($medium)),
        );
        if ($other !== null) {
            throw $this->refuse(
                'slot',
                "{$slot->name} has an order already: {$other->name()} of {$other->card->tag} is {$other->state->value} there. Let ".
                'it end, or stop it, and put the next card in then.',
            );
        }
    }

    /** A card that was last proven in another slot has been out since. */
    private static function reinserted(Card $card, RunOrder $order): Parameters
    {
        $parameters = $order->parameters;
        $last =
            $parameters instanceof ProofParameters
                ? $card
                    ->runs()
                    ->whereIn('kind', [RunKind::Proof, RunKind::Screen])
                    ->whereNotNull('slot_id')
                    ->latest('id')
                    ->value('slot_id')
                : null;

        return $parameters instanceof ProofParameters && $last !== null && $last !== $order->slot->id
            ? $parameters->afterReinsertion()
            : $parameters;
    }

    private function dispatch(Run $run, Station $station): void
    {
        $this->queue->dispatch(
            (new ConductRun($run->id))->onQueue($station->queueOf($run->kind))->afterCommit(),
        );
    }

    /** @throws ValidationException */
    private function check(Card $card, RunOrder $order): void
    {
        $parameters = $order->parameters;
        if ($order->slot->kind === SlotKind::Simulated) {
            if ($order->kind === RunKind::Copy) {
                throw $this->refuse(
                    'slot',
                    "{$order->slot->name} holds a stand-in, which keeps no files: choose a slot with a folder, or take the time by ".
                    'stopwatch.',
                );
            }

            return;
        }
        if ($order->slot->kind === SlotKind::Raw) {
            Authorisation::must(Ability::Erase);
            $this->checkRaw($card, $order);

            return;
        }
        if ($parameters instanceof SpeedParameters && ! $parameters->plan->from->isZero()) {
            throw $this->refuse(
                'from',
                'In a folder the file system decides where data lies, so a region that begins further on cannot be promised. Leave '.
                'it empty, or write up to there.',
            );
        }
        $this->admitted('slot', fn (): string => $this->allowed->admit($order->slot->path ?? ''));
        if ($order->kind !== RunKind::Copy) {
            $this->mustNotWriteOver($card, $order);
        }
        if ($parameters instanceof CopyParameters) {
            $this->admitted('source', fn (): string => $this->allowed->admitWithin($parameters->source));
            $this->admitted('into', fn (): string => $this->allowed->admitWithin($parameters->into));
        }
    }

    /** @throws ValidationException */
    private function mustNotWriteOver(Card $card, RunOrder $order): void
    {
        if ($order->lost !== null && ($order->by ?? '') === '') {
            throw $this->refuse('by', 'Nobody is named. That footage may be lost is written down with a name: write yours.');
        }
        try {
            Permit::mustNotWriteOver($order->slot->path ?? '', $card, $order->lost);
        } catch (UnusablePath $fault) {
            throw $this->refuse('lost', $fault->getMessage());
        }
    }

    /**
     * What can be told without touching the device; the worker asks the rest of the device itself.
     *
     * @throws ValidationException
     */
    private function checkRaw(Card $card, RunOrder $order): void
    {
        $parameters = $order->parameters;
        if (! ($parameters instanceof ProofParameters)) {
            throw $this->refuse(
                'slot',
                "{$order->slot->name} holds a raw card, without a file system: only a full proof or a quick screen can be run there.",
            );
        }
        $typed = trim($parameters->tag ?? '');
        $wrong = array_filter(
            [
                'by' => ($order->by ?? '') === '' ? 'Nobody is named. Erasing a card is written down with a name: write yours.' : '',
                'tag' => strcasecmp($typed, $card->tag) === 0
                        ? ''
                        : "Everything on the card is lost. Type the tag of this card to say that it is meant: {$card->tag}.".
                            ($typed === '' ? '' : " “{$typed}” was typed."),
            ],
            fn (string $sentence): bool => $sentence !== '',
        );
        if ($wrong !== []) {
            throw ValidationException::withMessages($wrong);
        }
        try {
            Permit::mustBeSecured($card->tag, $card);
        } catch (UnusablePath $fault) {
            throw $this->refuse('slot', $fault->getMessage());
        }
    }

    /**
     * @param  callable(): string  $admit
     *
     * @throws ValidationException when a folder is not one that may be used
     */
    private function admitted(string $field, callable $admit): void
    {
        try {
            $admit();
        } catch (UnusablePath $fault) {
            throw $this->refuse($field, $fault->getMessage());
        }
    }

    private function refuse(string $field, string $sentence): ValidationException
    {
        return ValidationException::withMessages([$field => $sentence]);
    }
}
