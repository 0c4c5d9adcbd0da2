<?php

declare(strict_types=1);

namespace Tally\Label;

use LogicException;

/** The shape of a card. */
enum Form: string
{
    case Sd = 'sd';
    case MicroSd = 'microsd';
    case Cf = 'cf';
    case CFast = 'cfast';
    case Xqd = 'xqd';
    case CFexpressA = 'cfexpress-a';
    case CFexpressB = 'cfexpress-b';
    case CFexpressC = 'cfexpress-c';
    case Ssd = 'ssd';

    public function label(): string
    {
        return match ($this) {
            self::Sd => 'SD',
            self::MicroSd => 'microSD',
            self::Cf => 'CompactFlash',
            self::CFast => 'CFast',
            self::Xqd => 'XQD',
            self::CFexpressA => 'CFexpress A',
            self::CFexpressB => 'CFexpress B',
            self::CFexpressC => 'CFexpress C',
            self::Ssd => 'SSD as card',
        };
    }

    /** What a card of this form most likely has when nothing is printed. */
    public function usualBus(): Bus
    {
        return $this->isSecureDigital() ? Bus::UhsI : $this->buses()[0];
    }

    /** SD and microSD share buses, families and marks. */
    /** The kind of slot it goes into: a microSD goes into an SD slot in its adapter. */
    public function connector(): string
    {
        return $this->isSecureDigital() ? 'SD' : $this->label();
    }

    public function isSecureDigital(): bool
    {
        return $this === self::Sd || $this === self::MicroSd;
    }

    /** @return non-empty-list<Bus> every bus a card of this form can have, slowest first */
    public function buses(): array
    {
        $isOf = fn (Bus $bus): bool => $bus !== Bus::Express && in_array($this, $bus->forms(), true);
        $buses = array_values(array_filter(Bus::cases(), $isOf));

        return $buses === [] ? throw new LogicException("No bus is known for {$this->label()}.") : $buses;
    }
}
