<?php

declare(strict_types=1);

namespace App\Pages\Ledger;

use App\Kit\ChoiceProps;
use App\Ledger\OfferBook;
use App\Ledger\SpareBook;
use App\Ledger\SpareProps;
use App\Models\Kit\CameraMode;
use App\Pages\Page;
use Brick\Math\RoundingMode;
use Tally\Buying\BuyingCriterion;
use Tally\Buying\Choice;
use Tally\Buying\Need;
use Tally\Buying\Offer;
use Tally\Buying\Price;
use Tally\Reading\Proportion;

/**
 * What to buy: the value plane, and what each of three criteria would take.
 *
 * @phpstan-type OfferProps array{ // A model that can be bought.
 *     key: string, // by which it is told from others
 *     name: string,
 *     seller: string,
 *     line: string, // its label in a few words
 *     price: string, // such as `21.00 EUR, 14 Oct 2026`
 *     perGigabyte: float, // units of the currency
 *     perTerabyte: string, // such as `164 EUR`
 *     perSpeed: string, // for each MB/s kept up; empty where nothing was measured
 *     keepsUp: float|null, // MB/s, the worst of those tested here; null where none was
 *     promises: float|null, // MB/s of its best mark
 *     tested: string, // such as `3 of 5`
 *     failed: string, // such as `1 of 5, 4 to 62 %`; empty where none did
 *     reader: string, // what its reader costs more; or that it needs one; empty where the house has one
 *     passes: bool,
 *     isOnFrontier: bool,
 * }
 * @phpstan-type PickProps array{ // What a criterion would buy, in a sentence.
 *     criterion: string,
 *     offer: string|null, // key of its offer; null where nothing will do
 *     sentence: string,
 * }
 */
final readonly class BuyPage extends Page
{
    /**
     * @param  list<ChoiceProps>  $modes
     * @param  float  $floor  MB/s that a card must never fall under; 0 for any
     * @param  string  $need  in words
     * @param  list<OfferProps>  $offers  tested here, the cheapest a gigabyte first
     * @param  list<OfferProps>  $labelOnly  that nobody here has tested
     * @param  list<string>  $struck  models that are struck out, and why
     * @param  list<PickProps>  $picks
     * @param  list<SpareProps>  $spares  of the shoots that are ahead
     */
    public function __construct(
        public BuyAskedProps $asked,
        public array $modes,
        public float $floor,
        public string $need,
        public string $currency,
        public array $offers,
        public array $labelOnly,
        public array $struck,
        public array $picks,
        public array $spares,
    ) {}

    public static function of(BuyAskedProps $asked, ?CameraMode $mode, Need $need, ?Price $reader): self
    {
        $currency = $reader->currency ?? OfferBook::currency();
        $buses = OfferBook::buses();
        $all = OfferBook::of($currency, $reader);
        $fits = array_values(
            array_filter($all, fn (Offer $one): bool => $mode === null || $one->label->settleIn($mode->camera->buses()) !== null),
        );
        $choice = new Choice($fits, $need);
        $frontier = array_map(self::key(...), $choice->frontier());
        $isNeeded = fn (Offer $one): bool => $one->reader === null && OfferBook::needsReader($one->label, $buses);
        $props = fn (Offer $one): array => self::offer(
            $one,
            $choice->passes($one),
            in_array(self::key($one), $frontier, true),
            $isNeeded($one),
        );
        $offers = $choice->offers;
        usort($offers, fn (Offer $a, Offer $b): int => $a->perGigabyte()->compareTo($b->perGigabyte()));
        $isTested = fn (Offer $one): bool => $one->keepsUp !== null;

        return new self(
            asked: $asked,
            modes: self::modes(),
            floor: $need->floor === null ? 0.0 : round($need->floor->megabytes(), 2),
            need: self::need($mode, $need),
            currency: $currency,
            offers: array_map($props, array_values(array_filter($offers, $isTested))),
            labelOnly: array_map($props, array_values(array_filter($offers, fn (Offer $one): bool => ! $isTested($one)))),
            struck: array_values(array_map(self::struck(...), array_filter($fits, fn (Offer $one): bool => $one->isStruckOut))),
            picks: array_map(fn (BuyingCriterion $criterion): array => self::pick($criterion, $choice, $need), BuyingCriterion::cases()),
            spares: SpareBook::ahead(),
        );
    }

    private static function key(Offer $offer): string
    {
        return "{$offer->name} {$offer->label->capacity->count} {$offer->seller}";
    }

    private static function need(?CameraMode $mode, Need $need): string
    {
        if ($need->floor === null) {
            return 'any need';
        }
        $floor = number_format($need->floor->megabytes(), 1, '.', '');

        return ($mode === null ? '' : "{$mode->camera->tag} {$mode->name}: ")."never under {$floor} MB/s";
    }

    /** @return OfferProps */
    private static function offer(Offer $one, bool $passes, bool $isOnFrontier, bool $needsReader): array
    {
        $units = 10 ** Price::digits($one->price->currency);
        $speed = $one->perMegabyteASecond();

        return [
            'key' => self::key($one),
            'name' => $one->name,
            'seller' => $one->seller,
            'line' => $one->label->line(),
            'price' => "{$one->price->print()}, {$one->on}",
            'perGigabyte' => round($one->perGigabyte()->toFloat() / $units, 4),
            'perTerabyte' => number_format(($one->perGigabyte()->toFloat() * 1000) / $units, 0, '.', ' ')." {$one->price->currency}",
            'perSpeed' => $speed === null ? '' : $speed->dividedBy($units)->toScale(2, RoundingMode::HALF_UP)." {$one->price->currency}",
            'keepsUp' => $one->keepsUp === null ? null : round($one->keepsUp->megabytes(), 2),
            'promises' => $one->label->topMark()?->floor()->megabytes(),
            'tested' => $one->owned === 0 ? 'none here' : "{$one->tested} of {$one->owned}",
            'failed' => $one->failed === 0 || $one->owned === 0 ? '' : (new Proportion($one->failed, $one->owned))->words(),
            'reader' => match (true) {
                $one->reader !== null => "its reader {$one->reader->print()} more",
                $needsReader => 'needs a reader that the house has not',
                default => '',
            },
            'passes' => $passes,
            'isOnFrontier' => $isOnFrontier,
        ];
    }

    private static function struck(Offer $one): string
    {
        $from = $one->seller === '' ? '' : " from {$one->seller}";

        $failed = (new Proportion($one->failed, $one->owned))->words();

        return "{$one->name}, {$one->label->capacity->decimal()}{$from}: {$failed} failed here";
    }

    /** @return PickProps */
    private static function pick(BuyingCriterion $criterion, Choice $choice, Need $need): array
    {
        $offer = $choice->pick($criterion);
        if ($offer === null) {
            return [
                'criterion' => $criterion->label(),
                'offer' => null,
                'sentence' => match ($criterion) {
                    BuyingCriterion::Guaranteed => 'No model here has a VPG or E mark that promises as much.',
                    default => 'No model that was tested here keeps up as much.',
                },
            ];
        }
        $keeps = $offer->keepsUp === null
            ? 'nobody here has measured it'
            : 'keeps up '.number_format($offer->keepsUp->megabytes(), 1, '.', '').' MB/s here';
        $total = Price::of($offer->total($need->cards), $offer->price->currency)->print();
        $with = $offer->reader === null ? '' : ', with the reader that it needs';
        $from = $offer->seller === '' ? '' : " from {$offer->seller}";
        $tested = $offer->tested === 0 ? '' : ", {$offer->tested} tested";

        return [
            'criterion' => $criterion->label(),
            'offer' => self::key($offer),
            'sentence' => "{$offer->name}, {$offer->label->capacity->decimal()}{$from}: {$need->cards} for {$total}{$with}; ".
                "{$keeps}{$tested}.",
        ];
    }

    /** @return list<ChoiceProps> */
    private static function modes(): array
    {
        return array_values(
            CameraMode::query()
                ->with('camera')
                ->get()
                ->sortBy(fn (CameraMode $mode): array => [$mode->camera->tag, $mode->id])
                ->map(fn (CameraMode $mode): ChoiceProps => new ChoiceProps((string) $mode->id, "{$mode->camera->tag} {$mode->name}", []))
                ->all(),
        );
    }
}
