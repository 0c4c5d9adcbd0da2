<?php

declare(strict_types=1);

namespace Tally\Verdict;

use LogicException;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Coverage;
use Tally\Reading\Standing;

/** Makes sentences of reasons: the one place where they are worded. */
final readonly class Words
{
    private function __construct(private Reason $reason) {}

    /** @return array{string, string} the fact, and the rest of the sentence */
    public static function of(Reason $reason): array
    {
        $words = new self($reason);

        return $reason->id instanceof ReasonId
            ? $words->capacity($reason->id) ?? ($words->floor($reason->id) ?? ($words->claim($reason->id) ?? $words->other($reason->id)))
            : [$words->text('lead'), $words->text('sentence')];
    }

    /** @return array{string, string}|null */
    private function capacity(ReasonId $id): ?array
    {
        return match ($id) {
            ReasonId::CapacityNotProven => ['Capacity not proven.', 'Nothing was written to it and read back.'],
            ReasonId::CapacityNothingRead => ['Capacity not proven.', 'The proof was stopped before anything was read back.'],
            ReasonId::CapacityProven => ["Holds all of {$this->size('covered')}.", 'Every block was written and came back as written.'],
            ReasonId::CapacityStartsOver => [$this->keeps(), 'It starts over, so new clips overwrite old ones.'],
            ReasonId::CapacityDropped => [$this->keeps(), 'Nothing after that is kept.'],
            ReasonId::CapacitySpoilt => [$this->keeps(), 'What comes after that is corrupted.'],
            ReasonId::CapacityShared => $this->is('exact')
                ? [$this->keeps(), 'Several addresses share one place, so new clips overwrite old ones.']
                : [
                    "Keeps less than the {$this->size('label')} on its label.",
                    'Several addresses share one place, so new clips overwrite old ones. How much less, only a proof of the whole '.
                    'map tells.',
                ],
            ReasonId::CapacityShowsLess => [
                "Shows only {$this->size('shown')} of the {$this->size('label')} on its label,",
                'to any computer.',
            ],
            ReasonId::CapacitySameEndTwice => [
                "Ends at {$this->size('keeps')} of {$this->size('label')},",
                'at the same address in two readers: there its memory ends.',
            ],
            ReasonId::CapacityEndsInErrors => [
                "Answers with errors from {$this->size('keeps')} on.",
                'Card or reader, one proof cannot tell: power it down, put it into another reader, prove it again.',
            ],
            ReasonId::CapacityRefusesAll => [
                'Refuses from the first byte on.',
                'Locked, or dead: look at its lock tab first, then try another reader.',
            ],
            ReasonId::CapacityShowsNothing => [
                'Shows 0 B.',
                'No medium answers behind its contacts: try another reader. If that shows as little, it is dead.',
            ],
            ReasonId::CapacityKeepsNothing => [
                "Keeps nothing of {$this->size('covered')}.",
                'All of it was written without an error, and none is there: locked, or dead. Look at its lock tab first, then try another '.
                'reader.',
            ],
            ReasonId::CapacityKeepsOld => [
                $this->bytes('keeps')->isZero() ? 'Takes nothing any more.' : "Takes nothing any more from {$this->size('keeps')} on.",
                'What an earlier run wrote there is there still: its memory is there and has gone read-only. Look at its lock tab; else '.
                'it is worn out.',
            ],
            ReasonId::CapacityTailLost => [
                "Loses the last {$this->lost()} of {$this->size('shown')}.",
                'Written without an error and not kept. Do not use it; hold its serial against the photo, and prove it in another reader.',
            ],
            ReasonId::CapacityNotAnyMore => [
                ($this->is('shows') ? 'Shows' : 'Keeps')." {$this->size('keeps')}, and held {$this->size('of')} in {$this->text('whole')}.",
                $this->is('older')
                    ? 'Its memory was there, so it is failing, or it is another card: hold serial and photo against it. Do not use it.'
                    : 'Its memory is there, so a reader or the card fails now and then. Do not rely on it.',
            ],
            ReasonId::CapacityUnits => [
                "Holds all of {$this->size('covered')}, which is full for {$this->size('other')} and not for {$this->size('label')}.",
                'Its label stands here in binary units, which nobody prints: look at the card, and type what is printed.',
            ],
            ReasonId::CapacityUnreadable => [
                "{$this->size('bad')} of {$this->size('covered')} could not be read in {$this->text('reader')}.",
                'Card or reader: prove it in another reader before you blame the card, and do not record on it until then.',
            ],
            ReasonId::CapacityBadSpots => [
                $this->badly(),
                $this->is('much')
                    ? 'Too much for bad spots: it is failing altogether. Do not use it.'
                    : 'Bad spots: a faulty card. Do not use it.',
            ],
            ReasonId::CapacityNotForgotten => [
                'Capacity not proven here.',
                'This host’s cache could not be cleared before reading the data back.',
            ],
            ReasonId::CapacityScreened => [
                'Screened, not proven.',
                (new Coverage(max(1, $this->whole('places'))))->excluded().' A full proof would settle it.',
            ],
            ReasonId::CapacityPart => [
                $this->bytes('covered')->isZero() ? 'Nothing of it is proven.' : "Proven for {$this->part('covered', 'of')} only.",
                'The rest was not written and read back: whole means whole.',
            ],
            ReasonId::CapacityFolderPart => [
                "Proven for {$this->part('covered', 'label')} only.",
                'The file system gave no more: take other files off it, or prove it raw.',
            ],
            ReasonId::DataChanged => ['Data came back changed', "in a speed run: {$this->size('wrong')}."],
            default => null,
        };
    }

    /** @return array{string, string}|null */
    private function floor(ReasonId $id): ?array
    {
        $promise = fn (string $verb): string => "{$this->text('mark')} {$verb} {$this->rate('floor')}.";

        return match ($id) {
            ReasonId::ClassMet => ["Never under {$this->down('measured')} over {$this->number('window')} s;", $promise('asks for')],
            ReasonId::ClassFloorMissed => [
                "Falls to {$this->down('measured')} over {$this->number('window')} s;",
                $this->blamed($promise('promises')),
            ],
            ReasonId::ClassReadingsUnder => [
                "Writes {$this->down('measured')} at the most, in {$this->whole('readings')} readings;",
                $this->blamed($promise('promises')),
            ],
            ReasonId::ClassNotMeasured => ["{$this->text('mark')} promises {$this->rate('floor')} of writing;", 'that was not measured.'],
            ReasonId::ClassNoLongWrite => [
                "Writes {$this->down('measured')} in short readings;",
                "{$this->text('mark')} asks for {$this->rate('floor')} all along, and only a long write tells that.",
            ],
            ReasonId::ClassTooClose => [
                "{$this->text('mark')}: too close to call.",
                "Writes {$this->down('measured')} ± {$this->rate('margin')} at 95 %, and it asks for {$this->rate('floor')}: run again.",
            ],
            ReasonId::ClassSingleLook => [
                "{$this->text('mark')}: a single look settles no floor.",
                "Writes {$this->down('measured')} in {$this->look()}: take three or more, of 100 MB or more each.",
            ],
            ReasonId::ClassWriteTooShort => [
                "{$this->text('mark')} asks for {$this->rate('floor')} all along;",
                "{$this->size('written')} in one go may all lie in a cache. A write of {$this->size('long')} or a full proof tells.",
            ],
            ReasonId::SustainedWriteTooShort => [
                "Label claims {$this->rate('claim')} sustained;",
                "{$this->size('written')} in one go may all lie in a cache. A write of {$this->size('long')} or a full proof tells.",
            ],
            ReasonId::ClassOtherBus => [
                "{$this->text('mark')}: not judged here.",
                trim("It is defined from {$this->text('from')} up, and this was over {$this->text('bus')}. {$this->text('where')}"),
            ],
            ReasonId::ClassNotJudgedHere => [
                "{$this->text('mark')}: {$this->down('measured')}, not judged here.",
                trim("{$this->text('why')} {$this->text('where')}"),
            ],
            ReasonId::SustainedKept => [
                "Never under {$this->down('measured')} over {$this->number('window')} s;",
                "the label claims {$this->rate('claim')} sustained.",
            ],
            ReasonId::SustainedMissed => [
                "Falls to {$this->down('measured')} over {$this->number('window')} s;",
                $this->blamed("the label claims {$this->rate('claim')} sustained."),
            ],
            ReasonId::SustainedReadingsUnder => [
                "Writes {$this->down('measured')} at the most, in {$this->whole('readings')} readings;",
                $this->blamed("the label claims {$this->rate('claim')} sustained."),
            ],
            ReasonId::SustainedNotMeasured => ["Label claims {$this->rate('claim')} sustained;", 'what it keeps up was not measured.'],
            ReasonId::SustainedNotJudgedHere => [
                "Sustained {$this->down('measured')} of {$this->rate('claim')}: not judged here.",
                trim("{$this->text('why')} {$this->text('where')}"),
            ],
            default => null,
        };
    }

    /** @return array{string, string}|null */
    private function claim(ReasonId $id): ?array
    {
        $isRead = $this->reason->topic === Topic::Read;
        $measured = fn (string $standing): array => [
            ($isRead ? 'Reads' : 'Writes')." {$this->down('measured')}:",
            $this->blamed("{$this->percent()} of the label’s {$this->rate('claim')}, {$standing}."),
        ];

        return match ($id) {
            ReasonId::ClaimNear => $measured(Standing::Near->words()),
            ReasonId::ClaimAbove => $measured(Standing::Above->words()),
            ReasonId::ClaimUnder => $measured(Standing::Under->words()),
            ReasonId::ClaimWellShort => $measured(Standing::WellShort->words()),
            ReasonId::ClaimSingleLook => [
                ($isRead ? 'Read' : 'Write')." {$this->down('measured')} of {$this->rate('claim')} in {$this->look()}.",
                'A single look convicts nobody: take three readings or more, of 100 MB or more each.',
            ],
            ReasonId::ClaimUneven => [
                ($isRead ? 'Read' : 'Write')." up to {$this->down('measured')} of {$this->rate('claim')}, too uneven to settle.",
                'Readings of one run differ more than 1.5 times: run again.',
            ],
            ReasonId::ClaimNotMeasured => [
                "Label claims {$this->rate('claim')};",
                ($isRead ? 'reading' : 'writing').' was not measured.',
            ],
            ReasonId::ClaimNotJudgedHere => [
                ($isRead ? 'Read' : 'Write')." {$this->down('measured')} of {$this->rate('claim')}: not judged here.",
                trim("{$this->text('why')} {$this->text('where')}"),
            ],
            default => null,
        };
    }

    /** @return array{string, string} */
    private function other(ReasonId $id): array
    {
        $verb = ($this->reason->figures['way'] ?? '') === 'read' ? 'Reads' : 'Writes';

        return match ($id) {
            ReasonId::RepeatDiffers => [
                "{$verb} {$this->rate('fast')} in {$this->text('fast-run')} and {$this->rate('slow')} in {$this->text('slow-run')},",
                'on one chain over one region: it differs when repeated. Run it again.',
            ],
            ReasonId::RepeatNewestStand => [
                "{$verb} {$this->rate('now')} in {$this->text('newest')},",
                "which agree and stand; {$this->rate('fast')} in {$this->text('fast-run')} and {$this->rate('slow')} in {$this->text(
                    'slow-run',
                )} do not: it has changed, or the older run was wrong.",
            ],
            ReasonId::ReadFarUnderWrite => [
                "Reads {$this->rate('read')}, under a quarter of the {$this->rate('write')} it writes,",
                'on a chain that carries more.',
            ],
            ReasonId::FigureStruck => ["{$verb} {$this->rate('measured')}: struck out.", ucfirst($this->text('why')).'.'],
            ReasonId::ReadingLeftOut => [ucfirst($this->text('which')).'.', 'One of five may be.'],
            ReasonId::FoundOnlyPressed => [$this->text('seen'), ''],
            ReasonId::FoundNowhere => ["It was not found in {$this->text('readers')}:", 'two readers cannot both be wrong.'],
            default => throw new LogicException("Nothing is worded for {$id->value}."),
        };
    }

    /** `one reading`, `3 readings of 10 MB` */
    private function look(): string
    {
        $readings = $this->whole('readings');
        $region = $this->bytes('region');

        return ($readings === 1 ? 'one reading' : "{$readings} readings").($region->isZero() ? '' : " of {$region->decimal()}");
    }

    private function keeps(): string
    {
        $keeps = ($this->is('exact') ? 'Keeps ' : 'Keeps about ').$this->size('keeps');

        // What the medium says of itself counts where that is another figure than the label's.
        return $this->bytes('shown')->shareOf($this->bytes('label')) > 1.07
            ? "{$keeps} of the {$this->size('shown')} that it shows; its label says {$this->size('label')}."
            : "{$keeps} of the {$this->size('label')} on its label.";
    }

    /** `41 MB of 127.87 GB came back wrong, and 12 MB could not be read.` */
    private function badly(): string
    {
        [$wrong, $errors] = [$this->bytes('wrong'), $this->bytes('errors')];
        $parts = array_filter([
            $wrong->isZero() ? null : "{$wrong->decimal()} came back wrong",
            $errors->isZero() ? null : "{$errors->decimal()} could not be read",
        ]);

        return "Of {$this->size('covered')} ".implode(', and ', $parts).'.';
    }

    private function lost(): string
    {
        return Bytes::of($this->bytes('shown')->count - $this->bytes('keeps')->count)->decimal();
    }

    /** `120.4 GB of the 127.87 GB that it shows`, to the byte where rounding would make the two alike */
    private function part(string $part, string $whole): string
    {
        [$a, $b] = [$this->bytes($part), $this->bytes($whole)];
        $isAlike = $a->decimal() === $b->decimal() && $a->count !== $b->count;
        $print = fn (Bytes $bytes): string => $isAlike ? "{$bytes->count} B" : $bytes->decimal();

        return "{$print($a)} of {$print($b)}";
    }

    /** The sentence, and what clears the chain where the shortfall is laid on the card. */
    private function blamed(string $sentence): string
    {
        $has = fn (string $name): bool => array_key_exists($name, $this->reason->figures);

        return $sentence.
            match (true) {
                $has('sure') => " Its chain gives {$this->rate('sure')} at the least.",
                $has('carried') => " {$this->text('reader')} was seen to carry {$this->down('carried')}.",
                default => '',
            };
    }

    private function percent(): string
    {
        return Standing::percent($this->speed('measured'), $this->speed('claim'));
    }

    private function rate(string $name): string
    {
        return $this->speed($name)->print();
    }

    /** Never rounded in the card's favour. */
    private function down(string $name): string
    {
        return $this->speed($name)->printDown();
    }

    private function size(string $name): string
    {
        return $this->bytes($name)->decimal();
    }

    private function is(string $name): bool
    {
        return $this->whole($name) === 1;
    }

    private function text(string $name): string
    {
        $value = $this->reason->figures[$name] ?? '';

        return is_string($value) ? $value : throw $this->odd($name);
    }

    private function number(string $name): string
    {
        $value = $this->reason->figures[$name] ?? null;

        return is_int($value) || is_float($value) ? rtrim(rtrim(number_format($value, 1, '.', ''), '0'), '.') : throw $this->odd($name);
    }

    private function whole(string $name): int
    {
        $value = $this->reason->figures[$name] ?? null;

        return is_int($value) ? $value : throw $this->odd($name);
    }

    private function bytes(string $name): Bytes
    {
        $value = $this->reason->figures[$name] ?? null;

        return $value instanceof Bytes ? $value : throw $this->odd($name);
    }

    private function speed(string $name): Rate
    {
        $value = $this->reason->figures[$name] ?? null;

        return $value instanceof Rate ? $value : throw $this->odd($name);
    }

    private function odd(string $name): LogicException
    {
        return new LogicException("The reason {$this->reason->id()} has no figure “{$name}” of the kind its words need.");
    }
}
