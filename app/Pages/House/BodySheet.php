<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Shoot\BodyTrial;
use Illuminate\Support\Collection;
use Tally\Shoot\BodyAnswer;
use Tally\Verdict\VerdictKind;

/**
 * Which card goes into which body: by what their slots speak, and by what was seen.
 *
 * @phpstan-import-type FitRowProps from KitPage
 *
 * @phpstan-type FitSheetProps array{ // Which card in which reader on which host, at what best rate, and why less.
 *     card: string|null, // the card it is about; null for all of them, each on its best host
 *     caption: string,
 *     columns: list<string>,
 *     rows: list<FitRowProps>, //
 * }
 */
final readonly class BodySheet
{
    private const CARDS = 60;

    /**
     * One card: a row for each body, a column for each thing that is known.
     *
     * @return FitSheetProps
     */
    public static function ofCard(Card $card): array
    {
        return self::sheet($card->tag, new Collection([$card]), 'what the slots speak, and what was seen with this card');
    }

    /** @return FitSheetProps */
    public static function ofAll(): array
    {
        $cards = Card::query()
            ->whereNull('retired_on')
            ->whereNotIn('verdict', [VerdictKind::Sham, VerdictKind::Shaky])
            ->orderBy('tag')
            ->limit(self::CARDS)
            ->get()
            ->toBase();

        return self::sheet(null, $cards, 'what the slots speak, and what was seen; struck-out cards are left out');
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @return FitSheetProps
     */
    private static function sheet(?string $tag, Collection $cards, string $caption): array
    {
        $cameras = Camera::query()->with('slots')->orderBy('tag')->get()->toBase();
        $trials = BodyTrial::query()
            ->whereIn('card_id', $cards->pluck('id'))
            ->orderBy('id')
            ->get()
            ->keyBy(fn (BodyTrial $one): string => "{$one->card_id} {$one->camera_id}");
        $cell = fn (Card $card, Camera $camera): FitCellProps => self::cell($card, $camera, $trials["{$card->id} {$camera->id}"] ?? null);
        $rows = $cards->map(fn (Card $card): array => [
            'key' => $card->tag,
            'name' => "{$card->tag} {$card->line}",
            'cells' => array_values($cameras->map(fn (Camera $camera): FitCellProps => $cell($card, $camera))->all()),
        ]);

        return [
            'card' => $tag,
            'caption' => $caption,
            'columns' => array_values($cameras->map(fn (Camera $camera): string => "{$camera->tag} {$camera->name}")->all()),
            'rows' => array_values($rows->all()),
        ];
    }

    private static function cell(Card $card, Camera $camera, ?BodyTrial $trial): FitCellProps
    {
        $bus = $card->label()->settleIn($camera->buses());
        $seen = $trial?->words() ?? '';

        return match (true) {
            $trial?->answer === BodyAnswer::Refused => new FitCellProps(null, $seen, '', true),
            $bus === null => new FitCellProps(null, $seen === '' ? 'does not take it' : $seen, '', $trial !== null),
            default => new FitCellProps(
                $bus->ceiling()->usable()->megabytes(),
                "{$bus->label()} bus",
                $seen === '' ? 'standard' : $seen,
                $trial !== null,
            ),
        };
    }
}
