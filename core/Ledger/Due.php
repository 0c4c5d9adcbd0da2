<?php

declare(strict_types=1);

namespace Tally\Ledger;

use DateTimeImmutable;

/** That a card is tested again from a day on, or has served, and why. */
final readonly class Due
{
    private function __construct(public DueTest $test, public DateTimeImmutable $on, public string $why) {}

    /** @return list<self> by each rule, the earliest first; a card that was never proven whole is not tested *again* */
    public static function of(CardPast $past, DueRules $rules): array
    {
        $due = [...self::served($past, $rules), ...self::tests($past, $rules)];
        usort($due, fn (self $a, self $b): int => [$a->on, $a->test === DueTest::Measure] <=> [$b->on, $b->test === DueTest::Measure]);

        return $due;
    }

    /** @return list<self> that it has served */
    private static function served(CardPast $past, DueRules $rules): array
    {
        $due = [];
        if ($past->bought !== null && $rules->retireYears > 0) {
            $years = $rules->retireYears === 1 ? '1 year' : "{$rules->retireYears} years";
            $since = $past->bought->format('j M Y');
            $on = self::later($past->bought, 12 * $rules->retireYears);
            $due[] = new self(DueTest::Retire, $on, "in the house since {$since}, for {$years}");
        }
        if ($past->worn !== null) {
            $due[] = new self(DueTest::Retire, $past->worn, "written {$rules->retireFills} times over");
        }

        return $due;
    }

    /** @return list<self> */
    private static function tests(CardPast $past, DueRules $rules): array
    {
        if ($past->proven === null) {
            return [];
        }
        $months = fn (int $count): string => $count === 1 ? '1 month' : "{$count} months";
        $due = [
            new self(
                DueTest::Prove,
                self::later($past->proven, $rules->proveMonths),
                "proven whole {$past->proven->format('j M Y')}, again after {$months($rules->proveMonths)}",
            ),
        ];
        if ($past->measured !== null) {
            $due[] = new self(
                DueTest::Measure,
                self::later($past->measured, $rules->measureMonths),
                "measured {$past->measured->format('j M Y')}, again after {$months($rules->measureMonths)}",
            );
        }
        if ($past->filled !== null) {
            $why = "{$past->written?->decimal()} written since, more than {$rules->fills} times over";
            $due[] = new self(DueTest::Prove, $past->filled, $why);
        }
        if ($past->incident !== null && $rules->afterIncident && $past->incident->at > $past->proven) {
            $due[] = new self(
                DueTest::Prove,
                $past->incident->at,
                "{$past->incident->kind->label()} on {$past->incident->at->format('j M Y')}",
            );
        }
        if ($past->shoot !== null && self::later($past->proven, $rules->shootMonths) < $past->shoot->begins) {
            $due[] = new self(
                DueTest::Prove,
                $past->shoot->begins->modify("-{$rules->shootDays} days"),
                "goes along on {$past->shoot->name}, {$past->shoot->begins->format('j M Y')}",
            );
        }

        return $due;
    }

    /** The same day of a later month, or its last day where it has no such day. */
    private static function later(DateTimeImmutable $from, int $months): DateTimeImmutable
    {
        $first = $from->modify("first day of +{$months} months");
        $day = min((int) $from->format('j'), (int) $first->format('t'));

        return $first->setDate((int) $first->format('Y'), (int) $first->format('n'), $day);
    }
}
