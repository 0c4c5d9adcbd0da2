<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\PartKind;

/** What a change would save: the plan made anew with it, and not guessed. */
final readonly class WhatIf
{
    /** Of what is busiest, so many are tried. */
    private const BUSIEST = 5;

    private const MOST = 5;

    /** Where nothing that can be bought helps by itself, so many of them are tried two at a time. */
    private const PAIRED = 4;

    /** What saves less is not worth a sentence. Seconds. */
    private const LEAST = 5.0;

    /**
     * @param  non-empty-list<Proposal>  $proposals  one, or two together
     * @param  float  $saves  seconds until all is done
     * @param  float  $done  seconds
     */
    private function __construct(public array $proposals, public float $saves, public float $done) {}

    public function words(): string
    {
        return implode(', and with it: ', array_map(fn (Proposal $one): string => $one->words(), $this->proposals));
    }

    /** Whether all of it has a price. */
    public function isBought(): bool
    {
        return array_filter($this->proposals, fn (Proposal $one): bool => ! $one->change->isBought()) === [];
    }

    /**
     * @param  Plan  $plan  that each change is searched for from
     * @param  float  $seconds  of search for each
     * @return list<self> what saves most first
     */
    public static function of(Plan $plan, float $seconds): array
    {
        $proposals = self::proposals($plan);
        $found = array_filter(array_map(fn (Proposal $one): ?self => self::tried($plan, [$one], $seconds), $proposals));
        if (array_filter($found, fn (self $one): bool => $one->isBought()) === []) {
            $bought = array_filter($proposals, fn (Proposal $one): bool => $one->change->isBought());
            foreach (self::pairs(array_slice(array_values($bought), 0, self::PAIRED)) as $pair) {
                $found[] = self::tried($plan, $pair, $seconds);
            }
            $found = array_filter($found);
        }
        usort($found, fn (self $one, self $other): int => $other->saves <=> $one->saves);

        return array_slice($found, 0, self::MOST);
    }

    /** @param  non-empty-list<Proposal>  $proposals */
    private static function tried(Plan $plan, array $proposals, float $seconds): ?self
    {
        $question = $plan->question;
        foreach ($proposals as $one) {
            $question = ($one->make)($question);
        }
        $done = Plan::of($question, $plan->goal, $seconds, $plan->decision)->course->done;
        $saves = $plan->course->done - $done;

        return $saves >= self::LEAST ? new self($proposals, $saves, $done) : null;
    }

    /**
     * @param  list<Proposal>  $proposals
     * @return list<array{Proposal, Proposal}>
     */
    private static function pairs(array $proposals): array
    {
        $pairs = [];
        foreach ($proposals as $i => $one) {
            foreach (array_slice($proposals, $i + 1) as $other) {
                $pairs[] = [$one, $other];
            }
        }

        return $pairs;
    }

    /** @return list<Proposal> for what is busiest, and for hands and rules; none twice */
    private static function proposals(Plan $plan): array
    {
        $proposals = array_map(
            fn (Load $load): ?Proposal => self::faster($load, $plan->question),
            array_slice(Load::of($plan), 0, self::BUSIEST),
        );
        foreach (self::crowded($plan) as $at) {
            $proposals[] = new Proposal(
                Change::MorePorts,
                $plan->question->hosts[$at]->name,
                fn (Question $question): Question => Changed::ports($question, $at),
            );
        }
        foreach ($plan->question->readers as $at => $reader) {
            if ($reader->name === self::busiestReader($plan)) {
                $proposals[] = self::secondReader($plan->question, $at);
            }
        }
        $proposals[] = new Proposal(Change::MoreHands, '', Changed::hands(...));
        if ($plan->question->rules->readsBack()) {
            $proposals[] = new Proposal(Change::NoReadBack, '', Changed::withoutReadBack(...));
        }
        if ($plan->question->rules->copies > 1) {
            $proposals[] = new Proposal(Change::OneCopyLess, '', Changed::oneCopyLess(...));
        }
        if ($plan->question->buildsPreviews()) {
            $proposals[] = new Proposal(Change::NoPreviews, '', Changed::withoutPreviews(...));
        }
        $once = [];
        foreach (array_filter($proposals) as $one) {
            $once[$one->key()] ??= $one;
        }

        return array_values($once);
    }

    /** The next better kind of what is busy; null where there is none to buy. */
    private static function faster(Load $load, Question $question): ?Proposal
    {
        [$at, $in] = [$load->part->at, $load->part->in];

        return match ($load->part->kind) {
            PartKind::Card => new Proposal(
                Change::FasterCard,
                $question->cards[$at]->tag,
                fn (Question $question): Question => Changed::card($question, $at),
            ),
            PartKind::Drive => new Proposal(
                Change::FasterDrive,
                $load->name,
                fn (Question $question): Question => Changed::drive($question, $at),
            ),
            PartKind::Lane => self::secondReader($question, $at),
            PartKind::Uplink => new Proposal(
                Change::FasterUplink,
                $question->readers[$at]->name,
                fn (Question $question): Question => Changed::uplink($question, $at),
            ),
            PartKind::Port => new Proposal(
                Change::FasterPort,
                $load->name,
                fn (Question $question): Question => Changed::port($question, $at, (int) $in),
            ),
            PartKind::Controller => new Proposal(
                Change::SecondController,
                $load->name,
                fn (Question $question): Question => Changed::controller($question, $at, (string) $in),
            ),
            PartKind::Hash, PartKind::Previews => null,
        };
    }

    private static function secondReader(Question $question, int $at): Proposal
    {
        return new Proposal(
            Change::SecondReader,
            $question->readers[$at]->name,
            fn (Question $question): Question => Changed::secondReader($question, $at),
        );
    }

    /** @return list<int> hosts that cards come home to while something finds no port */
    private static function crowded(Plan $plan): array
    {
        $isPlugged = count($plan->decision->links) === count($plan->question->plugged());
        $hosts = [];
        foreach ($isPlugged ? [] : $plan->course->placements as $placement) {
            $host = $plan->course->network->hostOfSlot($placement->slot);
            if ($host !== null) {
                $hosts[$host] = $host;
            }
        }

        return array_values($hosts);
    }

    /** The reader that cards are in for longest. */
    private static function busiestReader(Plan $plan): string
    {
        $seconds = [];
        foreach ($plan->course->placements as $at => $placement) {
            $reader = $plan->question->readers[$plan->course->network->slots[$placement->slot][0]]->name;
            $seconds[$reader] = ($seconds[$reader] ?? 0.0) + ($plan->course->free[$at] ?? 0.0) - ($plan->course->in[$at] ?? 0.0);
        }
        arsort($seconds);

        return array_key_first($seconds) ?? '';
    }
}
