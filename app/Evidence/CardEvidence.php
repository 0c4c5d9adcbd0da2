<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Card;
use App\Models\Run;
use App\Runs\ChainRecord;
use App\Runs\ProofRecord;
use App\Runs\RunKind;
use App\Runs\SpeedRecord;
use Illuminate\Support\Collection;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\SpeedEvidence;
use Tally\Verdict\Verdict;

/** Gathers what is known of a card, and keeps its verdict up to date. */
final readonly class CardEvidence
{
    /** @param  Collection<int, Run>  $runs  of the card, in order */
    public static function of(Card $card, Collection $runs): Evidence
    {
        $label = $card->label();
        $speeds = [];
        $proofs = [];
        foreach ($runs as $run) {
            if ($run->result === null || $run->state->isGoing()) {
                continue;
            }
            $path = ChainRecord::unpack($run->chain);
            if ($run->kind === RunKind::Speed) {
                $speeds[] = new SpeedEvidence($run->name(), SpeedRecord::unpack($run->result)->read($path, $label));
            } else {
                $proofs[] = ProofRecord::unpack($run->result)->evidence($run->name(), $path);
            }
        }

        return new Evidence($label, $speeds, $proofs);
    }

    /** Derives the verdict anew and keeps it for the tray. */
    public static function refresh(Card $card): Verdict
    {
        $verdict = Judge::judge(self::of($card, self::runs($card)));
        $card->forceFill(['verdict' => $verdict->kind, 'next_step' => $verdict->next])->save();

        return $verdict;
    }

    /** @return Collection<int, Run> finished or not, in order */
    public static function runs(Card $card): Collection
    {
        return $card->runs()->with('slot')->orderBy('id')->get()->toBase();
    }
}
