<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Intake\InspectionBook;
use App\Models\Kit\Reader;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\OffloadState;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\DB;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Inspection\Question;
use Tally\Record\NotUsable;
use Tally\Transfer\CopyOnDrive;
use Tally\Transfer\Filed\BesideCopy;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopyRecord;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Transfer\TransferResult;
use Tally\Transfer\Trouble;
use Tally\Transfer\TroubleKind;

/** Makes copies of a real card on real drives, as the plan says, and writes down what came of each. */
final readonly class RealCopies
{
    public function __construct(private AllowedFolders $allowed, private ?Worker $worker = null) {}

    /** @param  list<OffloadCopy>  $copies  that are made in one go */
    public function make(OffloadCard $card, array $copies): void
    {
        $offload = $card->offload;
        $began = now();
        foreach ($copies as $copy) {
            $copy->forceFill(['state' => CopyState::Copying, 'copy_at' => $began, 'message' => null])->save();
        }
        $known = [];
        try {
            $relayed = $copies[0]->isRelayed();
            $known = $relayed ? $this->known($card) : [];
            $source = Source::at($this->from($card, $relayed));
            $onto = [];
            foreach ($copies as $copy) {
                $onto[$this->allowed->admitWithin($offload->places['drives'][$copy->drive] ?? '')] = $card->folder;
            }
            $transfer = Transfer::of($source, $onto, true, $known);
            $watch = new CopiesObserver($offload, $copies, $this->worker);
            $result = $transfer->run(new HostClock(), $watch);
            $lists = $transfer->file(
                $result,
                new Circumstances(
                    $card->card->tag,
                    $card->confirmed_by ?? $offload->by,
                    (string) gethostname(),
                    $relayed ? "from {$card->drives[0]}" : "in {$card->slot}",
                    $began->toIso8601String(),
                    now()->toIso8601String(),
                ),
            );
            $this->enter($card, $copies, $result, $lists);
        } catch (DeviceFault|NotUsable $fault) {
            foreach ($copies as $copy) {
                $copy->forceFill(['state' => CopyState::Failed, 'message' => mb_substr($fault->getMessage(), 0, 500)])->save();
            }
        }
        self::follow($offload->refresh());
    }

    /** @throws DeviceFault */
    private function from(OffloadCard $card, bool $relayed): string
    {
        $places = $card->offload->places;

        return $relayed
            ? $this->allowed->admitWithin($places['drives'][$card->drives[0]] ?? '')."/{$card->folder}"
            : $this->allowed->admitWithin($places['slots'][$card->slot] ?? '');
    }

    /**
     * What the card gave when its first copy was made.
     *
     * @return array<string, ListedFile>
     *
     * @throws NotUsable
     */
    private function known(OffloadCard $card): array
    {
        $known = [];
        foreach ($card->copies->first()->lists ?? [] as $list) {
            if (str_ends_with($list, '.'.BesideCopy::RECORD)) {
                foreach (CopyRecord::files((string) @file_get_contents($list)) as $file) {
                    $known[$file->path] = $file;
                }
            }
        }

        return $known;
    }

    /**
     * @param  list<OffloadCopy>  $copies
     * @param  list<string>  $lists
     */
    private function enter(OffloadCard $card, array $copies, TransferResult $result, array $lists): void
    {
        $now = now();
        foreach ($copies as $at => $copy) {
            $made = $result->copies[$at];
            $troubles = array_values(
                array_filter($result->troubles, fn (Trouble $one): bool => $one->drive === null || $one->drive === $made->drive),
            );
            DriveFindings::file($copy, $troubles);
            $isWhole = $made->isWhole($result->files) && $troubles === [];
            $copy->forceFill([
                'state' => $isWhole ? CopyState::Verified : CopyState::Failed,
                'copied' => $isWhole ? $result->bytes : $copy->copied,
                'verified' => $isWhole ? $result->bytes : $copy->verified,
                'copied_at' => $copy->copied_at ?? $now,
                'verified_at' => $isWhole ? $now : null,
                'message' => $isWhole ? null : mb_substr(self::why($made, $result, $troubles), 0, 500),
                'troubles' => array_map(fn (Trouble $trouble): array => $trouble->pack(), $troubles),
                'lists' => array_values(array_filter($lists, fn (string $list): bool => str_starts_with($list, "{$made->folder}."))),
            ])->save();
        }
        if ($copies[0]->isRelayed()) {
            return;
        }
        self::find($card, $result);
        // How much there really is on it.
        $card->forceFill(['bytes' => $result->bytes, 'files' => $result->files])->save();
    }

    /** What the card itself did wrong stands in its evidence from now on. */
    private static function find(OffloadCard $card, TransferResult $result): void
    {
        $answers = [TroubleKind::Unreadable->value => 'unreadable', TroubleKind::SourceUnsteady->value => 'unsteady'];
        $found = array_intersect_key($answers, array_flip(array_map(fn (Trouble $one): string => $one->kind->value, $result->troubles)));
        $reader = Reader::query()->where('tag', explode(' ', $card->slot)[0])->first();
        foreach ($found as $key) {
            $answer = Question::Copying->answer($key);
            if ($answer !== null) {
                InspectionBook::enter($card->card, Question::Copying, $answer, $card->confirmed_by ?? $card->offload->by, null, $reader);
            }
        }
    }

    /** @param  list<Trouble>  $troubles */
    private static function why(CopyOnDrive $made, TransferResult $result, array $troubles): string
    {
        return match (true) {
            $made->fault !== null => $made->fault,
            $result->cutShort !== null => $result->cutShort,
            $troubles !== [] => $troubles[0]->sentence(),
            $result->stopped => 'Stopped with the station. What is whole stays; it goes on from there.',
            default => count($made->missing).' files are missing.',
        };
    }

    /** Copies that failed are ordered once more, and go on where they were. */
    public static function again(Offload $offload): void
    {
        $failed = OffloadCopy::query()
            ->whereIn('offload_card_id', $offload->cards()->whereNotNull('in_at')->pluck('id'))
            ->where('state', CopyState::Failed)
            ->get();
        foreach ($failed as $copy) {
            $copy
                ->forceFill([
                    'state' => $offload->is_made_up ? CopyState::Copied : CopyState::Waiting,
                    'message' => null,
                    'troubles' => null,
                    'verified_at' => null,
                ])
                ->save();
        }
        $offload->forceFill(['truth' => MadeUpFault::healed($offload->truth)])->save();
        if ($failed->isNotEmpty() && $offload->isOver()) {
            $isWaiting = $offload->cards()->whereNull('in_at')->exists();
            $offload->forceFill(['state' => $isWaiting ? OffloadState::Going : OffloadState::Ending, 'ended_at' => null])->save();
        }
        CopyOrders::give($offload);
    }

    /** When which card is free and may be cleared; what can be copied next; whether all is over. */
    public static function follow(Offload $offload): void
    {
        DB::transaction(function () use ($offload): void {
            $locked = Offload::query()->whereKey($offload->id)->lockForUpdate()->firstOrFail();
            $cards = $locked->cards()->with('copies')->get();
            foreach ($cards as $card) {
                $verified = $card->copies->filter(fn (OffloadCopy $copy): bool => $copy->state === CopyState::Verified);
                $fromCard = $card->copies->reject(fn (OffloadCopy $copy): bool => $copy->isRelayed());
                $isOpen = $fromCard->contains(
                    fn (OffloadCopy $copy): bool => $copy->state === CopyState::Waiting || $copy->state->isGoing(),
                );
                if ($card->in_at !== null && ! $isOpen && $verified->isNotEmpty()) {
                    $card->free_at ??= now();
                }
                if ($verified->pluck('drive')->unique()->count() >= 2) {
                    $card->clear_at ??= now();
                }
                $card->save();
            }
            Ending::ofOffload($locked, $cards, now());
        });
        $offload->refresh();
        if ($offload->isOver()) {
            WhatLinksGave::note($offload);
        }
        CopyOrders::give($offload);
    }
}
