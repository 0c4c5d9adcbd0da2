<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\CaseFile\CardFacts;
use Tally\Shoot\Ability;
use Tally\Shoot\FitCard;
use Tally\Value\ByHand;
use Tally\Value\Inline;

/** A card that is asked about: its tag, and what is known of it as a case has it. */
#[ByHand]
final readonly class WrittenCard
{
    public function __construct(public string $tag, #[Inline] private CardFacts $facts) {}

    public function card(): FitCard
    {
        return new FitCard($this->tag, Ability::of($this->facts->evidence()));
    }
}
