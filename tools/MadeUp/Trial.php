<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Tally\Evidence\Evidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\Source;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Measured\Chain;
use Tally\Probe\Proof\FullProof;
use Tally\Probe\Proof\ProofResult;
use Tally\Probe\Screen\QuickScreen;
use Tally\Reading\Condition;
use Tally\Reading\Coverage;
use Tally\Record\Extent;
use Tally\Record\ProofRecord;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;

/** A made-up card put through both ways of proving, and whether each told the truth. */
final readonly class Trial
{
    private function __construct(public Specimen $specimen, public ProofResult $result, public VerdictKind $verdict) {}

    public static function proof(Specimen $specimen, bool $lookBack): self
    {
        $clock = new SimulatedClock();

        return self::judged($specimen, FullProof::on(new SimulatedDevice($specimen->medium, $clock), $clock, lookBack: $lookBack));
    }

    public static function screen(Specimen $specimen, int $points): self
    {
        $clock = new SimulatedClock();

        return self::judged($specimen, QuickScreen::on(new SimulatedDevice($specimen->medium, $clock), $clock, points: $points));
    }

    /** Whether the kind was named right. A screen that met nothing has not named anything. */
    public function isNamed(): bool
    {
        return $this->result->diagnosis->condition === $this->specimen->truth;
    }

    public function isExact(): bool
    {
        $diagnosis = $this->result->diagnosis;

        return $this->isNamed() &&
            $diagnosis->wrap === $this->specimen->wrap &&
            ($this->specimen->truth === Condition::Faulty || $diagnosis->capacity->count === $this->specimen->capacity->count);
    }

    public function isMissed(): bool
    {
        return $this->specimen->truth !== Condition::Whole && $this->result->diagnosis->condition === Condition::Whole;
    }

    /** Whether a verdict does wrong to the card, or to whoever trusts it. */
    public function isWrongful(): bool
    {
        $honest = in_array($this->specimen->truth, [Condition::Whole, Condition::Faulty, Condition::Refuses], true);

        return ($honest && $this->verdict === VerdictKind::Sham) ||
            ($this->specimen->truth !== Condition::Whole && $this->verdict === VerdictKind::Sound);
    }

    /** The chance that a screen of so many places would miss this card, as it is stated; nothing for one that is whole. */
    public function statedMiss(int $points): float
    {
        return $this->specimen->truth === Condition::Whole ? 0.0 : 1 - (new Coverage($points))->catches($this->goodShare());
    }

    /** @return float the share of the card that would come back right */
    private function goodShare(): float
    {
        $medium = $this->specimen->medium;
        if ($this->specimen->truth !== Condition::Faulty) {
            return $this->specimen->capacity->shareOf($medium->shown);
        }
        $clock = new SimulatedClock();
        $whole = FullProof::on(new SimulatedDevice($medium, $clock), $clock, lookBack: false);

        return 1 - $whole->core->bad() / $medium->shown->count;
    }

    private static function judged(Specimen $specimen, ProofResult $result): self
    {
        $record = ProofRecord::of($result, new Extent($specimen->medium->shown, false));
        $evidence = new Evidence(
            new Label(Form::Ssd, $specimen->medium->shown),
            proofs: [new ProofEvidence(new Source('this run'), Chain::unnamed(), $record)],
        );

        return new self($specimen, $result, Judge::judge($evidence)->kind);
    }
}
