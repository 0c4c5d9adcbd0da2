<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Cards\Card;
use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\WhyRefused;
use App\Models\Runs\Run;
use Tally\Device\Fault\CannotCopy;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Identity;
use Tally\Device\Place;
use Tally\Quantity\Bytes;
use Tally\Transfer\CardSight;
use Tally\Transfer\Contents;
use Tally\Transfer\CopyPlaces;
use Tally\Transfer\FilePath;
use Tally\Transfer\ListedFile;
use Tally\Transfer\Source;

/**
 * What lies in a slot, held against the card that belongs there: asked when somebody says that it is in, before the first byte, when
 * it is tried again, and by a worker that takes up what another left.
 */
final readonly class CardCheck
{
    private function __construct(public WhyRefused $for, public string $sentence) {}

    /**
     * @param  bool  $isSaid  whether somebody says, with a name, that another amount than was marked is right
     * @return self|null null where it is the card
     */
    public static function complaint(OffloadCard $card, CardSight $seen, bool $isSaid = false): ?self
    {
        if ($seen->medium === null || $seen->contents === null) {
            return new self(
                WhyRefused::Nothing,
                "{$card->card->tag} cannot be read in {$card->slot}: ".($seen->fault ?? 'nothing lies there.').' Put it in, slowly and '.
                    'straight, wait until it is mounted, and say so again.',
            );
        }

        $isSaid = $isSaid || $card->read_at !== null;

        return self::another($card, $seen->medium, $isSaid) ??
            self::other($card, $seen->medium, $seen->contents) ??
            self::onItself($card, $seen->place) ??
            ($isSaid || $card->less_by !== null ? null : self::amount($card, $seen->contents));
    }

    /**
     * What lies in the slot, held against the record of a copy that is whole: each file of that is to be there as it was.
     *
     * @param  array<string, ListedFile>  $known  by path, of that record
     */
    public static function againstCopy(OffloadCard $card, Source $source, array $known): ?self
    {
        $there = array_column($source->files, null, 'path');
        $missing = array_diff_key($known, $there);
        $others = array_filter($known, fn (ListedFile $one): bool => isset($there[$one->path]) && ! $one->isOf($there[$one->path]));
        $one = [...array_values($missing), ...array_values($others)][0] ?? null;
        if ($one === null) {
            return null;
        }
        $why = FilePath::shown($one->path).($missing === [] ? ' is another file by now.' : ' is not on it.');

        return self::notAsBefore(
            $card,
            "What lies in {$card->slot} is not what {$card->card->tag}’s first copy was made of: {$why}",
            $missing === [],
        );
    }

    /** @param  bool  $mayHaveGrown  whether all that was on it is there still, or may be */
    private static function notAsBefore(OffloadCard $card, string $why, bool $mayHaveGrown): self
    {
        $tag = $card->card->tag;

        return new self(
            $mayHaveGrown ? WhyRefused::Grown : WhyRefused::Another,
            "{$why} Nothing was copied. Put {$tag} in again".
                ($mayHaveGrown ? '; or, if this is it and something was written to it since, copy it from the beginning.' : '.'),
        );
    }

    /** By its own number, or that of its file system, it is another card of this house. */
    private static function another(OffloadCard $card, Identity $medium, bool $isSaid): ?self
    {
        $byNumber = $medium->serial === null ? null : Run::query()->where('medium_serial', $medium->serial)->latest('id')->value('card_id');
        $byVolume = $medium->volume === null || $isSaid
            ? null
            : OffloadCard::query()->where('medium->volume', $medium->volume)->latest('id')->value('card_id');
        foreach (['its own serial number' => $byNumber, 'its file system' => $byVolume] as $what => $id) {
            $isSure = $id === $byNumber;
            if (is_int($id) && $id !== $card->card_id) {
                $found = Card::query()->whereKey($id)->value('tag');
                $found = is_string($found) ? $found : 'another card of this house';

                return new self(
                    $isSure ? WhyRefused::Another : WhyRefused::Looks,
                    "By {$what} {$found} lies in {$card->slot}, and {$card->card->tag} belongs there. Nothing was copied. Put ".
                        "{$card->card->tag} in, and say so again.",
                );
            }
        }

        return null;
    }

    /** The same medium, and something else on it than was read. */
    public static function writtenSince(OffloadCard $card, CardSight $now): ?self
    {
        [$then, $read] = [$card->medium, $card->found];
        $isTold = $then !== null && $read !== null && $now->medium !== null && $now->contents !== null;
        if (! $isTold || $then->isAnotherVolumeThan($now->medium) || $read->digest === $now->contents->digest) {
            return null;
        }

        return self::notAsBefore($card, self::changed($card, $read, $now->contents), true);
    }

    private static function changed(OffloadCard $card, Contents $then, Contents $now): string
    {
        [$was, $is] = [self::words($then), self::words($now)];

        return "What lies in {$card->slot} is not {$card->card->tag} as it was put in: {$was} then, {$is} now.";
    }

    /** It was in before, and is another one now, or something else is on it. */
    private static function other(OffloadCard $card, Identity $medium, Contents $contents): ?self
    {
        $then = $card->medium;
        $found = $card->found;
        if ($then === null || $found === null) {
            return null;
        }
        $isSame = match (true) {
            $then->isAnotherVolumeThan($medium) => false,
            $found->digest === $contents->digest => true,
            // A medium of its own that never left the slot, and that the host itself wrote to since.
            $medium->isOfItsOwn() && $then->isSameAs($medium) => true,
            default => false,
        };
        // Of a copy that is whole the record says what each file is to be: then more may be on the card by now.
        if ($isSame || (! $then->isAnotherVolumeThan($medium) && $card->copies->contains('state', CopyState::Verified))) {
            return null;
        }

        return self::notAsBefore(
            $card,
            self::changed($card, $found, $contents),
            ! $then->isAnotherVolumeThan($medium) && $contents->bytes >= $found->bytes && $contents->files >= $found->files,
        );
    }

    /** No copy lies on the card, and no two on one device. */
    private static function onItself(OffloadCard $card, ?Place $place): ?self
    {
        try {
            $onto = [];
            foreach ($card->copies as $copy) {
                $path = $card->offload->places->drives[$copy->drive] ?? '';
                if ($copy->state !== CopyState::Verified && is_dir($path)) {
                    $onto[$copy->drive] = Place::of($path);
                }
            }
            CopyPlaces::of($place, $onto);

            return null;
        } catch (CannotCopy $fault) {
            return new self(WhyRefused::Place, $fault->getMessage());
        } catch (DeviceFault) {
            return null;
        }
    }

    /** What was marked and what was found: less stops; and where somebody had counted the files, more does too. */
    private static function amount(OffloadCard $card, Contents $contents): ?self
    {
        $marked = Secured::record($card->card);
        if ($marked === null) {
            return null;
        }
        $open = self::open($marked->bytes);
        $said = Bytes::of($marked->bytes)->decimal().($marked->files === 0 ? '' : " in {$marked->files} files").' were marked, '.
            self::words($contents).' found';
        if ($contents->bytes < $marked->bytes - $open || $contents->files < $marked->files) {
            return new self(
                WhyRefused::Less,
                "{$said}: wrong folder, wrong card or a damaged file system. Nothing was copied. Look what is in the slot; where this is ".
                    'all of it, somebody says so with a name, and the card is secured in part only.',
            );
        }
        if ($marked->files > 0 && ($contents->files > $marked->files || $contents->bytes > $marked->bytes + $open)) {
            return new self(
                WhyRefused::More,
                "{$said}: another card, or more was recorded since. Nothing was copied. Look what is in the slot; where it is ".
                    "{$card->card->tag}, somebody says so with a name.",
            );
        }

        return null;
    }

    /** Bytes that the digits which somebody wrote leave open, 5 % at the most: “48 GB” is 47.5 and more. */
    private static function open(int $bytes): int
    {
        $step = 1;
        while ($bytes % ($step * 10) === 0 && $step * 10 <= $bytes) {
            $step *= 10;
        }

        return min(intdiv($step, 2), intdiv($bytes, 20));
    }

    private static function words(Contents $contents): string
    {
        $files = $contents->files === 1 ? '1 file' : "{$contents->files} files";

        return Bytes::of($contents->bytes)->decimal()." in {$files}";
    }
}
