<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Value\ByHand;
use Tally\Value\Format;
use Tally\Value\Inline;

/** A case as it is written down. */
#[ByHand]
#[Format(CaseReader::FORMAT, CaseReader::VERSION)]
final readonly class WrittenCase
{
    /**
     * @param  string  $because  why it is expected to be judged so
     */
    public function __construct(
        #[Inline]
        private CardFacts $facts,
        private string $name = '',
        private string $because = '',
        private ?Expectation $expect = null,
    ) {}

    public function case(): CaseOfCard
    {
        return new CaseOfCard($this->name, $this->because, $this->facts->evidence(), $this->expect);
    }
}
