<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Evidence\HouseKnowledge;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\PriceQuote;
use App\Models\When;
use App\Pages\Page;
use Brick\Math\BigRational;
use Illuminate\Support\Collection;
use Tally\Buying\Price;
use Tally\Buying\Reference;
use Tally\Buying\Tier;
use Tally\Label\About;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Origin\OriginFindings;
use Tally\Origin\Sisters;

/**
 * What such cards cost: the house's own quotes, and their median for each kind.
 *
 * @phpstan-type ForSaleProps array{ // A card of the house and what a gigabyte of it cost.
 *     tag: string,
 *     perGigabyte: float,
 *     severity: string|null, // of the finding that its price gives; null when it is in the ordinary
 * }
 * @phpstan-type QuoteProps array{ // A price that somebody asked.
 *     id: int,
 *     kind: string,
 *     capacity: string,
 *     price: string,
 *     perGigabyte: string,
 *     on: string,
 *     source: string,
 * }
 * @phpstan-type ReferenceProps array{ // What a gigabyte of one kind costs, with every quote as a point on the same axis.
 *     form: string,
 *     tier: string,
 *     currency: string,
 *     median: float,
 *     words: string,
 *     quotes: list<float>, // for a gigabyte, in the currency's own units
 *     cards: list<ForSaleProps>, // cards of the house that were bought at a price
 * }
 */
final readonly class PricesPage extends Page
{
    private const CARDS = 40;

    /**
     * @param  list<ReferenceProps>  $references
     * @param  list<QuoteProps>  $quotes
     * @param  list<ChoiceProps>  $forms
     * @param  list<ChoiceProps>  $tiers
     */
    public function __construct(
        public array $references,
        public array $quotes,
        public array $forms,
        public array $tiers,
        public string $today,
    ) {}

    /** @return list<QuoteProps> the newest first */
    public static function quotes(): array
    {
        return array_values(
            PriceQuote::query()
                ->orderByDesc('quoted_on')
                ->orderByDesc('id')
                ->limit(500)
                ->get()
                ->map(
                    fn (PriceQuote $one): array => [
                        'id' => $one->id,
                        'kind' => ($one->model === null ? '' : "{$one->model}: ").
                            "{$one->form->label()}, ".
                            (Tier::tryFrom($one->tier)?->words() ?? ''),
                        'capacity' => $one->capacity->decimal(),
                        'price' => $one->quote()->price->print(),
                        'perGigabyte' => Price::printPerGigabyte($one->quote()->perGigabyte(), $one->currency),
                        'on' => $one->quoted_on->format(When::DAY),
                        'source' => $one->source,
                    ],
                )
                ->all(),
        );
    }

    /** @return list<ReferenceProps> */
    public static function references(): array
    {
        $house = new HouseKnowledge();
        $kinds = PriceQuote::query()
            ->orderBy('form')
            ->orderBy('tier')
            ->get()
            ->groupBy(fn (PriceQuote $one): string => "{$one->form->value} {$one->tier} {$one->currency}");

        return array_values($kinds->map(fn (Collection $quotes): array => self::reference($quotes, $house))->all());
    }

    /**
     * Some that were bought of a kind. A house has many cards, and few sets of marks on them.
     *
     * @return Collection<int, Card>
     */
    private static function bought(PriceQuote $kind): Collection
    {
        $cards = Card::query()
            ->where(['form' => $kind->form, 'currency' => $kind->currency])
            ->whereNotNull('price');
        $marks = Card::query()
            ->findMany((clone $cards)->groupBy('marks')->selectRaw('min(id) as id')->pluck('id'))
            ->filter(fn (Card $card): bool => Tier::of($card->label())->floor === $kind->tier)
            ->map(fn (Card $card): mixed => $card->getRawOriginal('marks'));

        return $cards->whereIn('marks', $marks)->orderBy('tag')->limit(self::CARDS)->get()->toBase();
    }

    /** @return list<ChoiceProps> */
    public static function tiers(): array
    {
        $sd = [Form::Sd->value, Form::MicroSd->value];
        $others = array_values(array_diff(array_map(fn (Form $form): string => $form->value, Form::cases()), $sd));

        return array_map(
            fn (Tier $tier): ChoiceProps => new ChoiceProps(
                (string) $tier->floor,
                $tier->words(),
                match (true) {
                    $tier->floor === 0 => [...$sd, ...$others],
                    ! $tier->isSecureDigital() => $others,
                    default => $sd,
                },
            ),
            Tier::all(),
        );
    }

    /**
     * @param  Collection<int, PriceQuote>  $quotes  all of one kind
     * @return ReferenceProps
     */
    private static function reference(Collection $quotes, HouseKnowledge $house): array
    {
        $first = $quotes->firstOrFail();
        $tier = Tier::tryFrom($first->tier) ?? Tier::all()[0];
        $prices = array_values($quotes->map(fn (PriceQuote $one): BigRational => $one->quote()->perGigabyte())->all());
        $median = $prices === [] ? null : Reference::median($prices);
        $units = fn (?BigRational $minor): float => $minor === null ? 0.0 : $minor->toFloat() / self::minors($first->currency);

        return [
            'form' => $first->form->label(),
            'tier' => $tier->words(),
            'currency' => $first->currency,
            'median' => $units($median),
            'words' => ($median === null ? '' : Price::printPerGigabyte($median, $first->currency).', ').
                ($quotes->count() === 1 ? 'one quote' : "median of {$quotes->count()} quotes, of all capacities"),
            'quotes' => array_values($quotes->map(fn (PriceQuote $one): float => $units($one->quote()->perGigabyte()))->all()),
            'cards' => array_values(
                self::bought($first)
                    ->map(function (Card $card) use ($units, $house): array {
                        $price = $card->origin()->price;
                        $reference = $house->reference($card->label(), $price->currency ?? '');
                        $found = array_filter(
                            OriginFindings::of($card->capacity, $card->origin(), new Sisters(), $reference),
                            fn (Finding $finding): bool => $finding->about === About::Price,
                        );

                        return [
                            'tag' => $card->tag,
                            'perGigabyte' => $units($price?->perGigabyte($card->capacity)),
                            'severity' => (array_values($found)[0] ?? null)?->severity->value,
                        ];
                    })
                    ->all(),
            ),
        ];
    }

    private static function minors(string $currency): int
    {
        $one = Price::parse('1', $currency);

        return $one->minor;
    }
}
