<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Quantity\Rate;
use Tally\Reading\Standing;
use Tally\Reading\WayReading;

/** What the speed runs (and the write pass of a proof) say about the floors and claims of a label. */
final readonly class SpeedJudge
{
    /** @return list<Reason> */
    public static function judge(Evidence $evidence): array
    {
        $label = $evidence->label;
        $write = fn (SpeedEvidence $run): ?WayReading => $run->reading->write;
        $read = fn (SpeedEvidence $run): ?WayReading => $run->reading->read;

        return array_values(array_filter([
            self::floor($evidence),
            ...self::floorInProofs($evidence),
            self::claim('Writes', self::telling($evidence->speeds, $write, $label->write), $label->write, $evidence),
            self::claim('Reads', self::telling($evidence->speeds, $read, $label->readClaim()), $label->readClaim(), $evidence),
            ...self::wrong($evidence->speeds),
        ]));
    }

    /** Whether a promise of the label is still unmeasured. A claim that was measured where it cannot be shown does not count. */
    public static function leavesOpen(Evidence $evidence): bool
    {
        $label = $evidence->label;
        $write = self::telling($evidence->speeds, fn (SpeedEvidence $run): ?WayReading => $run->reading->write, $label->write);
        $read = self::telling($evidence->speeds, fn (SpeedEvidence $run): ?WayReading => $run->reading->read, $label->readClaim());

        return self::floor($evidence)?->bearing === VerdictKind::Unproven
            || ($label->write !== null && $write === null)
            || ($label->readClaim() !== null && $read === null);
    }

    /**
     * The trusted run that tells most about a promise. The fastest, since a card can do at least that and slower ones may
     * show a slower chain; but where it falls short on a chain that could not show the promise, the fastest on one that could.
     *
     * @param  list<SpeedEvidence>  $runs
     * @param  callable(SpeedEvidence): ?WayReading  $way
     * @return array{SpeedEvidence, WayReading}|null
     */
    private static function telling(array $runs, callable $way, ?Rate $promise): ?array
    {
        $best = self::fastest($runs, $way);
        if ($best === null || $promise === null || ! $best[1]->median()->isBelow($promise) || $best[0]->reading->path->couldShow($promise)) {
            return $best;
        }

        // From 90 % on it was as good as reached, wherever that was.
        return $best[1]->median()->over($promise) >= 0.9 ? $best
            : self::fastest(array_values(array_filter($runs, fn (SpeedEvidence $run): bool => $run->reading->path->couldShow($promise))), $way) ?? $best;
    }

    /**
     * @param  list<SpeedEvidence>  $runs
     * @param  callable(SpeedEvidence): ?WayReading  $way
     * @return array{SpeedEvidence, WayReading}|null
     */
    private static function fastest(array $runs, callable $way): ?array
    {
        $best = null;
        foreach ($runs as $run) {
            $reading = $way($run);
            if ($reading !== null && $reading->isTrusted() && ($best === null || $best[1]->median()->isBelow($reading->median()))) {
                $best = [$run, $reading];
            }
        }

        return $best;
    }

    private static function floor(Evidence $evidence): ?Reason
    {
        $mark = $evidence->label->topMark();
        if ($mark === null) {
            return null;
        }
        $floor = $mark->floor();
        $write = self::telling($evidence->speeds, fn (SpeedEvidence $run): ?WayReading => $run->reading->write, $floor);
        if ($write === null) {
            return new Reason(VerdictKind::Unproven, "Write speed not measured; {$mark->value} promises {$floor->print()}.", '', 'a speed run would settle it');
        }
        [$run, $reading] = $write;
        $median = $reading->median();
        $proxy = $run->source().'; a proxy for the class, not its compliance test';

        return match (true) {
            ! $median->isBelow($floor) => new Reason(VerdictKind::Sound, "Writes {$median->print()};", "{$mark->value} asks for {$floor->print()}.", $proxy),
            ! $run->reading->path->couldShow($floor) => self::notJudgedHere("Write floor of {$mark->value}", $run, $floor, $evidence),
            default => new Reason(VerdictKind::Slow, "Writes {$median->print()};", "{$mark->value} promises {$floor->print()}.", $proxy),
        };
    }

    /** @return list<Reason> only what speaks against the card: a mean over the whole card hides short falls */
    private static function floorInProofs(Evidence $evidence): array
    {
        $floor = $evidence->label->topMark()?->floor();
        $reasons = [];
        foreach ($evidence->proofs as $proof) {
            if ($floor !== null && $proof->write !== null && $proof->write->isBelow($floor) && $proof->path->couldShow($floor)) {
                $reasons[] = new Reason(VerdictKind::Slow, "Writes {$proof->write->print()} over the whole card;",
                    "{$evidence->label->topMark()->value} promises {$floor->print()}.", $proof->source());
            }
        }

        return $reasons;
    }

    /** @param  array{SpeedEvidence, WayReading}|null  $way */
    private static function claim(string $verb, ?array $way, ?Rate $claim, Evidence $evidence): ?Reason
    {
        if ($claim === null) {
            return null;
        }
        if ($way === null) {
            return new Reason(VerdictKind::Unproven, "Label claims {$claim->print()};", strtolower($verb === 'Reads' ? 'reading' : 'writing').' was not measured.', 'a speed run would settle it');
        }
        [$run, $reading] = $way;
        $standing = $reading->standing;
        if ($standing === null || $standing === Standing::NotJudgedHere) {
            return self::notJudgedHere(($verb === 'Reads' ? 'Read' : 'Write')." {$reading->median()->print()} of {$claim->print()}", $run, $claim, $evidence);
        }
        $percent = round(100 * $reading->median()->over($claim));

        return new Reason(
            $standing === Standing::WellShort ? VerdictKind::Slow : VerdictKind::Sound,
            "{$verb} {$reading->median()->print()}:",
            "{$percent} % of the label’s {$claim->print()}, {$standing->words()}.",
            $run->source(),
        );
    }

    private static function notJudgedHere(string $what, SpeedEvidence $run, Rate $promise, Evidence $evidence): Reason
    {
        return new Reason(VerdictKind::Unproven, "{$what}: not judged here.", trim("{$run->reading->path->excuse()} {$evidence->whereItCouldShow($promise)}"), $run->source());
    }

    /**
     * @param  list<SpeedEvidence>  $runs
     * @return list<Reason>
     */
    private static function wrong(array $runs): array
    {
        $reasons = [];
        foreach ($runs as $run) {
            if ($run->reading->wrong > 0) {
                $reasons[] = new Reason(VerdictKind::Shaky, 'Data came back changed', 'in a speed run.', $run->source());
            }
        }

        return $reasons;
    }
}
