<?php

declare(strict_types=1);

namespace App\Pages\Shoot;

use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\Shoot;
use App\Models\When;
use App\Pages\Page;
use Tally\Shoot\FitCard;
use Tally\Shoot\Recording;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Purchase;

/**
 * A whole shoot, while it is planned and once it is kept.
 *
 * @phpstan-import-type PackedProps from PackedPicture
 *
 * @phpstan-type KeptShootProps array{ // A shoot that was kept, in a list.
 *     id: int,
 *     name: string,
 *     on: string, // such as `27 Nov 2026, 3 days`
 *     cards: int,
 * }
 * @phpstan-type ShootModeProps array{ // A mode to choose.
 *     key: string,
 *     label: string,
 *     isStills: bool,
 *     isRelay: bool,
 *     records: string, // from slot to slot, the same in both, proxies; empty of one slot
 * }
 * @phpstan-type WantedProps array{ // A row of what is recorded, as it is in its form.
 *     mode: string, // the key of the mode
 *     daily: string, // such as `3 h`, of stills `400`
 *     days: string, // such as `1-3, 5`; empty for every day
 *     spare: bool, // whether it records without a pause
 * }
 */
final readonly class ShootPage extends Page
{
    private const KEPT = 8;

    /**
     * @param  string  $days  of the shoot
     * @param  string  $home  cards come home every so many days
     * @param  string  $extra  percent on top of what is planned
     * @param  list<WantedProps>  $wanted
     * @param  list<ShootModeProps>  $modes
     * @param  list<string>  $ticked  cards that were asked for; empty for all
     * @param  list<string>  $left  cards that stay at home
     * @param  list<string>  $buys  the least that would have to be bought, each a sentence
     * @param  string  $missing  such as `33 min and 1 spare`; empty where nothing is
     * @param  string  $proof  whether it is the best there is, a sentence
     * @param  string  $criterion  by which it is decided
     * @param  list<string>  $laden  cards that go along and have footage on them now
     * @param  int  $more  cards that were not looked at
     * @param  list<KeptShootProps>  $kept  the newest first
     * @param  string  $today  `2026-11-27`
     * @param  PackedProps  $packed
     */
    public function __construct(
        public string $days,
        public string $home,
        public string $extra,
        public array $wanted,
        public array $modes,
        public array $ticked,
        public array $packed,
        public array $left,
        public array $buys,
        public string $missing,
        public string $proof,
        public string $criterion,
        public array $laden,
        public int $more,
        public array $kept,
        public string $today,
        public string $person,
    ) {}

    /**
     * @param  list<WantedProps>  $wanted  as it was typed
     * @param  list<string>  $ticked
     */
    public static function of(Packing $packing, string $home, string $extra, array $wanted, array $ticked, ?string $person): self
    {
        $question = $packing->question;

        return new self(
            days: (string) $question->days,
            home: $home,
            extra: $extra,
            wanted: $wanted,
            modes: self::modes(),
            ticked: $ticked,
            packed: PackedPicture::of($packing),
            left: array_map(fn (FitCard $card): string => $card->tag, $packing->left),
            buys: array_map(fn (Purchase $buy): string => $buy->words(), $packing->buys),
            missing: self::missing($packing),
            proof: $packing->places === [] ? '' : $packing->words(),
            criterion: lcfirst($question->criterion->label()),
            laden: self::laden($packing),
            more: $ticked === [] ? max(0, Card::query()->whereNull('retired_on')->count() - count($question->cards)) : 0,
            kept: self::kept(),
            today: now()->format(When::ISO_DAY),
            person: $person ?? '',
        );
    }

    public static function ofKept(Shoot $shoot): KeptShootPage
    {
        $ends = $shoot->ends();

        return new KeptShootPage(
            $shoot->id,
            $shoot->name,
            $shoot->days === 1 ? $ends->format(When::DAY) : "{$shoot->begins->format('j M')} to {$ends->format(When::DAY)}",
            "kept {$shoot->created_at->format(When::MOMENT)} by {$shoot->recorded_by}",
            packed: PackedPicture::of($shoot->packing(), $shoot->begins),
        );
    }

    /** @return list<string> cards that go along and have something on them now */
    private static function laden(Packing $packing): array
    {
        $remarks = array_column($packing->question->cards, 'remark', 'tag');
        $laden = [];
        foreach ($packing->places as $one) {
            foreach ($one->cards as $card) {
                if (($remarks[$card->tag] ?? '') !== '') {
                    $laden[] = $card->tag;
                }
            }
        }

        return $laden;
    }

    /** `33 min and 1 spare`: minutes, shots and spares of all places. */
    private static function missing(Packing $packing): string
    {
        $sums = $words = [];
        foreach ($packing->places as $one) {
            $unit = $one->place->isSpare() ? 'spare' : $one->place->count->unit();
            $sums[$unit] = ($sums[$unit] ?? 0) + $one->missing();
            $words[$unit] = match (true) {
                $sums[$unit] === 0 => '',
                $unit !== 'spare' => $one->place->count->atLeast($sums[$unit]),
                default => "{$sums[$unit]} spare".($sums[$unit] > 1 ? 's' : ''),
            };
        }

        return implode(' and ', array_filter($words, fn (string $one): bool => $one !== ''));
    }

    /** @return list<ShootModeProps> */
    private static function modes(): array
    {
        return array_values(
            CameraMode::query()
                ->with('camera')
                ->get()
                ->sortBy(fn (CameraMode $mode): array => [$mode->camera->tag, $mode->id])
                ->map(fn (CameraMode $mode): array => [
                    'key' => (string) $mode->id,
                    'label' => "{$mode->camera->tag} {$mode->name}",
                    'isStills' => $mode->shot !== null,
                    'isRelay' => $mode->records === Recording::Relay,
                    'records' => $mode->records === Recording::OneSlot ? '' : $mode->records->label(),
                ])
                ->all(),
        );
    }

    /** @return list<KeptShootProps> */
    private static function kept(): array
    {
        return array_values(
            Shoot::query()
                ->withCount('cards')
                ->latest('begins')
                ->latest('id')
                ->limit(self::KEPT)
                ->get()
                ->map(fn (Shoot $one): array => [
                    'id' => $one->id,
                    'name' => $one->name,
                    'on' => "{$one->begins->format(When::DAY)}, {$one->days} ".($one->days === 1 ? 'day' : 'days'),
                    'cards' => is_numeric($one->getAttribute('cards_count')) ? (int) $one->getAttribute('cards_count') : 0,
                ])
                ->all(),
        );
    }
}
