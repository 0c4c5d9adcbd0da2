<?php

declare(strict_types=1);

namespace Tally\Probe\Screen;

use Tally\Quantity\Span;
use Tally\Reading\Nature;

/** Which of the two ways of proving suits a card now, and why. */
final readonly class Advice
{
    /** What is done in this time is better done in full. Seconds. */
    private const SHORT = 3600.0;

    private function __construct(public bool $screenFirst, public string $reason) {}

    /**
     * @param  Span  $proof  how long a full proof will take
     * @param  Nature|null  $known  what the proofs so far say of it
     * @param  bool  $isScreened  whether a screen was passed already
     * @param  bool  $isWhole  whether what those proofs covered is all of it
     * @param  bool  $isAskedAgain  whether the verdict asks for another proof of it
     */
    public static function of(
        Span $proof,
        Span $screen,
        ?Nature $known,
        bool $isScreened,
        bool $isWhole = false,
        bool $isAskedAgain = false,
    ): self {
        return match (true) {
            $isAskedAgain => new self(
                false,
                'It ended in errors. Prove it again in another reader: where it ends then tells card from reader.',
            ),
            $known === Nature::Fake => new self(true, 'It kept less than it shows. Another run only helps if you doubt that one.'),
            $known === Nature::Faulty => new self(true, 'It gave back something wrong. Another run only helps if you doubt that one.'),
            $known === Nature::Whole && $isWhole => new self(
                true,
                'All of it was proven. A screen is enough to look whether that has changed.',
            ),
            $isScreened => new self(
                false,
                'The screen was passed. Only a full proof says that every block holds.',
            ),
            $proof->seconds <= self::SHORT => new self(
                false,
                "In {$proof->print()} everything is known, and a screen would leave most of it open.",
            ),
            default => new self(
                true,
                "A full proof takes {$proof->print()}. Screen it first, in {$screen->print()}: that catches the usual fakes. Then ".
                'prove it in full when it can be left alone.',
            ),
        };
    }
}
