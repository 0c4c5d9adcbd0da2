<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\Source;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Bus;
use Tally\Measured\Chain;
use Tally\Measured\Way;
use Tally\Quantity\Rate;
use Tally\Reading\WayReading;

/**
 * Whether a card does the same when it is asked again. Two speed runs of one card, chain and region whose medians are apart
 * by more than 1.5 times make it Shaky, unless the two newest agree: then those stand, and what is older and far from them
 * counts no longer. Handbook § 6 rule 8; house rules.
 */
final readonly class Repeats
{
    private const APART = 1.5;

    private const AGREE = 1.1;

    /** Reading under so much of writing is trouble. */
    private const FAR_UNDER = 0.25;

    /**
     * @param  list<Reason>  $reasons
     * @param  array<string, list<array{string, Rate}>>  $newest  by way: the moment from which on the newest stand, and what they say
     * @param  array<string, true>  $overtaken  speed runs that count no longer, by way and name
     */
    private function __construct(public array $reasons, private array $newest, private array $overtaken) {}

    public static function among(Evidence $evidence): self
    {
        [$reasons, $newest, $overtaken] = [self::readUnderWrite($evidence), [], []];
        foreach (self::alike($evidence) as $key => $group) {
            $way = explode(' ', $key, 2)[0];
            usort($group, fn (array $a, array $b): int => $b[1]->bytesPerSecond <=> $a[1]->bytesPerSecond);
            [$fastest, $slowest] = [$group[0], $group[count($group) - 1]];
            if ($fastest[1]->over($slowest[1]) <= self::APART) {
                continue;
            }
            $figures = [
                'way' => $way,
                'fast' => $fastest[1],
                'slow' => $slowest[1],
                'fast-run' => $fastest[0]->source->name,
                'slow-run' => $slowest[0]->source->name,
            ];
            $stand = self::standing($group);
            if ($stand === null) {
                $reasons[] = Reason::of(
                    ReasonId::RepeatDiffers,
                    Topic::Repeat,
                    $figures,
                    "{$fastest[0]->describe()}; {$slowest[0]->describe()}",
                );

                continue;
            }
            [$since, $rate, $names] = $stand;
            $newest[$way][] = [$since, $rate];
            foreach ($group as [$speed, $median]) {
                if ($speed->source->isBefore($since) && self::areApart($median, $rate)) {
                    $overtaken["{$way} {$speed->source->name}"] = true;
                }
            }
            $reasons[] = Reason::of(
                ReasonId::RepeatNewestStand,
                Topic::Repeat,
                [...$figures, 'now' => $rate, 'newest' => $names],
                "{$fastest[0]->describe()}; {$slowest[0]->describe()}",
            );
        }

        return new self($reasons, $newest, $overtaken);
    }

    /** Whether a speed run still counts for a way. */
    public function counts(SpeedEvidence $speed, string $way, Rate $figure): bool
    {
        return ! isset($this->overtaken["{$way} {$speed->source->name}"]) && $this->stands($speed->source, $way, $figure);
    }

    /** Whether a figure still counts: not where the card has become far slower since, by its two newest runs. */
    public function stands(Source $source, string $way, Rate $figure): bool
    {
        foreach ($this->newest[$way] ?? [] as [$since, $rate]) {
            if ($source->isBefore($since) && $figure->over($rate) > self::APART) {
                return false;
            }
        }

        return true;
    }

    /**
     * Runs of one region and way, over one chain or over chains that could all show what the label claims. A look is none: it convicts
     * nobody.
     *
     * @return array<string, non-empty-list<array{SpeedEvidence, Rate}>> with their medians
     */
    private static function alike(Evidence $evidence): array
    {
        $groups = [];
        foreach ($evidence->speeds as $speed) {
            if (! $speed->chain->isNamed()) {
                continue;
            }
            $reading = $evidence->reading($speed);
            foreach ($reading->ways() as $way => $one) {
                if (! $one->isStruck() && $speed->settles(Way::from($way))) {
                    $could = $one->claim !== null && $reading->blame(Way::from($way))->couldShow($one->claim, $one->median());
                    $chain = $could ? 'able' : self::chain($speed->chain);
                    $groups["{$way} {$chain} {$speed->record->region->count} {$speed->record->from->count}"][] = [$speed, $one->median()];
                }
            }
        }

        return $groups;
    }

    private static function chain(Chain $chain): string
    {
        return implode('|', [
            $chain->reader ?? '',
            $chain->host->name ?? '',
            ...array_map(fn (Bus $bus): string => $bus->value, $chain->slot),
        ]);
    }

    /**
     * @param  non-empty-list<array{SpeedEvidence, Rate}>  $group
     * @return array{string, Rate, string}|null since when, at which speed, in which runs the newest agree; null where they do
     * not, or nobody knows which are the newest
     */
    private static function standing(array $group): ?array
    {
        $dates = [];
        foreach ($group as [$speed]) {
            if ($speed->source->on === null) {
                return null;
            }
            $dates[] = $speed->source->on;
        }
        rsort($dates);
        $since = $dates[1] ?? $dates[0];
        $newest = array_values(array_filter($group, fn (array $one): bool => ! $one[0]->source->isBefore($since)));
        $rates = array_map(fn (array $one): float => $one[1]->bytesPerSecond, $newest);
        if ($rates === [] || max($rates) > self::AGREE * min($rates) + 1e-6) {
            return null;
        }
        $names = array_map(fn (array $one): string => $one[0]->source->name, $newest);
        sort($names, SORT_NATURAL);

        return [$since, Rate::bytesPerSecond(max($rates)), implode(' and ', $names)];
    }

    private static function areApart(Rate $a, Rate $b): bool
    {
        return max($a->over($b), $b->over($a)) > self::APART;
    }

    /** @return list<Reason> one for each run whose reading is far under its writing, on a chain that carries more */
    private static function readUnderWrite(Evidence $evidence): array
    {
        $reasons = [];
        foreach ($evidence->speeds as $speed) {
            $reading = $speed->settles(Way::Write) && $speed->settles(Way::Read) ? $evidence->reading($speed) : null;
            if ($reading === null) {
                continue; // a look convicts nobody
            }
            [$write, $read] = [$reading->write, $reading->read];
            if ($write instanceof WayReading && $read instanceof WayReading && ! $write->isStruck() && ! $read->isStruck()) {
                $reasons[] = self::farUnder($speed->chain, $write->median(), $read->median(), $speed->describe());
            }
        }
        foreach ($evidence->proofs as $proof) {
            [$write, $read] = [$proof->longWrite() === null ? null : $proof->record->write->rate(), $proof->readRate()];
            $isLegible = $proof->record->forgot && $proof->record->extent->shown !== null && $proof->record->isWhole();
            if ($write !== null && $read !== null && $isLegible) {
                $reasons[] = self::farUnder($proof->chain, $write, $read, $proof->describe());
            }
        }

        return array_values(array_filter($reasons, fn (?Reason $one): bool => $one !== null));
    }

    private static function farUnder(Chain $chain, Rate $write, Rate $read, string $evidence): ?Reason
    {
        // What came in over the chain could have gone out over it.
        return ! $chain->isNamed() || $chain->isCamera || $read->over($write) >= self::FAR_UNDER
            ? null
            : Reason::of(ReasonId::ReadFarUnderWrite, Topic::Repeat, ['write' => $write, 'read' => $read], $evidence);
    }
}
