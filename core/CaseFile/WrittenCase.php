<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Value\ByHand;
use Tally\Value\Inline;
use Tally\Value\WrongField;

/** A case as it is written down. */
#[ByHand]
final readonly class WrittenCase
{
    /**
     * @param  string  $because  why it is expected to be judged so
     *
     * @throws WrongField
     */
    public function __construct(
        string $format,
        int $version,
        #[Inline]
        private CardFacts $facts,
        private string $name = '',
        private string $because = '',
        private ?Expectation $expect = null,
    ) {
        if ($format !== CaseReader::FORMAT) {
            throw new WrongField('format', '“'.CaseReader::FORMAT.'” would do.');
        }
        if ($version !== CaseReader::VERSION) {
            throw new WrongField('version', 'this program reads version '.CaseReader::VERSION.'.');
        }
    }

    public function case(): CaseOfCard
    {
        return new CaseOfCard($this->name, $this->because, $this->facts->evidence(), $this->expect);
    }
}
