<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadState;
use App\Models\Runs\Run;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\Host\RealPath;
use Tally\Device\Identity;
use Tally\Device\Mount;

/** What hands are to do now, and what they say that they have done. */
final readonly class HandsDesk
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
     *
     * @throws ValidationException when it cannot be
     */
    public static function isIn(OffloadCard $card, ?string $found, string $by): void
    {
        DB::transaction(function () use ($card, $found, $by): void {
            $offload = Offload::query()->whereKey($card->offload_id)->lockForUpdate()->firstOrFail();
            $offload->load('cards.card');
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
            $medium = $offload->is_made_up ? self::madeUp($card, $found ?? $tag) : self::real($card);
            $card->forceFill(['in_at' => now(), 'confirmed_by' => $by, 'medium' => $medium?->pack()])->save();
        });
        CopyOrders::give($card->offload->refresh());
    }

    /** @throws ValidationException */
    private static function madeUp(OffloadCard $card, string $found): null
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

        return null;
    }

    /** @throws ValidationException */
    private static function real(OffloadCard $card): ?Identity
    {
        $tag = $card->card->tag;
        $path = $card->offload->places['slots'][$card->slot] ?? '';
        $real = RealPath::of($path);
        if ($real === null || ! is_dir($real)) {
            self::refuse("Nothing is mounted at {$path} yet. Put {$tag} in, wait until it is mounted, and say so again.");
        }
        $now = Identity::at($path);
        $before = self::before($card);
        $known = $before?->medium === null ? null : Identity::unpack($before->medium);
        if ($before !== null && $now !== null && $known?->isSameAs($now) === true && Mount::of($real)->beginsAt($real)) {
            self::refuse(
                "{$before->card->tag} is still in {$card->slot}: the same medium lies at {$path}. Take it out, and put {$tag} in.",
            );
        }
        $other = self::bySerial($now);
        if ($other !== null && $other !== $card->card_id) {
            $found = $card->offload->cards->firstWhere('card_id', $other)->card->tag ?? 'another card of this house';
            self::refuse("By its own serial number {$found} lies in {$card->slot}, and {$tag} belongs there. Put {$tag} in.");
        }

        return $now;
    }

    private static function bySerial(?Identity $medium): ?int
    {
        $id = $medium?->serial === null
            ? null
            : Run::query()->where('medium_serial', $medium->serial)->latest('id')->value('card_id');

        return is_int($id) ? $id : null;
    }

    /** @throws ValidationException */
    private static function refuse(string $sentence): never
    {
        throw ValidationException::withMessages(['swap' => $sentence]);
    }
}
