<?php

declare(strict_types=1);

namespace App\Offload;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Illuminate\Support\Collection;
use Tally\Chain\Ceiling;
use Tally\Label\Bus;
use Tally\Reading\Standing;

/** A card as a place where data comes from: how fast it reads, by measurement or else by its label. */
final readonly class CardSource
{
    /**
     * @param  list<Bus>  $buses  the buses it may have
     * @param  Ceiling|null  $card  how fast the card itself reads, measured or claimed; null when nothing is known
     * @param  array<string, Ceiling>  $byReader  how fast it read in a certain reader: what was measured there wins
     * @param  array<string, array{float, float}>  $spreads  reader, or nothing for the card itself → least and most of what was measured;
     *                                                      bytes a second
     */
    private function __construct(public array $buses, public ?Ceiling $card, public array $byReader, public array $spreads) {}

    /**
     * What was measured in a reader wins there. Elsewhere the best trusted run tells the card's own speed, unless that run
     * was held back by its chain: then the label's claim is all there is.
     *
     * @param  Collection<int, Run>  $runs
     */
    public static function of(Card $card, Collection $runs): self
    {
        $label = $card->label();
        $byReader = $spreads = [];
        $best = null;
        foreach (CardEvidence::speeds($runs) as $speed) {
            $reading = $speed->reading($label);
            $read = $reading->read;
            if ($read === null || ! $read->isTrusted()) {
                continue;
            }
            $ceiling = Ceiling::measured($read->median(), "{$speed->source->name}, {$speed->record->covers()}");
            $spread = [$read->summary->least, $read->summary->most];
            if ($speed->chain->reader !== null) {
                $byReader[$speed->chain->reader] = $ceiling;
                $spreads[$speed->chain->reader] = $spread;
            }
            $usable = $speed->chain->fastest($label)->usable();
            $heldBack = $read->standing === Standing::NotJudgedHere || $read->median()->over($usable) > 0.9;
            if (! $heldBack && ($best === null || $best->usable()->isBelow($read->median()))) {
                $best = $ceiling;
                $spreads[''] = $spread;
            }
        }
        $claim = $label->readClaim();

        return new self(
            $label->possibleBuses(),
            $best ?? ($claim === null ? self::slowest($byReader) : Ceiling::claimed($claim, 'the label’s claim, not measured')),
            byReader: $byReader,
            spreads: $spreads,
        );
    }

    /** @param  array<string, Ceiling>  $ceilings */
    private static function slowest(array $ceilings): ?Ceiling
    {
        usort($ceilings, fn (Ceiling $a, Ceiling $b): int => $a->usable()->bytesPerSecond <=> $b->usable()->bytesPerSecond);

        return $ceilings[0] ?? null;
    }
}
