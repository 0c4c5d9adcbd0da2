<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\PartKind;

/** What one change would save: the plan made anew with it, and not guessed. */
final readonly class WhatIf
{
    /** Of what is busiest, so many are tried. */
    private const BUSIEST = 4;

    private const MOST = 5;

    /** What saves less is not worth a sentence. Seconds. */
    private const LEAST = 5.0;

    /**
     * @param  string  $of  the piece of gear that it is about; empty where it is about none
     * @param  float  $saves  seconds until all is done
     * @param  float  $done  seconds
     */
    private function __construct(public Change $change, public string $of, public float $saves, public float $done) {}

    /**
     * @param  Plan  $plan  that each change is searched for from
     * @param  float  $seconds  of search for each
     * @return list<self> what saves most first
     */
    public static function of(Plan $plan, float $seconds): array
    {
        $found = [];
        foreach (self::changes($plan) as [$change, $of, $question]) {
            $done = Plan::of($question, $plan->goal, $seconds, $plan->decision)->course->done;
            $saves = $plan->course->done - $done;
            if ($saves >= self::LEAST) {
                $found[] = new self($change, $of, $saves, $done);
            }
        }
        usort($found, fn (self $one, self $other): int => $other->saves <=> $one->saves);

        return array_slice($found, 0, self::MOST);
    }

    /** @return list<array{Change, string, Question}> for what is busiest, and for hands and rules */
    private static function changes(Plan $plan): array
    {
        $question = $plan->question;
        $network = $plan->course->network;
        $load = $plan->course->load;
        arsort($load);
        $changes = [];
        foreach (array_slice(array_keys($load), 0, self::BUSIEST) as $resource) {
            $part = $network->parts[$resource];
            $name = $network->names[$resource];
            $reader = in_array($part->kind, [PartKind::Lane, PartKind::Uplink], true) ? $question->readers[$part->at]->name : '';
            $changes[] = match ($part->kind) {
                PartKind::Drive => [Change::FasterDrive, $name, Changed::drive($question, $part->at)],
                PartKind::Lane => [Change::SecondReader, $reader, Changed::secondReader($question, $part->at)],
                PartKind::Uplink => [Change::FasterUplink, $reader, Changed::uplink($question, $part->at)],
                PartKind::Port => [Change::FasterPort, $name, Changed::port($question, $part->at, (int) $part->in)],
                PartKind::Controller => [Change::SecondController, $name, Changed::controller($question, $part->at, (string) $part->in)],
                PartKind::Hash => null,
            };
        }
        $changes[] = [Change::MoreHands, '', Changed::hands($question)];
        foreach (self::crowded($plan) as $at) {
            $changes[] = [Change::MorePorts, $question->hosts[$at]->name, Changed::ports($question, $at)];
        }
        foreach (array_keys($question->readers) as $at) {
            if ($question->readers[$at]->name === self::busiestReader($plan)) {
                $changes[] = [Change::SecondReader, $question->readers[$at]->name, Changed::secondReader($question, $at)];
            }
        }
        if ($question->rules->readsBack()) {
            $changes[] = [Change::NoReadBack, '', Changed::withoutReadBack($question)];
        }
        if ($question->rules->copies > 1) {
            $changes[] = [Change::OneCopyLess, '', Changed::oneCopyLess($question)];
        }
        $once = [];
        foreach ($changes as $one) {
            if ($one !== null) {
                $once["{$one[0]->value} {$one[1]}"] ??= $one;
            }
        }

        return array_values($once);
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
