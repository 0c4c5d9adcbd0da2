<?php

declare(strict_types=1);

namespace App\Shoot;

use Tally\Shoot\Whole\Packing;

/** The packing list of a shoot as a table: a row for each card, and one where a card is missing. */
final readonly class PackingTable
{
    private const COLUMNS = ['Camera', 'Mode', 'For', 'Slot', 'Turn', 'Card', 'Lasts', 'Unit', 'Proven', 'Remark', 'Packed'];

    /** @return list<list<string>> the headings first */
    public static function rows(Packing $packing): array
    {
        $rows = [self::COLUMNS];
        foreach ($packing->places as $one) {
            $place = $one->place;
            $head = [$place->wanted->camera->tag, $place->wanted->mode->name, $place->kind->label()];
            foreach ($one->cards as $turn => $card) {
                $proven = $card->isProven ? 'yes' : 'no';
                $lasts = [(string) $place->count->said($card->count), $place->count->unit()];
                $rows[] = [...$head, $card->slot, (string) ($turn + 1), $card->tag, ...$lasts, $proven, $card->words, ''];
            }
            if ($one->missing() > 0) {
                $rows[] = [...$head, '', '', '', '', '', '', "missing: {$one->misses()}", ''];
            }
        }

        return $rows;
    }
}
