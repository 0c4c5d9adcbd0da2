<?php

declare(strict_types=1);

namespace Tally\CaseFile;

use Tally\Chain\Link;
use Tally\Label\Form;
use Tally\Measured\Chain;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** The way of a figure from card to host, as people write it. */
#[ByHand]
final readonly class WrittenChain
{
    private ?Link $host;

    /**
     * @param  string|null  $bus  what the slot of the reader speaks
     * @param  string|null  $link  to the host
     * @param  bool  $camera  used as its own reader
     *
     * @throws WrongField
     */
    public function __construct(
        private ?string $reader = null,
        private ?string $bus = null,
        private ?string $link = null,
        private bool $camera = false,
    ) {
        if ($bus !== null && ! GearNames::isBus($bus)) {
            throw new WrongField(
                'bus',
                'what the slot of the reader speaks, such as UHS-I, UHS-I double rate, UHS-II, SD Express, CFexpress 2.0 B, '.
                    'XQD, CFast 2.0 or UDMA 7, would do.',
            );
        }
        $host = $link === null ? null : GearNames::link($link) ??
            throw new WrongField(
                'link',
                'the link to the host, such as USB 480 Mb/s, USB 5 Gb/s, USB 10 Gb/s, USB 20 Gb/s, USB4 40 Gb/s, Thunderbolt 40 '.
                    'Gb/s or SATA 6 Gb/s, would do.',
            );
        $this->host = $host === null ? null : new Link($host->label(), $host->ceiling());
    }

    /** @param  Form  $form  of the card: which of those buses that go by one name is meant */
    public function chain(Form $form): Chain
    {
        $bus = $this->bus === null ? null : GearNames::bus($this->bus, $form);

        return new Chain($this->reader, $bus === null ? [] : [$bus], $this->host, $this->camera);
    }
}
