<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCopy;
use Tally\Offload\Plan;
use Tally\Transfer\Trouble;
use Tally\Transfer\TroubleKind;

/** A made-up drive that once gives back something else than was written, so that somebody sees what happens then. */
final readonly class MadeUpFault
{
    private const SIGN = 'fault';

    /** So much of the copy read back right before. */
    private const AT = 0.6;

    /** @return array<string, float> among what is true of made-up gear: the last copy of the card that is put in first */
    public static function in(Plan $plan): array
    {
        $card = $plan->decision->cards[0] ?? null;

        return $card === null ? [] : [self::key($card->tag, $card->drives[count($card->drives) - 1]) => 1.0];
    }

    /** @param  array<string, float>  $truth */
    public static function strikes(array $truth, OffloadCopy $copy): bool
    {
        return isset($truth[self::key($copy->offloadCard->card->tag, $copy->drive)]);
    }

    public static function strike(OffloadCopy $copy): void
    {
        $bytes = $copy->offloadCard->bytes;
        $trouble = new Trouble(TroubleKind::CopyDiffers, 'DCIM/101/clip-0042.mov', $copy->drive);
        $copy->forceFill([
            'state' => CopyState::Failed,
            'verified' => (int) (self::AT * $bytes),
            'message' => $trouble->sentence(),
            'troubles' => [$trouble],
        ]);
        DriveFindings::file($copy, [$trouble]);
    }

    /**
     * The second time it is right.
     *
     * @param  array<string, float>  $truth
     * @return array<string, float>
     */
    public static function healed(array $truth): array
    {
        return array_filter($truth, fn (string $key): bool => ! str_starts_with($key, self::SIGN."\n"), ARRAY_FILTER_USE_KEY);
    }

    private static function key(string $tag, string $drive): string
    {
        return self::SIGN."\n{$tag}\n{$drive}";
    }
}
