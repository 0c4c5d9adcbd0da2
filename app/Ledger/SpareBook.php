<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\Shoot\Shoot;
use App\Models\Shoot\ShootCard;
use App\Models\When;

/** What records without a pause has a spare: of the shoots that are ahead, which have one, and whether it is still good. */
final readonly class SpareBook
{
    /** @return list<SpareProps> those that miss one first */
    public static function ahead(): array
    {
        $shoots = Shoot::query()
            ->with(['cards.card'])
            ->whereRaw('date_add(begins, interval days - 1 day) >= ?', [now()->format(When::ISO_DAY)])
            ->orderBy('begins')
            ->get();
        $spares = [];
        foreach ($shoots as $shoot) {
            foreach ($shoot->packing()->places as $at => $one) {
                if ($one->place->isSpare()) {
                    $of = $shoot->cards->first(fn (ShootCard $card): bool => $card->place === $at)?->card;
                    $trouble = self::trouble($of);
                    $spares[] = new SpareProps(
                        $shoot->id,
                        $shoot->name,
                        $shoot->begins->format(When::DAY),
                        "{$one->place->wanted->camera->tag} {$one->place->wanted->mode->name}",
                        card: $of->tag ?? '',
                        trouble: $trouble,
                    );
                }
            }
        }
        usort($spares, fn (SpareProps $a, SpareProps $b): int => ($a->trouble === '' ? 1 : 0) <=> ($b->trouble === '' ? 1 : 0));

        return $spares;
    }

    /** @return string empty where the spare is good */
    private static function trouble(?Card $card): string
    {
        return match (true) {
            $card === null => 'it has none',
            $card->retired_on !== null => 'retired since then',
            ($card->overruled ?? $card->verdict)->isStruckOut() => 'struck out since then',
            default => '',
        };
    }
}
