<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\RuleDraft;
use Illuminate\Contracts\Database\Eloquent\Builder;
use Illuminate\Support\Facades\DB;
use LogicException;
use Tally\Reading\Thresholds;
use Tally\Verdict\Judge;

/**
 * Rules of judgement are tried on every card before they are kept: a slice of the house each time that somebody looks, so that no page
 * waits for all of it. A retired card keeps its history, and is judged too.
 */
final readonly class RuleDrafts
{
    /** Cards in one go. */
    private const MOST = 150;

    /** Seconds after which a slice is long enough. */
    private const LONG = 0.2;

    public static function open(): ?RuleDraft
    {
        return RuleDraft::query()->whereNull('kept_at')->latest('id')->first();
    }

    public static function begin(Thresholds $by, string $who, string $why): RuleDraft
    {
        self::drop();

        return RuleDraft::query()->create([
            'shares' => ['full' => $by->full, 'near' => $by->near, 'short' => $by->short, 'above' => $by->above],
            'why' => $why,
            'by' => $who,
            'cards' => Card::query()->count(),
            'looked' => 0,
            'last' => 0,
            'changes' => [],
            'begun_at' => now(),
        ]);
    }

    public static function drop(): void
    {
        RuleDraft::query()->whereNull('kept_at')->delete();
    }

    /** The next slice. */
    public static function goOn(RuleDraft $draft): RuleDraft
    {
        return DB::transaction(function () use ($draft): RuleDraft {
            $draft = RuleDraft::query()->lockForUpdate()->findOrFail($draft->id);
            [$looked, $last, $changes] = [$draft->looked, $draft->last, $draft->changes];
            $until = hrtime(true) + self::LONG * 1e9;
            $cards = Card::query()->where('id', '>', $last)->orderBy('id')->limit(self::MOST)->get();
            foreach ($cards as $card) {
                array_push($changes, ...self::change($card, $draft->by()));
                [$looked, $last] = [$looked + 1, $card->id];
                if (hrtime(true) > $until) {
                    break;
                }
            }
            // Whoever entered or took out cards in between is not waited for.
            $draft->update(['looked' => $cards->isEmpty() ? $draft->cards : $looked, 'last' => $last, 'changes' => $changes]);

            return $draft;
        });
    }

    /** @return list<array{card: int, tag: string, from: string, to: string, next: string}> what would be another, or nothing */
    private static function change(Card $card, Thresholds $by): array
    {
        $verdict = Judge::judge(CardEvidence::of($card, CardEvidence::runs($card), $by));

        return $verdict->kind === $card->verdict
            ? []
            : [[
                'card' => $card->id,
                'tag' => $card->tag,
                'from' => $card->verdict->value,
                'to' => $verdict->kind->value,
                'next' => $verdict->nextWhen($card->overruled)->value,
            ]];
    }

    /** The rules as they were tried; cards that something happened to since then are judged anew besides. */
    public static function keep(RuleDraft $draft): void
    {
        DB::transaction(function () use ($draft): void {
            $draft = RuleDraft::query()->lockForUpdate()->findOrFail($draft->id);
            if (! $draft->isDone() || $draft->kept_at !== null) {
                throw new LogicException('Only what was tried on every card is kept, and once.');
            }
            // Asked before the verdicts are written, which touches their cards.
            $since = fn (Builder $of): Builder => $of->where('updated_at', '>=', $draft->begun_at);
            $touched = Card::query()->where($since)->orWhereHas('runs', $since)->pluck('id');
            JudgeRules::keep($draft->by(), $draft->by, $draft->why);
            foreach ($draft->changes as $change) {
                Card::query()->find($change['card'])?->forceFill(['verdict' => $change['to'], 'next_step' => $change['next']])->save();
            }
            Card::query()->whereIn('id', $touched)->get()->each(CardEvidence::refresh(...));
            $draft->update(['kept_at' => now()]);
        });
    }
}
