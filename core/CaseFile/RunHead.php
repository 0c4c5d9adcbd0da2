<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Evidence\Source;
use Tally\Label\Form;
use Tally\Measured\Chain;
use Tally\Measured\Instrument;
use Tally\Record\RunSource;
use Tally\Value\WrongField;

/** What is said of every run of a case: when, on which chain, and whether somebody typed it. */
final readonly class RunHead
{
    /**
     * @param  string|null  $on  the day or the moment it ended, where the order matters
     * @param  WrittenChain|null  $chain  null where nobody named it: then no shortfall is the card's
     *
     * @throws WrongField
     */
    public function __construct(
        private ?string $name = null,
        private ?string $on = null,
        private string $source = 'device',
        private ?WrittenChain $chain = null,
    ) {
        if (! in_array($source, ['device', 'typed'], true)) {
            throw new WrongField('source', '“device” or “typed” would do.');
        }
        if ($on !== null && preg_match('/^\d{4}-\d{2}-\d{2}(?:[T ]\d{2}:\d{2}(?::\d{2})?(?:\.\d+)?Z?)?$/D', $on) !== 1) {
            throw new WrongField('on', 'write the day as 2026-11-01, or the moment as 2026-11-01T18:30:00Z.');
        }
    }

    public function source(string $name): Source
    {
        return new Source($this->name ?? $name, $this->on, $this->isTyped() ? RunSource::Typed : RunSource::Device, $this->isTyped());
    }

    /**
     * @param  Form  $form  of the card
     * @param  Instrument|null  $bench  that measured; what somebody typed was measured by another
     */
    public function chain(Form $form, ?Instrument $bench): Chain
    {
        return ($this->chain?->chain($form) ?? Chain::unnamed())->at($this->isTyped() ? null : $bench);
    }

    private function isTyped(): bool
    {
        return $this->source === 'typed';
    }
}
