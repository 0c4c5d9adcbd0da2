<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Kit\Reader;
use App\Models\Offload\Offload;
use App\Models\When;
use Tally\Offload\Plan;

/**
 * What a real offload showed of the house's own links goes into the books. Only where the plan took the link itself for the limit:
 * of one that a card held back, a slow copy says nothing.
 */
final readonly class WhatLinksGave
{
    /** The plan reckoned with so much of a link's ceiling: then the link was the limit. */
    private const FULL = 0.95;

    public static function note(Offload $offload): void
    {
        $offload->load('cards.copies', 'cards.card');
        $plan = $offload->plan();
        foreach (HowItGoes::of($offload, $plan, now())->less as $less) {
            $ceiling = self::ceiling($plan, $less->thing);
            if ($ceiling === null || $less->reckoned < self::FULL * $ceiling) {
                continue;
            }
            Reader::query()
                ->where('tag', $less->thing)
                ->first()
                ?->forceFill([
                    'measured' => $less->gave,
                    'measured_how' => mb_substr("offload “{$offload->name}”, {$offload->began_at->format(When::DAY)}", 0, 120),
                ])
                ->save();
        }
    }

    private static function ceiling(Plan $plan, string $reader): ?float
    {
        foreach ($plan->question->readers as $one) {
            if ($one->name === $reader) {
                return $one->uplink;
            }
        }

        return null;
    }
}
