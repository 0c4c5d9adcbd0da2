<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\Offload\WhyRefused;
use Illuminate\Queue\Worker;
use Illuminate\Support\Facades\DB;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\HostClock;
use Tally\Device\Place;
use Tally\Transfer\CardSight;
use Tally\Transfer\CopyPlaces;
use Tally\Transfer\Filed\Circumstances;
use Tally\Transfer\Filed\CopyRecord;
use Tally\Transfer\FolderName;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Source;
use Tally\Transfer\Transfer;
use Tally\Value\NotUsable;

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
            $copy->forceFill([
                'state' => CopyState::Copying,
                'copy_at' => $began,
                'beat_at' => $began,
                'pid' => (int) getmypid(),
                'message' => null,
            ])->save();
        }
        try {
            $from = $this->copyToReadFrom($card, $copies);
            $known = self::known($card, $from);
            $path = $from === null ? $this->allowed->admitWithin($offload->places->slots[$card->slot] ?? '') : $this->folder($from);
            $source = Source::at($path);
            $complaint = $from === null ? self::complaint($card, $source, $known) : null;
            if ($complaint !== null) {
                self::refuse($card, $copies, $complaint);

                return;
            }
            $onto = $this->onto($card, $copies, Place::of($path));
            if ($from === null) {
                self::isRead($card, $source, $onto);
            }
            $transfer = Transfer::of($source, array_fill_keys($onto, $card->folder), true, $known);
            $watch = new CopiesObserver($offload, $copies, $this->worker);
            $result = $transfer->run(new HostClock(), $watch);
            $lists = $transfer->file(
                $result,
                new Circumstances(
                    $card->card->tag,
                    $card->confirmed_by ?? $offload->by,
                    (string) gethostname(),
                    $from === null ? "in {$card->slot}" : "from {$from->drive}",
                    began: $began->toIso8601String(),
                    ended: now()->toIso8601String(),
                ),
            );
            CopyOutcome::enter($card, $copies, $result, $lists);
            if ($result->isHome()) {
                self::lookOnceMore($card, $copies);
            }
        } catch (DeviceFault|NotUsable $fault) {
            self::fail($copies, $fault->getMessage());
        }
        self::follow($offload->refresh());
    }

    /**
     * A relay comes from its first copy. So does one that is made anew once its card had to make room for the next.
     *
     * @param  list<OffloadCopy>  $copies
     */
    private function copyToReadFrom(OffloadCard $card, array $copies): ?OffloadCopy
    {
        if ($copies[0]->isRelayed()) {
            return $card->copies->first();
        }

        return $card->isFollowed() ? $card->copies->first(fn (OffloadCopy $copy): bool => $copy->stands()) : null;
    }

    /** @throws DeviceFault */
    private function folder(OffloadCopy $copy): string
    {
        return $this->allowed->admitWithin($copy->offloadCard->offload->places->drives[$copy->drive] ?? '').
            "/{$copy->offloadCard->folder}";
    }

    /**
     * What the card gave when another copy of it was made: every further one is held against that, file by file.
     *
     * @return array<string, ListedFile> by path
     *
     * @throws NotUsable where the record is not the one that was written
     */
    private static function known(OffloadCard $card, ?OffloadCopy $from): array
    {
        $whole = $from ?? $card->copies->first(fn (OffloadCopy $copy): bool => $copy->stands());
        $record = $whole?->recordFile();
        if ($whole === null || $record === null) {
            return [];
        }
        $text = (string) @file_get_contents($record);
        if ($whole->record !== null && hash('xxh128', $text) !== $whole->record) {
            // Its drive may be away; then the card itself is asked, by what was found on it when it was put in.
            return $from === null ? [] : throw NotUsable::field('record', $record, 'It is not the one that was written beside the copy.');
        }
        $known = [];
        foreach (CopyRecord::files($text) as $file) {
            $known[$file->path] = $file;
        }

        return $known;
    }

    /** @param  array<string, ListedFile>  $known */
    private static function complaint(OffloadCard $card, Source $source, array $known): ?CardCheck
    {
        $sight = CardSight::ofSource($source);
        // What lay there when it was put in was held against what was marked, and said to be right.
        $isSaid = $known !== [] || $card->found?->digest === $sight->contents?->digest;

        return CardCheck::againstCopy($card, $source, $known) ?? CardCheck::complaint($card, $sight, $isSaid);
    }

    /**
     * The copies stand in the books now: whatever was written up to here to the card, while it lies in its slot, is seen. A further copy
     * is not read from it, and it may have been recorded onto all the same.
     *
     * @param  list<OffloadCopy>  $copies
     */
    private static function lookOnceMore(OffloadCard $card, array $copies): void
    {
        $complaint = CardCheck::writtenSince($card, CardSight::of($card->offload->places->slots[$card->slot] ?? ''));
        if ($complaint !== null) {
            self::refuse($card, $copies, $complaint);
        }
    }

    /**
     * Nothing was read of it: a card that was not begun is asked for again, one that was is told.
     *
     * @param  list<OffloadCopy>  $copies
     */
    private static function refuse(OffloadCard $card, array $copies, CardCheck $complaint): void
    {
        if ($card->read_at !== null || $complaint->for === WhyRefused::Place) {
            self::fail($copies, $complaint->sentence);
            $card->forceFill(['refused_for' => $complaint->for])->save();
        } else {
            foreach ($copies as $copy) {
                $copy->forceFill(['state' => CopyState::Waiting, 'copy_at' => null, 'beat_at' => null, 'pid' => null])->save();
            }
            $card->forceFill([
                'in_at' => null,
                'medium' => null,
                'found' => null,
                'refused' => mb_substr($complaint->sentence, 0, 500),
                'refused_for' => $complaint->for,
            ])->save();
        }
        self::follow($card->offload->refresh());
    }

    /**
     * @param  list<OffloadCopy>  $copies
     * @return list<string> the folder on the drive of each
     *
     * @throws DeviceFault where one lies on the card, or on the device of another copy
     */
    private function onto(OffloadCard $card, array $copies, Place $source): array
    {
        $onto = $places = [];
        foreach ($copies as $copy) {
            $onto[] = $path = $this->allowed->admitWithin($card->offload->places->drives[$copy->drive] ?? '');
            $places[$copy->drive] = $place = Place::of($path);
            $chosen = $card->offload->medium($copy->drive);
            if ($chosen?->isSameMediumAs($place) === false) {
                throw CannotCopy::anotherDrive($path, $chosen->called(), $place->called());
            }
        }
        CopyPlaces::of($source, $places);
        foreach ($card->copies as $other) {
            if ($other->stands() && $other->place !== null) {
                $places[$other->drive] = $other->place();
            }
        }
        CopyPlaces::of(null, $places)->mustBeApart();

        return $onto;
    }

    /**
     * What lies on the card as it is read: which record of footage that is, how much, and into which folder it goes.
     *
     * @param  list<string>  $onto
     */
    private static function isRead(OffloadCard $card, Source $source, array $onto): void
    {
        $isFirst = $card->read_at === null;
        $sight = CardSight::ofSource($source);
        $card->forceFill([
            'medium' => $sight->medium,
            'found' => $sight->contents,
            'read_at' => $card->read_at ?? now(),
            'refused_for' => null,
            'footage_act_id' => $isFirst ? Secured::record($card->card)?->id : $card->footage_act_id,
            'folder' => $isFirst ? FolderName::of($source, array_values($card->offload->places->drives), $card->folder) : $card->folder,
        ])->save();
    }

    /** @param  list<OffloadCopy>  $copies */
    public static function fail(array $copies, string $message): void
    {
        foreach ($copies as $copy) {
            $copy->forceFill(['state' => CopyState::Failed, 'message' => mb_substr($message, 0, 500), 'pid' => null])->save();
        }
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
                Standing::settle($card);
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
