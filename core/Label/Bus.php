<?php

declare(strict_types=1);

namespace Tally\Label;

use Tally\Chain\Ceiling;
use Tally\Chain\LineCoding;
use Tally\Chain\Practice;
use Tally\Quantity\Rate;

/**
 * The bus between a card and its reader, slowest first within a form.
 *
 * Source of nominal ceilings: SD Association physical-layer simplified specification, bus modes; CompactFlash
 * Association specifications; CFexpress specification, lanes × PCIe generation. Practice: the range that the trade
 * sees; common practice, no source. Where nobody has told of a bus, it is taken to give at least what the slower one
 * of its family does: house rule.
 */
enum Bus: string
{
    case SdDefault = 'sd-default';
    case SdHighSpeed = 'sd-high-speed';
    case UhsI = 'uhs-i';
    case UhsIDouble = 'uhs-i-double';
    case UhsII = 'uhs-ii';
    case UhsIII = 'uhs-iii';
    /** One of the next three: no generation is printed. */
    case Express = 'sd-express';
    case ExpressGen3 = 'sd-express-985';
    case ExpressGen4 = 'sd-express-1969';
    case ExpressGen4x2 = 'sd-express-3938';
    case Udma6 = 'udma-6';
    case Udma7 = 'udma-7';
    case CFast2 = 'cfast-2';
    case Xqd1 = 'xqd-1';
    case Xqd2 = 'xqd-2';
    case CFexpress2A = 'cfexpress-2-a';
    case CFexpress4A = 'cfexpress-4-a';
    case CFexpress2B = 'cfexpress-2-b';
    case CFexpress4B = 'cfexpress-4-b';
    case CFexpress2C = 'cfexpress-2-c';
    case CFexpress4C = 'cfexpress-4-c';
    case Sata = 'sata-3';

    public function label(): string
    {
        return match ($this) {
            self::SdDefault => 'SD default speed',
            self::SdHighSpeed => 'SD High Speed',
            self::UhsI => 'UHS-I',
            self::UhsIDouble => 'UHS-I double rate',
            self::UhsII => 'UHS-II',
            self::UhsIII => 'UHS-III',
            self::Express => 'SD Express',
            self::ExpressGen3 => 'SD Express Gen3×1',
            self::ExpressGen4 => 'SD Express Gen4×1',
            self::ExpressGen4x2 => 'SD Express Gen4×2',
            self::Udma6 => 'UDMA 6',
            self::Udma7 => 'UDMA 7',
            self::CFast2 => 'CFast 2.0',
            self::Xqd1 => 'XQD 2.5 GT/s',
            self::Xqd2 => 'XQD 5 GT/s',
            self::CFexpress2A, self::CFexpress2B, self::CFexpress2C => 'CFexpress 2.0',
            self::CFexpress4A, self::CFexpress4B, self::CFexpress4C => 'CFexpress 4.0',
            self::Sata => 'SATA III',
        };
    }

    /** @param  bool  $isMatch  of a maker's double rate: whether slot and card are of that maker */
    public function ceiling(bool $isMatch = false): Ceiling
    {
        [$nominal, $low, $high] = match ($this) {
            self::SdDefault => [Rate::megabytesPerSecond(12.5), 10, null],
            self::SdHighSpeed => [Rate::megabytesPerSecond(25), 10, 23],
            self::UhsI => [Rate::megabytesPerSecond(104), 85, 95],
            // A maker's own mode: another maker's card falls back to the standard rate in it.
            self::UhsIDouble => [Rate::megabytesPerSecond(208), $isMatch ? 150 : 85, 170],
            self::UhsII => [Rate::megabytesPerSecond(312), 200, 290],
            self::UhsIII => [Rate::megabytesPerSecond(624), 200, null],
            self::Express => [LineCoding::OneThirty->payload(16, 2), 650, null],
            self::ExpressGen3 => [LineCoding::OneThirty->payload(8), 650, null],
            self::ExpressGen4 => [LineCoding::OneThirty->payload(16), 650, null],
            self::ExpressGen4x2 => [LineCoding::OneThirty->payload(16, 2), 1200, null],
            self::Udma6 => [Rate::megabytesPerSecond(133), 90, null],
            self::Udma7 => [Rate::megabytesPerSecond(167), 90, 155],
            self::CFast2 => [LineCoding::EightTen->payload(6), 450, 540],
            self::Xqd1 => [LineCoding::EightTen->payload(2.5), 160, null],
            self::Xqd2 => [LineCoding::EightTen->payload(5), 320, 440],
            self::CFexpress2A => [LineCoding::OneThirty->payload(8), 650, 800],
            self::CFexpress4A => [LineCoding::OneThirty->payload(16), 650, null],
            self::CFexpress2B => [LineCoding::OneThirty->payload(8, 2), 1200, 1600],
            self::CFexpress4B => [LineCoding::OneThirty->payload(16, 2), 2300, null],
            self::CFexpress2C => [LineCoding::OneThirty->payload(8, 4), 1200, null],
            self::CFexpress4C => [LineCoding::OneThirty->payload(16, 4), 2300, null],
            self::Sata => [LineCoding::EightTen->payload(6), 520, 560],
        };

        return new Ceiling($nominal, Practice::megabytes($low, $high), $this->source());
    }

    public function source(): string
    {
        return match ($this) {
            self::UhsIDouble => 'from memory: a maker’s own host mode, in no standard',
            self::Udma6, self::Udma7, self::CFast2, self::Xqd1, self::Xqd2 => 'CompactFlash Association specifications',
            self::CFexpress2A,
            self::CFexpress2B,
            self::CFexpress2C,
            self::CFexpress4A,
            self::CFexpress4B,
            self::CFexpress4C => 'CFexpress specification, PCIe lanes × generation',
            self::Sata => 'SATA 3 specification, 8b/10b',
            default => 'SD physical-layer specification, bus modes',
        };
    }

    public function isExpress(): bool
    {
        return in_array($this, [self::Express, self::ExpressGen3, self::ExpressGen4, self::ExpressGen4x2], true);
    }

    /** @return list<Form> */
    public function forms(): array
    {
        return match ($this) {
            self::Udma6, self::Udma7 => [Form::Cf],
            self::CFast2 => [Form::CFast],
            self::Xqd1, self::Xqd2 => [Form::Xqd],
            self::CFexpress2A, self::CFexpress4A => [Form::CFexpressA],
            self::CFexpress2B, self::CFexpress4B => [Form::CFexpressB],
            self::CFexpress2C, self::CFexpress4C => [Form::CFexpressC],
            self::Sata => [Form::Ssd],
            // A microSD card has one lane.
            self::ExpressGen4x2 => [Form::Sd],
            default => [Form::Sd, Form::MicroSd],
        };
    }

    /** @return int|null rows of contacts on a card with this bus; null where counting rows tells nothing */
    public function contactRows(): ?int
    {
        return match ($this) {
            self::SdDefault, self::SdHighSpeed, self::UhsI, self::UhsIDouble => 1,
            self::UhsII, self::UhsIII, self::Express, self::ExpressGen3, self::ExpressGen4, self::ExpressGen4x2 => 2,
            default => null,
        };
    }

    /** @return list<self> what a card with this bus can speak, best first: a slot with an older bus gets the older one */
    public function speaks(): array
    {
        $older = match ($this) {
            self::SdDefault => [],
            self::SdHighSpeed => [self::SdDefault],
            self::UhsI => [self::SdHighSpeed, self::SdDefault],
            self::UhsIII => [self::UhsII, self::UhsI, self::SdHighSpeed, self::SdDefault],
            self::Express => [self::ExpressGen4x2, self::ExpressGen4, self::ExpressGen3, self::UhsI, self::SdHighSpeed, self::SdDefault],
            self::ExpressGen4x2 => [self::ExpressGen4, self::ExpressGen3, self::UhsI, self::SdHighSpeed, self::SdDefault],
            self::ExpressGen4 => [self::ExpressGen3, self::UhsI, self::SdHighSpeed, self::SdDefault],
            // The second contact row is PCIe here, not UHS-II: in a UHS-II slot such a card speaks UHS-I.
            self::UhsII, self::UhsIDouble, self::ExpressGen3 => [self::UhsI, self::SdHighSpeed, self::SdDefault],
            self::Udma7 => [self::Udma6],
            self::Xqd2 => [self::Xqd1],
            self::CFexpress4A => [self::CFexpress2A],
            self::CFexpress4B => [self::CFexpress2B],
            self::CFexpress4C => [self::CFexpress2C],
            default => [],
        };

        return [$this, ...$older];
    }

    /**
     * @param  list<self>  $slot  the buses a reader's slot supports
     * @return self|null the bus the two settle on; null when the card does not work (or does not fit) there
     */
    public function settleWith(array $slot): ?self
    {
        $spoken = [];
        foreach ($slot as $bus) {
            $spoken = [...$spoken, ...$bus->speaks()];
        }
        foreach ($this->speaks() as $bus) {
            if (in_array($bus, $spoken, true)) {
                return $bus;
            }
        }

        return null;
    }

    /**
     * @param  list<self>  $card  the buses a card may have
     * @param  list<self>  $slot  the buses a reader's slot supports
     */
    public static function fastestSettled(array $card, array $slot): ?self
    {
        $fastest = null;
        foreach ($card as $bus) {
            $settled = $bus->settleWith($slot);
            if ($settled !== null && ($fastest === null || $fastest->ceiling()->nominal->isBelow($settled->ceiling()->nominal))) {
                $fastest = $settled;
            }
        }

        return $fastest;
    }
}
