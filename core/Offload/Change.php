<?php

declare(strict_types=1);

namespace Tally\Offload;

/** What could be different about an offload. */
enum Change: string
{
    case FasterCard = 'faster-card';
    case FasterDrive = 'faster-drive';
    case SecondReader = 'second-reader';
    case FasterUplink = 'faster-uplink';
    case FasterPort = 'faster-port';
    case SecondController = 'second-controller';
    case MorePorts = 'more-ports';
    case MoreHands = 'more-hands';
    case NoReadBack = 'no-read-back';
    case OneCopyLess = 'one-copy-less';
    case NoPreviews = 'no-previews';

    /** Whether it is bought, and can be worth its price; the others are done otherwise, and cost what they cost in safety. */
    public function isBought(): bool
    {
        return ! in_array($this, [self::NoReadBack, self::OneCopyLess, self::NoPreviews], true);
    }

    /** @param  string  $of  the piece of gear that it is about, where it is about one */
    public function words(string $of): string
    {
        return match ($this) {
            self::FasterCard => "A card twice as fast in place of {$of}",
            self::FasterDrive => "A drive twice as fast in place of {$of}",
            self::SecondReader => "A second reader like {$of}",
            self::FasterUplink => "The next faster link and cable for {$of}",
            self::FasterPort => "The next faster kind of port in place of {$of}",
            self::SecondController => "Twice the controller behind {$of}",
            self::MorePorts => "Two more 5 Gb/s ports at {$of}, on a controller of their own",
            self::MoreHands => 'One more pair of hands',
            self::NoReadBack => 'No read-back (then no copy is verified, and no card may be cleared)',
            self::OneCopyLess => 'One copy less (a card may be cleared only after two)',
            self::NoPreviews => 'No previews while importing',
        };
    }
}
