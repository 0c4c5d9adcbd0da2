<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Buying\Price;
use Tally\Buying\Quote;
use Tally\Buying\Tier;
use Tally\Label\Line\LabelReader;
use Tally\Value\Key;
use Tally\Value\WrongField;

/** A price that was seen for such a card. */
final readonly class WrittenQuote
{
    public Quote $quote;

    /** @throws WrongField */
    public function __construct(#[Key('label')] string $line, Price $price)
    {
        $label =
            LabelReader::read($line)->label() ??
            throw new WrongField('label', 'form and capacity must be in it, such as “128GB SDXC I V30”.');
        $this->quote = new Quote($label->form, Tier::of($label), $label->capacity, $price);
    }
}
