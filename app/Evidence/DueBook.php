<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\Ledger\CardIncident;
use App\Models\Runs\Run;
use App\Models\Shoot\Shoot;
use App\Models\When;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Ledger\CardPast;
use Tally\Ledger\Due;
use Tally\Ledger\DueRules;
use Tally\Ledger\Incident;
use Tally\Ledger\IncidentKind;
use Tally\Ledger\Upcoming;
use Tally\Quantity\Bytes;
use Tally\Record\RunKind;

/** When each card is tested again: derived from its past, kept with it so that it can be counted. */
final readonly class DueBook
{
    private const CHUNK = 200;

    /** @param  Collection<int, Run>|null  $runs  of the card, where they are at hand */
    public static function refresh(Card $card, ?Collection $runs = null): void
    {
        $due = self::of($card, LedgerRules::now(), $runs ?? CardEvidence::runs($card))[0] ?? null;
        $card->forceFill([
            'due_on' => $due?->on->format(When::ISO_DAY),
            'due_test' => $due?->test->value,
            'due_why' => $due === null ? null : mb_substr($due->why, 0, 200),
        ]);
        if ($card->isDirty(['due_on', 'due_test', 'due_why'])) {
            $card->save();
        }
    }

    public static function refreshAll(): void
    {
        Card::query()->chunkById(self::CHUNK, function (Collection $cards): void {
            $cards->each(fn (Card $card) => self::refresh($card));
        });
    }

    /**
     * @param  Collection<int, Run>  $runs
     * @return list<Due> by each rule, the earliest first; none of a card that is out of service or struck out
     */
    public static function of(Card $card, DueRules $rules, Collection $runs): array
    {
        return $card->retired_on !== null || ($card->overruled ?? $card->verdict)->isStruckOut()
            ? []
            : Due::of(self::past($card, $rules, $runs), $rules);
    }

    /** @param  Collection<int, Run>  $runs */
    private static function past(Card $card, DueRules $rules, Collection $runs): CardPast
    {
        $at = fn (?Run $run): ?Carbon => $run === null ? null : $run->ended_at ?? $run->created_at;
        $counting = $runs->filter(fn (Run $run): bool => $run->result !== null && $run->counts())->sortBy($at);
        $proven = $at($counting->last(fn (Run $run): bool => $run->proof()?->isWhole() === true));
        $bought = ($card->bought_on ?? $card->created_at)?->toDateTimeImmutable();
        $written = Written::on($card, $runs);
        $worn = $rules->retireFills === 0
            ? null
            : $written->reached(Bytes::of($card->capacity->count * $rules->retireFills), Carbon::createFromTimestamp(0));
        if ($proven === null) {
            return new CardPast($card->capacity, bought: $bought, worn: $worn?->toDateTimeImmutable());
        }
        $measures = [RunKind::Speed, RunKind::Sustained, RunKind::Proof];
        $measured = $at($counting->last(fn (Run $run): bool => in_array($run->kind, $measures, true)));

        return new CardPast(
            $card->capacity,
            $proven->toDateTimeImmutable(),
            $measured?->toDateTimeImmutable(),
            $written->since($proven),
            filled: $written->reached(Bytes::of($card->capacity->count * $rules->fills), $proven)?->toDateTimeImmutable(),
            incident: self::incident($card, $proven),
            shoot: self::shoot($card),
            bought: $bought,
            worn: $worn?->toDateTimeImmutable(),
        );
    }

    private static function incident(Card $card, Carbon $since): ?Incident
    {
        $asking = array_filter(IncidentKind::cases(), fn (IncidentKind $kind): bool => $kind->asksForTest());
        $last = CardIncident::query()
            ->where('card_id', $card->id)
            ->whereIn('kind', $asking)
            ->where('happened_at', '>', $since)
            ->orderBy('happened_at')
            ->first();

        return $last === null ? null : new Incident($last->kind, $last->happened_at->toDateTimeImmutable());
    }

    private static function shoot(Card $card): ?Upcoming
    {
        $next = Shoot::query()
            ->whereRelation('cards', 'card_id', $card->id)
            ->where('begins', '>=', now()->format(When::ISO_DAY))
            ->orderBy('begins')
            ->first();

        return $next === null ? null : new Upcoming($next->name, $next->begins->toDateTimeImmutable());
    }
}
