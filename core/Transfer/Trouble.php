<?php

declare(strict_types=1);

namespace Tally\Transfer;

use JsonSerializable;

/** What was wrong with one file. */
final readonly class Trouble implements JsonSerializable
{
    /**
     * @param  string  $path  from the folder of the card
     * @param  string|null  $drive  whose copy it was; null where it is what was read from
     * @param  string  $why  what the host said, or where it stands now
     */
    public function __construct(public TroubleKind $kind, public string $path, public ?string $drive, public string $why = '') {}

    public function sentence(): string
    {
        $name = FilePath::shown($this->path);
        $on = $this->drive ?? 'the drive';

        return match ($this->kind) {
            TroubleKind::Unreadable => "{$name} could not be read: {$this->why}. Try this one alone, gently.",
            TroubleKind::Changed => "{$name} changed while it was copied: something still writes to it. Stop that, and go on.",
            TroubleKind::SourceDiffers => "{$name} is not what it was when its first copy was made: {$this->why}.",
            TroubleKind::SourceUnsteady => "{$name} reads differently each time: the card, its reader or its cable gives wrong bytes. ".
                'Trust neither reading; keep the card as it is.',
            TroubleKind::CopyDiffers => "{$name} on {$on} is not what was written: twice read, twice the same wrong bytes{$this->why}. ".
                'The card still reads as it did, so it is the drive or the way to it.',
            TroubleKind::CopyUnsteady => "{$name} on {$on} read wrong once and right the second time: the drive, its reader or its ".
                'cable gives wrong bytes now and then.',
            TroubleKind::CopyUnreadable => "{$name} on {$on} cannot be read back: {$this->why}.",
        };
    }

    /** @return array<string, string|null> */
    public function jsonSerialize(): array
    {
        return [
            'what' => $this->kind->value,
            'path' => FilePath::shown($this->path),
            'drive' => $this->drive,
            'sentence' => $this->sentence(),
        ];
    }
}
