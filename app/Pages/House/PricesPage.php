<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Evidence\HouseKnowledge;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\PriceQuote;
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

/** What such cards cost: the house's own quotes, and their median for each kind. */
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
                    fn (PriceQuote $one): QuoteProps => new QuoteProps(
                        $one->id,
                        ($one->model === null ? '' : "{$one->model}: ").
                            "{$one->form->label()}, ".
                            (Tier::tryFrom($one->tier)?->words() ?? ''),
                        $one->capacity->decimal(),
                        $one->quote()->price->print(),
                        Price::printPerGigabyte($one->quote()->perGigabyte(), $one->currency),
                        $one->quoted_on->format('j M Y'),
                        $one->source,
                    ),
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

        return array_values($kinds->map(fn (Collection $quotes): ReferenceProps => self::reference($quotes, $house))->all());
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
     */
    private static function reference(Collection $quotes, HouseKnowledge $house): ReferenceProps
    {
        $first = $quotes->firstOrFail();
        $tier = Tier::tryFrom($first->tier) ?? Tier::all()[0];
        $prices = array_values($quotes->map(fn (PriceQuote $one): BigRational => $one->quote()->perGigabyte())->all());
        $median = $prices === [] ? null : Reference::median($prices);
        $units = fn (?BigRational $minor): float => $minor === null ? 0.0 : $minor->toFloat() / self::minors($first->currency);

        return new ReferenceProps(
            $first->form->label(),
            $tier->words(),
            $first->currency,
            $units($median),
            ($median === null ? '' : Price::printPerGigabyte($median, $first->currency).', ').
                ($quotes->count() === 1 ? 'one quote' : "median of {$quotes->count()} quotes, of all capacities"),
            array_values($quotes->map(fn (PriceQuote $one): float => $units($one->quote()->perGigabyte()))->all()),
            array_values(
                self::bought($first)
                    ->map(function (Card $card) use ($units, $house): ForSaleProps {
                        $price = $card->origin()->price;
                        $reference = $house->reference($card->label(), $price->currency ?? '');
                        $found = array_filter(
                            OriginFindings::of($card->capacity, $card->origin(), new Sisters(), $reference),
                            fn (Finding $finding): bool => $finding->about === About::Price,
                        );

                        return new ForSaleProps(
                            $card->tag,
                            $units($price?->perGigabyte($card->capacity)),
                            (array_values($found)[0] ?? null)?->severity->value,
                        );
                    })
                    ->all(),
            ),
        );
    }

    private static function minors(string $currency): int
    {
        $one = Price::parse('1', $currency);

        return $one->minor;
    }
}
