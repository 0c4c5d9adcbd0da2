<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Quantity\Bytes;

/**
 * Reads a label's line as it is printed: `128GB SDXC II U3 V60 250MB/s`.
 *
 * The order matters: what can only mean one thing goes first, so that what is left may be read more freely.
 */
final class LabelReader
{
    /** Sizes besides powers of two and round thousands. GB. */
    private const MADE = [
        60, 80, 120, 160, 165, 200, 240, 250, 325, 330, 400, 480, 500, 650, 660, 750, 960,
        1300, 1330, 1500, 1600, 1920, 2600, 3840, 7680,
    ];

    /** What is left over, and may be a speed that is printed oddly. */
    private const MAY_BE_SPEED =
        '~\d ?[KMG]i?(?:B|o|bit)?s? ?(?:/|p|per|$)|\d ?MB|(?<!\d)\d{2,4}[ /]\d{2,4}(?!\d)|(?<![\p{L}\d.,-])\d{2,4}(?![\p{L}\d.,°%-])~iu';

    private ?Form $form = null;

    private ?Bytes $capacity = null;

    private ?Family $family = null;

    private ?Bus $bus = null;

    private ?float $times = null;

    /** @var array<string, string> */
    private array $from = [];

    private ?Bytes $inDecimal = null;

    /** @var list<string> */
    private array $notes = [];

    /** @var list<string> */
    private array $unread = [];

    /** Whether two buses are printed. */
    private bool $isTwoBuses = false;

    private function __construct(private readonly Strip $strip) {}

    public static function read(string $line): LabelReading
    {
        return (new self(new Strip($line)))->reading();
    }

    private function reading(): LabelReading
    {
        $others = array_map(fn (array $found): string => $found[0], $this->strip->takeAll(Vocabulary::OTHERS));
        $marks = MarkWords::read($this->strip);
        $this->express();
        $this->compactFlash();
        $this->secureDigital();
        $this->pcie();
        $this->roman();
        $speeds = SpeedWords::read($this->strip, $this->form, $this->bus);
        $this->rating();
        $this->capacity();
        $this->noise();

        return new LabelReading(
            $this->form,
            $this->capacity,
            $this->family,
            $this->bus,
            marks: $marks->marks,
            read: $speeds->read,
            write: $speeds->write,
            sustained: $speeds->sustained,
            times: $this->times,
            from: [...$this->from, ...$marks->from, ...$speeds->from],
            notes: [...$speeds->notes, ...$marks->notes, ...$this->notes],
            unknown: [...$this->strip->left(), ...$marks->unread, ...$this->unread, ...$others],
            speedUnread: $speeds->unread || preg_grep(self::MAY_BE_SPEED, [...$this->strip->left(), ...$this->unread]) !== [],
            inDecimal: $this->inDecimal,
        );
    }

    private function express(): void
    {
        $found = $this->strip->take(
            'CF(?:[ -]?express|e)(?: ?card)?(?: (?<before>[124])(?:\.0)?(?! ?[KMGT]i?B)(?! \d{3})(?![\d.]))?(?:[ -]?'.
                Vocabulary::TYPE.
                ')?[ -]?(?<type>[ABC])?(?: (?<after>[124])\.0)?',
        );
        if ($found === null) {
            return;
        }
        $type = strtoupper($found['type'] ?? '');
        $type = $type !== '' ? $type : strtoupper($this->strip->take(Vocabulary::TYPE.'[ -]?([ABC])')[1] ?? '');
        $this->form = match ($type) {
            'A' => Form::CFexpressA,
            'B' => Form::CFexpressB,
            'C' => Form::CFexpressC,
            default => null,
        };
        $version = ($found['before'] ?? '').($found['after'] ?? '');
        // The first version had type B alone, on the bus of the second one.
        [$version, $this->form] = $version === '1' ? ['2', $this->form ?? Form::CFexpressB] : [$version, $this->form];
        $type = $this->form === Form::CFexpressB ? 'B' : $type;
        $this->bus = $version === '' ? null : Bus::tryFrom("cfexpress-{$version}-".strtolower($type));
        $this->from['form'] = $found[0];
        if ($this->bus !== null) {
            $this->from['bus'] = $found[0];
        }
    }

    private function compactFlash(): void
    {
        $udma = $this->strip->take('U-?DMA[ -]?(?:mode )?([67])');
        if ($udma !== null) {
            [$this->bus, $this->from['bus']] = [$udma[1] === '6' ? Bus::Udma6 : Bus::Udma7, $udma[0]];
        }
        $forms = [
            'CFast(?: ?(2)(?:\.0)?)?' => Form::CFast,
            'XQD' => Form::Xqd,
            'Compact ?Flash|CF(?: card)?' => Form::Cf,
            '(?:portable )?SSD' => Form::Ssd,
            'TF(?: card)?|Trans ?Flash' => Form::MicroSd,
        ];
        foreach ($forms as $pattern => $form) {
            $found = $this->form === null ? $this->strip->take($pattern) : null;
            if ($found === null) {
                continue;
            }
            [$this->form, $this->from['form']] = [$form, $found[0]];
            if ($form === Form::CFast && ($found[1] ?? '') === '2') {
                [$this->bus, $this->from['bus']] = [Bus::CFast2, $found[0]];
            }
        }
        $sata =
            $this->form === Form::Ssd || $this->form === Form::CFast
                ? $this->strip->take('SATA(?: ?(?:III|3(?:\.0)?))?(?: 6 ?Gb/s)?')
                : null;
        if ($sata !== null && $this->form === Form::Ssd) {
            [$this->bus, $this->from['bus']] = [Bus::Sata, $sata[0]];
        }
        if ($udma !== null && $this->form === null) {
            [$this->form, $this->from['form']] = [Form::Cf, $udma[0]];
        }
    }

    private function secureDigital(): void
    {
        // An I or II beside Express is the bus that it falls back to, and says nothing more.
        $express = $this->form !== null ? null : $this->strip->take(
            '(?:(?<micro>micro[ -]?|[µμ])?SD(?<family>HC|XC|UC)?(?: ?[789]\.[01])?[ -]?)?Express(?:[ -](?:UHS[ -]?)?(?:I{1,3}))?',
        );
        if ($express !== null) {
            $this->form = ($express['micro'] ?? '') === '' ? Form::Sd : Form::MicroSd;
            $this->from['form'] = $express[0];
            [$this->bus, $this->from['bus']] = [Bus::Express, $express[0]];
            $family = ($express['family'] ?? '') === '' ? null : self::family($express['family']);
            if ($family !== null) {
                [$this->family, $this->from['family']] = [$family, $express[0]];
            }
        }
        $found =
            $this->strip->take('(?<micro>micro ?|µ)?SD[ -]?(?<family>HC|XC|UC|SC)(?:[ -](?<uhs>I{1,3}))?') ??
            ($this->strip->take('(?<micro>micro ?|µ)SD(?: card)?(?:[ -](?<uhs>I{1,3}))?') ??
                ($this->form === null ? $this->strip->take('SD(?: (?:memory )?card)?(?:[ -](?<uhs>I{1,3}))?') : null));
        if ($found !== null) {
            $this->form = ($found['micro'] ?? '') === '' && $this->form !== Form::MicroSd ? Form::Sd : Form::MicroSd;
            $this->from['form'] = $found[0];
            $family = ($found['family'] ?? '') === '' ? null : self::family($found['family']);
            if ($family !== null) {
                [$this->family, $this->from['family']] = [$family, $found[0]];
            }
            $this->uhs($found['uhs'] ?? '', $found[0]);
        }
        foreach ($this->strip->takeAll('(?:micro ?|µ)?SD[ -]?(?<family>HC|XC|UC)') as $other) {
            if (self::family($other['family'] ?? '') !== ($this->family ?? self::family($other['family'] ?? ''))) {
                $this->neither('family', $other[0]);
            }
        }
        foreach ($this->strip->takeAll('UHS[ -]?(?<uhs>I{1,3}|[123])') as $uhs) {
            $this->uhs($uhs['uhs'] ?? '', $uhs[0]);
        }
    }

    /** Two are printed where a card has one: neither is taken, and both stay visible. */
    private function neither(string $field, string $other): void
    {
        $this->notes[] = "“{$this->from[$field]}” and “{$other}” are both printed: which is the card’s is not taken for granted.";
        array_push($this->unread, $this->from[$field], $other);
        unset($this->from[$field]);
        if ($field === 'bus') {
            [$this->bus, $this->isTwoBuses] = [null, true];
        } else {
            $this->family = null;
        }
    }

    private static function family(string $letters): ?Family
    {
        // SC, standard capacity, is how the first family is called beside the others.
        return strtoupper($letters) === 'SC' ? Family::Sd : Family::tryFrom('SD'.strtoupper($letters));
    }

    private function uhs(string $number, string $from): void
    {
        $bus = match (strtoupper($number)) {
            'I', '1' => Bus::UhsI,
            'II', '2' => Bus::UhsII,
            'III', '3' => Bus::UhsIII,
            default => null,
        };
        if ($bus === null || $this->isTwoBuses || $this->bus?->isExpress() === true) {
            return;
        }
        $this->form ??= Form::Sd;
        if ($this->bus !== null && $this->bus !== $bus) {
            $this->neither('bus', $from);
        } else {
            [$this->bus, $this->from['bus']] = [$bus, $from];
        }
    }

    /** `PCIe Gen4 x2`: which of the Express buses, where a card of that kind was named. */
    private function pcie(): void
    {
        $found =
            $this->strip->take('(?:PCIe?[ -]?)?Gen ?(?<gen>[34])(?: ?x ?(?<lanes>[124]))?') ??
            $this->strip->take('PCIe ?(?<gen>[34])\.0(?: ?x ?(?<lanes>[124]))?');
        if ($found === null) {
            return;
        }
        $generation = $found['gen'] ?? '';
        $bus = match (true) {
            $this->bus === Bus::Express => match ($generation.($found['lanes'] ?? '')) {
                '42' => Bus::ExpressGen4x2,
                '4', '41', '32' => Bus::ExpressGen4,
                default => Bus::ExpressGen3,
            },
            $this->form !== null && str_starts_with($this->form->value, 'cfexpress') => Bus::tryFrom(
                'cfexpress-'.($generation === '4' ? 4 : 2).substr($this->form->value, -2),
            ),
            default => $this->bus,
        };
        if ($bus !== null) {
            [$this->bus, $this->from['bus']] = [$bus, $found[0]];
        }
    }

    private function rating(): void
    {
        $found = $this->strip->take('(\d[.,]\d{3}|\d{2,5})(?:[.,]\d)? ?x');
        if ($found !== null) {
            [$this->times, $this->from['times']] = [(float) str_replace(['.', ','], '', $found[1] ?? ''), $found[0]];
        }
    }

    private function capacity(): void
    {
        $sizes = [];
        while (($size = $this->size()) !== null) {
            $sizes[(string) $size[0]->count] ??= $size;
        }
        if (count($sizes) > 1) {
            $printed = array_map(fn (array $size): string => "“{$size[1]}”", array_values($sizes));
            $this->notes[] = implode(' and ', $printed).' are both sizes: which is the card’s is not taken for granted.';
            array_push($this->unread, ...array_column($sizes, 1));

            return;
        }
        foreach ($sizes as [$this->capacity, $this->from['capacity'], $this->inDecimal]);
    }

    /** @return array{Bytes, string, Bytes|null}|null a size, from which part, and what it is where binary units were meant to be decimal */
    private function size(): ?array
    {
        // “128 Gb” is in bits, which are no capacity: it stays visible as not understood. So does a speed that was not understood.
        $found = $this->strip->takeWithBefore(
            '(?<number>'.
                PrintedNumber::PATTERN.
                ') ?(?!(?-i:[MGT]b))(?<unit>[MGT]i?B|[MGT]io|[MG]o|To(?! ?\d)|[TG])(?!'.
                Vocabulary::PER_SECOND.
                '| ?(?:cache|buffer|DRAM|SLC))',
        );
        if ($found === null) {
            return null;
        }
        $unit = PrintedNumber::unit($found['unit'] ?? '');
        $printed = PrintedNumber::of(
            $found['number'] ?? '',
            $found['before'] ?? '',
            fn (string $number): bool => self::isMade((float) $number, $unit),
        );
        if ($printed->note !== null) {
            $this->notes[] = $printed->note;
        }
        if ($printed->number === null) {
            $this->unread[] = $found[0];

            return null;
        }
        if ($printed->from > 0) {
            // What stood in front of it is another number.
            $this->unread[] = trim(substr($found['number'] ?? '', 0, $printed->from));
        }

        return [
            Bytes::parse("{$printed->number} {$unit}"),
            substr($found[0], $printed->from),
            str_contains($unit, 'i') ? Bytes::parse("{$printed->number} ".str_replace('i', '', $unit)) : null,
        ];
    }

    /**
     * Whether cards of that size are made: powers of two, round thousands, and what the guaranteed ones have (from memory). 8 TB is more
     * than any that was.
     */
    private static function isMade(float $number, string $unit): bool
    {
        $gigabytes = $number * (['M' => 0.001, 'G' => 1, 'T' => 1000][strtoupper($unit[0] ?? 'G')] ?? 1);
        $power = $gigabytes > 0 ? log($gigabytes, 2) : 0.1;

        return $gigabytes <= 8192 &&
            (abs($power - round($power)) < 1e-9 ||
                fmod($gigabytes, 1000) === 0.0 ||
                fmod($gigabytes, 1024) === 0.0 ||
                in_array((int) round($gigabytes), self::MADE, true));
    }

    /** A Roman numeral that stands alone on an SD card is its UHS bus. */
    private function roman(): void
    {
        if ($this->bus !== null || ($this->form !== null && ! $this->form->isSecureDigital())) {
            return;
        }
        $found = $this->strip->take('(?<uhs>I{1,3})');
        if ($found !== null) {
            $this->uhs($found['uhs'] ?? '', $found[0]);
        }
    }

    /** Words that are on every label and say nothing. */
    private function noise(): void
    {
        $this->strip->takeAll(Vocabulary::NOISE.'|up to|max(?:imum)?\.?|(?:transfer )?speeds?|and');
        // A short word that says nothing may be part of a name; alone it goes.
        $this->strip->drop(Vocabulary::FILLER.'|'.Vocabulary::AND.'|'.Vocabulary::TYPE);
    }
}
