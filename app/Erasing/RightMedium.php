<?php

declare(strict_types=1);

namespace App\Erasing;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Tally\Device\Device;
use Tally\Device\Fault\CannotErase;
use Tally\Device\Fault\CannotOpen;
use Tally\Device\Fault\EndsRun;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\Identity;
use Tally\Probe\Proof\Stamps;

/** Asked of a medium that is open, just before the first byte: whether it is the one that was meant. */
final readonly class RightMedium
{
    /** @throws UnusablePath when the slot holds another medium than when the run was ordered */
    public static function asOrdered(string $place, ?Identity $ordered, Identity $now): void
    {
        $difference = $ordered?->difference($now);
        if ($difference !== null) {
            throw CannotOpen::notAsOrdered($place, $difference);
        }
    }

    /**
     * A card is known by its own serial number, and by the stamps of its last proof.
     *
     * @param  string|null  $why  given where it is meant all the same
     *
     * @throws UnusablePath|EndsRun when the medium is known as another card of this house
     */
    public static function notAnother(string $place, Card $card, Device $device, Identity $identity, ?string $why): void
    {
        if (trim($why ?? '') !== '') {
            return;
        }
        $known = self::bySerial($identity->serial) ?? self::byStamps(Stamps::on($device));
        if ($known !== null && $known[0]->card_id !== $card->id) {
            throw CannotErase::mustNotErase(
                $place,
                "by {$known[1]} the medium in it is {$known[0]->card->tag} ({$known[0]->name()}), and the order is ".
                "for {$card->tag}. Put the right card in; if it is the right one and has another tag by now, say why.",
            );
        }
    }

    /** @return array{Run, string}|null its newest run, and by what it is known */
    private static function bySerial(?string $serial): ?array
    {
        $run =
            $serial === null
                ? null
                : Run::query()->with('card')->where('medium_serial', $serial)->whereNotNull('started_at')->latest('id')->first();

        return $run === null ? null : [$run, "its own serial number {$serial}"];
    }

    /**
     * @param  list<int>  $imprints  numbers of the patterns that lie on it, the most frequent first
     * @return array{Run, string}|null
     */
    private static function byStamps(array $imprints): ?array
    {
        foreach ($imprints as $imprint) {
            $run = Run::query()
                ->with('card')
                ->whereNull('origin')
                ->where(
                    fn ($query) => $query->where('result->imprint', (string) $imprint)->orWhere('checkpoint->imprint', (string) $imprint),
                )
                ->latest('id')
                ->first();
            if ($run !== null) {
                return [$run, 'the stamps of a proof on it'];
            }
        }

        return null;
    }
}
