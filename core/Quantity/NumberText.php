<?php

declare(strict_types=1);

namespace Tally\Quantity;

use Brick\Math\BigDecimal;

/**
 * A number with the unit that was typed behind it, as people write both: `95MB/s`, `3,7`, `1 066 x`.
 *
 * The comma is taken for a decimal comma, except where it could as well mark thousands (`1,066`): that is refused.
 */
final readonly class NumberText
{
    private function __construct(public BigDecimal $number, public string $unit, public bool $looksLikeThousands) {}

    /** @return self|null null when the text does not begin with a number */
    public static function read(string $text): ?self
    {
        // All kinds of space that are pasted from labels and data sheets: no-break, thin, narrow no-break.
        $plain = trim((string) preg_replace('/[\s\x{00A0}\x{2009}\x{202F}]+/u', ' ', $text));
        // Only the digits that labels and keyboards have; a pattern for letters of all scripts would take others for them too.
        // A space is a thousands mark only between full groups of three; 20 digits is more than any of our units holds.
        if (preg_match('/^([0-9]{1,3}(?: [0-9]{3})+|[0-9]{1,20})(?:([.,])([0-9]{1,20}))? ?([^\p{N}\s].*)?$/u', $plain, $m) !== 1) {
            return null;
        }
        $fraction = $m[3] ?? '';
        $mark = $m[2] ?? '';
        $whole = str_replace(' ', '', $m[1]);

        return new self(
            BigDecimal::of($whole.($fraction === '' ? '' : '.'.$fraction)),
            trim($m[4] ?? ''),
            $mark === ',' && strlen($fraction) === 3 && $whole !== '0',
        );
    }
}
