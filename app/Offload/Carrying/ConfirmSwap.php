<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use App\Models\Offload\WhyRefused;
use App\Stations\BenchSight;
use App\Stations\StationFolders;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\Fault\UnusablePath;
use Tally\Transfer\CardSight;

/** What hands are to do now, and what they say that they have done. */
final readonly class ConfirmSwap
{
    /**
     * Cards that can be put in just now, the one that the plan wants first first.
     *
     * @return list<OffloadCard>
     */
    public static function now(Offload $offload): array
    {
        if ($offload->state !== OffloadState::Going) {
            return [];
        }
        $next = [];
        foreach ($offload->cards->groupBy('slot') as $cards) {
            $coming = $cards->first(fn (OffloadCard $card): bool => $card->in_at === null);
            if ($coming !== null && ! $cards->contains(fn (OffloadCard $card): bool => $card->isIn())) {
                $next[] = $coming;
            }
        }
        usort($next, fn (OffloadCard $one, OffloadCard $other): int => $one->place <=> $other->place);

        return $next;
    }

    /** The card that lay in its slot before it. */
    public static function before(OffloadCard $card): ?OffloadCard
    {
        return $card->offload->cards
            ->filter(fn (OffloadCard $one): bool => $one->slot === $card->slot && $one->in_at !== null)
            ->sortByDesc('turn')
            ->first();
    }

    /**
     * Somebody says that a card is in its slot.
     *
     * @param  string|null  $found  what lies in the slot of a made-up reader
     * @param  bool  $isSaid  whether that person says that another amount than was marked is right
     *
     * @throws ValidationException when it cannot be
     */
    public static function isIn(OffloadCard $card, ?string $found, string $by, bool $isSaid = false): void
    {
        // Before anything is locked: a medium may take a while to answer.
        $seen = $card->offload->is_made_up || $card->in_at !== null ? null : self::seen($card);
        $complaint = DB::transaction(function () use ($card, $found, $by, $isSaid, $seen): ?CardCheck {
            $offload = Offload::query()->whereKey($card->offload_id)->lockForUpdate()->firstOrFail();
            $offload->load('cards.card', 'cards.copies');
            $card = $offload->cards->firstOrFail('id', $card->id);
            $tag = $card->card->tag;
            if ($offload->state !== OffloadState::Going) {
                self::refuse("This offload takes no more cards. {$tag} stays in its case, as it is.");
            }
            if ($card->in_at !== null) {
                self::refuse("{$tag} is in {$card->slot} already.");
            }
            $still = $offload->cards->first(fn (OffloadCard $one): bool => $one->slot === $card->slot && $one->isIn());
            if ($still !== null) {
                self::refuse(
                    "{$still->card->tag} is still being copied in {$card->slot}, so {$tag} cannot be there. Leave it in until this ".
                    'page asks for the swap.',
                );
            }
            if ($seen === null) {
                self::madeUp($card, $found ?? $tag);
                $card->footage_act_id = Secured::record($card->card)?->id;
            }
            // Whoever says that it is right was told of it, and says so of what was told.
            $isSaid = $isSaid && $card->refused_for?->mayBeRight() === true;
            $complaint = $seen === null ? null : self::complaint($card, $seen, $isSaid);
            if ($complaint !== null) {
                $card->forceFill(['refused' => mb_substr($complaint->sentence, 0, 500), 'refused_for' => $complaint->for])->save();

                return $complaint;
            }
            $card->forceFill([
                'in_at' => now(),
                'confirmed_by' => $by,
                'medium' => $seen?->medium,
                'found' => $seen?->contents,
                'less_by' => $isSaid && $card->refused_for === WhyRefused::Less ? $by : null,
                'refused' => null,
                'refused_for' => null,
            ])->save();

            return null;
        });
        if ($complaint !== null) {
            self::refuse($complaint->sentence);
        }
        CopyOrders::give($card->offload->refresh());
    }

    /** @throws ValidationException where its bench does not answer */
    private static function seen(OffloadCard $card): CardSight
    {
        $path = $card->offload->places->slots[$card->slot] ?? '';
        if ($card->offload->station->isHere()) {
            try {
                StationFolders::allowed()->admitWithin($path);
            } catch (UnusablePath $fault) {
                self::refuse(
                    $fault->reason === 'outside'
                        ? $fault->getMessage()
                        : "Nothing is mounted at {$path} yet. Put {$card->card->tag} in, wait until it is mounted, and say so again.",
                );
            }
        }

        return BenchSight::card($card->offload->station, $path) ?? self::refuse(SecondTry::silent($card->offload, $path));
    }

    /** @throws ValidationException */
    private static function madeUp(OffloadCard $card, string $found): void
    {
        $tag = $card->card->tag;
        $before = self::before($card);
        if ($found === '') {
            self::refuse("Nothing lies in {$card->slot}. Put {$tag} in, slowly and straight, and say so again.");
        }
        if ($found !== $tag) {
            self::refuse(
                $before !== null && $before->card->tag === $found
                    ? "{$found} is still in {$card->slot}. Take it out, put {$tag} in, and say so again."
                    : "{$found} lies in {$card->slot}, and {$tag} belongs there. Nothing was copied. Put {$tag} in, and say so again.",
            );
        }
    }

    /** @throws ValidationException */
    private static function complaint(OffloadCard $card, CardSight $seen, bool $isSaid): ?CardCheck
    {
        $before = self::before($card);
        $known = $before?->medium;
        if ($before !== null && $seen->medium?->isOfItsOwn() === true && $known?->isSameAs($seen->medium) === true) {
            self::refuse(
                "{$before->card->tag} is still in {$card->slot}: the same medium lies there. Take it out, and put {$card->card->tag} in.",
            );
        }

        return CardCheck::complaint($card, $seen, $isSaid);
    }

    /** @throws ValidationException */
    private static function refuse(string $sentence): never
    {
        throw ValidationException::withMessages(['swap' => $sentence]);
    }
}
