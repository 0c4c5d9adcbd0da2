<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Measured\Blame;
use Tally\Quantity\Rate;
use Tally\Reading\Standing;

/**
 * What was measured against the “up to” figures of a label. The best trusted figure decides, since a card can do at least
 * that; one that falls short is the card's only on a chain that qualifies. Handbook § 6 rules 3, 7 and 10.
 */
final readonly class ClaimJudge
{
    public function __construct(private Evidence $evidence, private Repeats $repeats) {}

    /** @return list<Reason> a line for each claim that is printed */
    public function judge(): array
    {
        $label = $this->evidence->label;

        return array_values(
            array_filter([
                $label->write === null ? null : $this->claim(Topic::Write, $label->write),
                $label->readClaim() === null ? null : $this->claim(Topic::Read, $label->readClaim()),
            ]),
        );
    }

    private function claim(Topic $topic, Rate $claim): Reason
    {
        $figures = $this->figures($topic->value);
        usort($figures, fn (Figure $a, Figure $b): int => $b->rate->bytesPerSecond <=> $a->rate->bytesPerSecond);
        $trusted = array_values(array_filter($figures, fn (Figure $one): bool => ! $one->isUneven));
        if ($trusted !== []) {
            return $this->against($topic, $claim, $trusted);
        }
        $best = $figures[0] ?? null;
        if ($best === null) {
            return Reason::of(ReasonId::ClaimNotMeasured, $topic, ['claim' => $claim], 'a speed run would settle it');
        }
        // Uneven as they are, if all of them fall well short there is nothing to be uncertain of.
        $isShort = $best->rate->over($claim) < $this->evidence->house->by->short && $best->blame->isTheCards($best->rate, $claim);

        return Reason::of(
            $isShort ? ReasonId::ClaimWellShort : ReasonId::ClaimUneven,
            $topic,
            ['measured' => $best->rate, 'claim' => $claim, ...$isShort ? $best->blame->grounds($best->rate, $claim) : []],
            $best->evidence,
        );
    }

    /** @param  non-empty-list<Figure>  $figures  the best first */
    private function against(Topic $topic, Rate $claim, array $figures): Reason
    {
        $best = $figures[0];
        // A slower figure counts only where its chain could have shown the claim.
        $able = [];
        $standing = Standing::of($best->rate, $claim, function () use (&$able, $figures, $best, $claim): bool {
            $able = array_values(array_filter($figures, fn (Figure $one): bool => $one->blame->couldShow($claim, $one->rate)));

            return $able !== [] || $best->blame->isTheCards($best->rate, $claim);
        }, $this->evidence->house->by);
        $told = $able[0] ?? $best;
        $id = match ($standing) {
            Standing::Near => ReasonId::ClaimNear,
            Standing::Above => ReasonId::ClaimAbove,
            Standing::Under => ReasonId::ClaimUnder,
            Standing::WellShort => ReasonId::ClaimWellShort,
            Standing::NotJudgedHere => ReasonId::ClaimNotJudgedHere,
        };
        $more = match ($standing) {
            Standing::NotJudgedHere => ['why' => $best->blame->excuse(), 'where' => Elsewhere::for($claim, $this->evidence->house)],
            Standing::WellShort => $told->blame->grounds($told->rate, $claim),
            default => [],
        };

        return Reason::of(
            $id,
            $topic,
            ['measured' => $standing === Standing::Under ? $best->rate : $told->rate, 'claim' => $claim, ...$more],
            $told->evidence,
        );
    }

    /** @return list<Figure> all that may enter a verdict, of writing or of reading */
    private function figures(string $way): array
    {
        $label = $this->evidence->label;
        $figures = [];
        foreach ($this->evidence->speeds as $speed) {
            $reading = $speed->reading($label, $this->evidence->house->reached(...), $this->evidence->house->by);
            $one = $reading->ways()[$way] ?? null;
            if ($one !== null && ! $one->isStruck() && $this->repeats->counts($speed, $way, $one->median())) {
                $figures[] = new Figure(
                    $one->isTrusted() ? $one->median() : $one->most(),
                    ! $one->isTrusted(),
                    $reading->blame,
                    $speed->describe(),
                );
            }
        }
        $passes = $way === 'write' ? LongFigures::written($this->evidence) : LongFigures::readBack($this->evidence);
        foreach ($passes as [$rate, $source, $chain, $evidence]) {
            if (! $chain->mostOnPaper($label)->nominal->isBelow($rate) && $this->repeats->stands($source, $way, $rate)) {
                $blame = new Blame($chain, $label, $this->evidence->house->reached(...), $this->evidence->house->by);
                $figures[] = new Figure($rate, false, $blame, $evidence);
            }
        }

        return $figures;
    }
}
