<?php

declare(strict_types=1);

namespace Tally\Verdict;

use Tally\Evidence\Evidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Measured\Attribution;
use Tally\Measured\Way;
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
        $figures = $this->figures(Way::from($topic->value));
        usort($figures, fn (Figure $a, Figure $b): int => $b->rate->bytesPerSecond <=> $a->rate->bytesPerSecond);
        $trusted = array_values(array_filter($figures, fn (Figure $one): bool => ! $one->isUneven));
        $settled = array_values(array_filter($trusted, fn (Figure $one): bool => $one->look === null));
        $best = $trusted === [] ? null : $trusted[0];
        // A card did what a look saw it do; what it did not do there is settled by more than a look.
        $shows = fn (float $share): bool => $best !== null && $best->rate->over($claim) >= $share - 1e-9;
        $by = $this->evidence->house->by;
        if ($trusted !== [] && ($trusted[0]->look === null || $shows($by->near) || ($shows($by->short) && $settled !== []))) {
            return $this->against($topic, $claim, $trusted);
        }
        if ($settled !== []) {
            return $this->against($topic, $claim, $settled);
        }
        $best = $figures[0] ?? null;
        if ($best === null) {
            return Reason::of(ReasonId::ClaimNotMeasured, $topic, ['claim' => $claim], 'a speed run would settle it');
        }
        if ($best->look !== null) {
            // Where the chain may have held it, it is not judged here, look or not.
            return $best->isUneven || $best->blame->isTheCards($best->rate, $claim)
                ? $this->look($topic, $claim, $best, $best->look)
                : $this->against($topic, $claim, [$best]);
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

    private function look(Topic $topic, Rate $claim, Figure $figure, SpeedEvidence $look): Reason
    {
        return Reason::of(
            ReasonId::ClaimSingleLook,
            $topic,
            [
                'measured' => $figure->rate,
                'claim' => $claim,
                'readings' => count($topic === Topic::Write ? $look->record->writes : $look->record->reads),
                'region' => $look->record->region,
            ],
            $figure->evidence,
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
            Standing::NotJudgedHere => [
                'why' => $best->blame->excuse($best->rate),
                'where' => Elsewhere::for($claim, $this->evidence->house),
            ],
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

    /** @return list<Figure> all that may enter a verdict */
    private function figures(Way $way): array
    {
        $label = $this->evidence->label;
        $figures = [];
        foreach ($this->evidence->speeds as $speed) {
            $reading = $this->evidence->reading($speed);
            $one = $reading->ways()[$way->value] ?? null;
            if ($one !== null && ! $one->isStruck() && $this->repeats->counts($speed, $way->value, $one->median())) {
                $figures[] = new Figure(
                    $one->isTrusted() ? $one->median() : $one->most(),
                    ! $one->isTrusted(),
                    $reading->blame($way),
                    $speed->describe(),
                    look: $speed->settles($way) ? null : $speed,
                );
            }
        }
        $passes = $way === Way::Write ? LongFigures::written($this->evidence) : LongFigures::readBack($this->evidence);
        foreach ($passes as [$rate, $source, $chain, $evidence]) {
            if (! $chain->mostOnPaper($label)->nominal->isBelow($rate) && $this->repeats->stands($source, $way->value, $rate)) {
                $blame = new Attribution($chain, $label, $this->evidence->house->reached(...), $this->evidence->house->by, way: $way);
                $figures[] = new Figure($rate, false, $blame, $evidence);
            }
        }

        return $figures;
    }
}
