<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Label\Bus;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\LeftOut;
use Tally\Offload\Missing;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Rules;
use Tally\Quantity\Bytes;

/** What a plan is asked for, from the books: the kit, and the footage that is on cards. */
final readonly class BooksQuestion
{
    /**
     * @param  list<LeftOut>  $leftOut  cards that no plan may have, or that have nothing on them
     * @param  list<KnownRate>  $rates  what it rests on: the kit's, and one or more of each card
     */
    private function __construct(public Question $question, public array $leftOut, public array $rates) {}

    /**
     * @param  Collection<int, Card>  $cards
     * @param  bool  $withPreviews  whether imports build previews, where a host was timed doing so
     */
    public static function of(Collection $cards, Rules $rules, bool $withPreviews = false): self
    {
        $runs = Run::query()
            ->with(['slot', 'void'])
            ->whereIn('card_id', $cards->map(fn (Card $card): int => $card->id)->all())
            ->orderBy('id')
            ->get()
            ->toBase()
            ->groupBy('card_id');
        $kit = KitGear::take($withPreviews);
        $laden = $leftOut = $known = [];
        foreach ($cards as $card) {
            $verdict = $card->overruled ?? $card->verdict;
            if ($card->footage->isZero()) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Footage,
                    "{$card->tag} has no footage marked on it. Mark how much there is at Intake, or leave it out.",
                );
            } elseif ($card->retired_on !== null) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Retired,
                    "{$card->tag} is out of service and in no plan. If there is footage on it, copy that first, alone, or take it back.",
                );
            } elseif ($verdict->isStruckOut()) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Struck,
                    "{$card->tag} is {$verdict->value} and left out. Copy its footage first, alone and gently, and keep the card.",
                );
            } else {
                [$laden[], $own] = self::laden($card, $runs[$card->id] ?? new Collection(), $card->footage, $kit->spoken);
                array_push($known, ...$own);
            }
        }

        $rates = [...$known, ...array_map(fn (KnownRate $rate): KnownRate => self::atLeast($rate, $known), $kit->rates)];

        return new self(new Question($kit->hosts, $kit->readers, $kit->drives, $laden, links: [], rules: $rules), $leftOut, $rates);
    }

    /**
     * One card with so much on it, and what is known of how fast it reads.
     *
     * @param  Collection<int, Run>  $runs  of it
     * @param  list<list<Bus>>  $spoken  by each slot of the kit
     * @return array{LadenCard, non-empty-list<KnownRate>} its own rate first, then those in readers
     */
    public static function laden(Card $card, Collection $runs, Bytes $amount, array $spoken): array
    {
        $source = CardSource::of($card, $runs);
        $buses = KitGear::settled($source->buses, $spoken);
        $rates = self::rates($card, $source, $buses);
        $readIn = [];
        foreach ($rates as $rate) {
            if ($rate->of === RateOf::CardIn) {
                $readIn[$rate->in] = $rate->rate;
            }
        }
        $files = $amount->count === $card->footage->count ? $card->footage_files : 0;

        return [new LadenCard($card->tag, (float) $amount->count, $files, $rates[0]->rate, buses: $buses, readIn: $readIn), $rates];
    }

    /**
     * What a card was seen to give in a reader, its slots and its link carried at the least.
     *
     * @param  list<KnownRate>  $cards
     */
    private static function atLeast(KnownRate $rate, array $cards): KnownRate
    {
        $seen = $rate->low;
        foreach ($cards as $card) {
            if (in_array($rate->of, [RateOf::Slots, RateOf::Uplink], true) && $card->of === RateOf::CardIn && $card->in === $rate->thing) {
                $seen = max($seen, $card->rate);
            }
        }
        $low = min($rate->rate, $seen);

        return $rate->with(low: $low);
    }

    /**
     * What was measured, in each reader where it was; elsewhere its best, else what the label claims and no more than its bus
     * gives at the least.
     *
     * @param  list<string>  $buses
     * @return non-empty-list<KnownRate> its own first
     */
    private static function rates(Card $card, CardSource $source, array $buses): array
    {
        $read = $source->card;
        $own = $read !== null && $read->origin === CeilingOrigin::Measurement
            ? self::measured($source, RateOf::Card, $card->tag, '', ceiling: $read)
            : self::claimed($card->tag, $read, $buses);
        $rates = [$own];
        foreach ($source->byReader as $reader => $ceiling) {
            $rates[] = self::measured($source, RateOf::CardIn, $card->tag, strval($reader), ceiling: $ceiling);
        }

        return $rates;
    }

    private static function measured(CardSource $source, RateOf $of, string $tag, string $in, Ceiling $ceiling): KnownRate
    {
        $rate = $ceiling->usable()->bytesPerSecond;
        [$least, $most] = $source->spreads[$in] ?? [$rate, $rate];

        return new KnownRate(
            $of,
            $tag,
            $in,
            $rate,
            origin: CeilingOrigin::Measurement,
            how: $ceiling->source,
            low: min($least, $rate),
            high: max($most, $rate),
        );
    }

    /** @param  list<string>  $buses */
    private static function claimed(string $tag, ?Ceiling $read, array $buses): KnownRate
    {
        $least = $most = 0.0;
        foreach ($buses as $key) {
            $ceiling = Bus::from($key)->ceiling();
            $least = max($least, ($ceiling->least() ?? $ceiling->usable())->bytesPerSecond);
            $most = max($most, $ceiling->usable()->bytesPerSecond);
        }
        $claim = $read?->usable()->bytesPerSecond;
        $rate = match (true) {
            $claim === null => $least > 0 ? $least : 1e6,
            $least > 0 => min($claim, $least),
            default => $claim,
        };

        return new KnownRate(
            RateOf::Card,
            $tag,
            '',
            $rate,
            origin: CeilingOrigin::Claim,
            how: 'never read on a chain that showed all of it: its label at the low end of practice',
            low: $rate,
            high: max($rate, min($claim ?? $rate, $most)),
        );
    }
}
