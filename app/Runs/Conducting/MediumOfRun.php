<?php

declare(strict_types=1);

namespace App\Runs\Conducting;

use App\Erasing\Ledger;
use App\Erasing\Permit;
use App\Erasing\RightMedium;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Stations\SlotLook;
use Illuminate\Database\Eloquent\Builder;
use LogicException;
use Tally\Chain\Path;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HeldFolder;
use Tally\Probe\Proof\Checkpoint;
use Tally\Quantity\Bytes;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;
use Tally\Simulated\Medium;
use Throwable;

/** Lays out what a run works on: the card in its slot, held against what was ordered, or a stand-in of it. */
final readonly class MediumOfRun
{
    public function __construct(private AllowedFolders $allowed, private Run $run) {}

    /**
     * All of the card, or as much of it as was asked for.
     *
     * @throws DeviceFault when there is no such card, or it must not be used
     */
    public function whole(): LaidMedium
    {
        $slot = $this->slot();
        if ($slot->kind === SlotKind::Simulated) {
            return LaidMedium::simulated($this->simulated(), $this->chain());
        }

        return $slot->kind === SlotKind::Raw
            ? $this->erase($slot)
            : LaidMedium::folder($held = $this->card($slot), $this->within($held), $this->kept());
    }

    /**
     * In one file that is laid out beforehand, so that places of it can be written without all before them.
     *
     * @throws DeviceFault
     */
    public function oneFile(): LaidMedium
    {
        $slot = $this->slot();

        return $slot->kind === SlotKind::Folder
            ? LaidMedium::oneFile($held = $this->card($slot), $this->within($held), $this->kept())
            : $this->whole();
    }

    /**
     * What a proof left when it was stopped.
     *
     * @throws DeviceFault when that is not there any more
     */
    public function again(Checkpoint $from): LaidMedium
    {
        $slot = $this->slot();

        return match ($slot->kind) {
            SlotKind::Simulated => LaidMedium::simulated($this->simulated(), $this->chain(), $from),
            SlotKind::Raw => $this->erase($slot),
            SlotKind::Folder => LaidMedium::folderContinued(
                $this->card($slot),
                $this->run->checkpoint->folder ?? '',
                $from->size,
            ),
        };
    }

    /**
     * A folder for many small files.
     *
     * @throws DeviceFault
     */
    public function folder(): LaidFolder
    {
        $slot = $this->slot();

        return $slot->kind === SlotKind::Simulated
            ? LaidFolder::simulated($this->simulated(), $this->chain())
            : LaidFolder::folder($this->card($slot), $this->kept());
    }

    /** The same; a folder on this computer is filled up to the size of the card at the most. */
    private function within(HeldFolder $held): ?Bytes
    {
        $size = $this->size();

        return $size === null && $held->isOnHostsDisk() ? $held->atMost($this->run->card->capacity) : $size;
    }

    /** How much of the medium was asked for; null for all there is. */
    public function size(): ?Bytes
    {
        $asked = $this->run->parameters;

        return match (true) {
            $asked instanceof SpeedParameters => $asked->plan->region,
            $asked instanceof ProofParameters, $asked instanceof SizeParameters => $asked->size,
            default => null,
        };
    }

    /**
     * Opens a raw medium, and writes down that it is erased before the first byte is.
     *
     * @throws DeviceFault when it must not be
     */
    private function erase(Slot $slot): LaidMedium
    {
        $why = $this->run->parameters instanceof ProofParameters ? $this->run->parameters->why : null;
        $path = $slot->path ?? '';
        // Somebody may have said just now that there is footage on it.
        $this->run->card->refresh();
        $medium = SlotLook::undisturbed(
            $slot,
            fn (): LaidMedium => LaidMedium::raw($path, Permit::guard($path, $this->run->card, $why, $this->allowed->roots())),
        );
        $device = $medium->device;
        try {
            $now = $device->facts()->identity ?? throw new LogicException('A raw medium is something.');
            RightMedium::asOrdered($slot->name, $this->run->medium, $now);
            RightMedium::notAnother($slot->name, $this->run->card, $device, $now, why: $why);
            $this->run->forceFill(['medium' => $now, 'medium_serial' => $now->serial])->save();
            Ledger::enter(
                $this->run->kind->label().', '.$this->run->name(),
                $path,
                $now,
                $this->run->recorded_by ?? 'nobody named',
                card: $this->run->card,
                run: $this->run,
                why: $why,
            );
        } catch (Throwable $fault) {
            $medium->device->close();
            throw $fault;
        }

        return $medium;
    }

    private function slot(): Slot
    {
        return $this->run->slot ?? throw new LogicException("Run {$this->run->id} has no slot.");
    }

    private function simulated(): Medium
    {
        return Medium::parse($this->run->card->stand_in ?? 'honest');
    }

    /** @throws DeviceFault */
    private function card(Slot $slot): HeldFolder
    {
        $held = $this->allowed->hold($slot->path ?? '');
        RightMedium::asOrdered($slot->name, $this->run->medium, $held->identity());
        if ($this->run->kind !== RunKind::Copy) {
            // Somebody may have said just now that there is footage on it.
            Permit::mustNotWriteOver($slot->path ?? '', $this->run->card->refresh(), $this->run->may_be_lost);
        }

        return $held;
    }

    /**
     * Folders of proofs that were left and can go on: no other run takes them away unasked. A new proof of the same card does,
     * since it begins anew what they had begun.
     *
     * @return list<string>
     */
    private function kept(): array
    {
        $left = Run::query()
            ->where('kind', RunKind::Proof)
            ->whereNotNull('checkpoint')
            ->whereNotIn('state', [RunState::Done, ...RunState::going()])
            ->when($this->run->kind === RunKind::Proof, fn (Builder $runs): Builder => $runs->where('card_id', '!=', $this->run->card_id))
            ->get();

        return array_values(array_filter($left->map(fn (Run $one): ?string => $one->checkpoint?->folder)->all(), is_string(...)));
    }

    /** What the chain of a run gives at best: a stand-in goes no faster. */
    private function chain(): Path
    {
        return $this->run->chain->fastest($this->run->card->label());
    }
}
