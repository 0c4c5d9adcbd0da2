<?php

declare(strict_types=1);

namespace Tests\Support;

use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Record\ProofRecord;

/** Holds what is said of a proof against its figures. Handbook § 6 rules 12 and 14. */
trait HoldsClaims
{
    /** Closer than this to what was found, a size or a speed is meant to be it. */
    private const MEANT = 0.004;

    private const SIZE = '(\d[\d.\x{202F}\x{00A0}]* ?[kMGT]?B)';

    /** A size, and that it was read back, or written and came back. */
    private const CLAIM = '/'.self::SIZE.'(?: of [^,]*)?(?: was)? (?:written and )?(?:read|came) back(?! (?:wrong|otherwise))/u';

    /**
     * “Read back” counts what came back as written, never what answered with an error; and what came back is said with what did not.
     *
     * @param  list<string>  $said
     */
    private static function assertFigures(ProofRecord $record, array $said): void
    {
        foreach ($said as $sentence) {
            if (preg_match(self::CLAIM, $sentence, $much) === 1) {
                $claimed = self::bytes($much[1])->count ?? -1;
                self::assertEqualsWithDelta($record->holds()->count, $claimed, max(1.0, 0.01 * $claimed), $sentence);
                if (! str_contains($sentence, 'came back as written')) {
                    self::assertTrue($record->bad()->isZero(), $sentence);
                }
            }
        }
    }

    /**
     * One figure is printed in one way, wherever it stands.
     *
     * @param  list<string>  $said
     * @param  list<Bytes>  $sizes  what was found
     */
    private static function assertPrintedAlike(array $said, array $sizes): void
    {
        $spelt = array_map(fn (Bytes $size): string => $size->decimal(), $sizes);
        foreach ($said as $sentence) {
            preg_match_all('/'.self::SIZE.'(?!\/s)/u', $sentence, $printed);
            foreach ($printed[1] as $one) {
                $is = self::bytes($one)?->count;
                foreach ($sizes as $size) {
                    if ($is !== null && abs($is - $size->count) < self::MEANT * $size->count) {
                        self::assertContains(self::plain($one), $spelt, $sentence);
                    }
                }
            }
        }
    }

    private static function bytes(string $printed): ?Bytes
    {
        try {
            return Bytes::parse(self::plain($printed));
        } catch (NotAQuantity) {
            return null;
        }
    }

    private static function plain(string $printed): string
    {
        return trim((string) preg_replace('/[\x{202F}\x{00A0}]/u', ' ', $printed));
    }
}
