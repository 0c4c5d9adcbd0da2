<?php

declare(strict_types=1);

namespace Tally\Label\Line;

use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
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
    private const MAY_BE_SPEED = '~\d ?[KMG]i?(?:B|o|bit)?s? ?(?:/|p|per|$)|\d ?MB|(?<!\d)\d{2,4}[ /]\d{2,4}(?!\d)~iu';

    private ?Form $form = null;

    private ?Bytes $capacity = null;

    private ?Family $family = null;

    private ?Bus $bus = null;

    /** @var list<Mark> */
    private array $marks = [];

    private ?float $times = null;

    /** @var array<string, string> */
    private array $from = [];

    private ?Bytes $inDecimal = null;

    /** @var list<string> */
    private array $notes = [];

    /** @var list<string> */
    private array $unread = [];

    private function __construct(private readonly Strip $strip) {}

    public static function read(string $line): LabelReading
    {
        return (new self(new Strip($line)))->reading();
    }

    private function reading(): LabelReading
    {
        $others = array_map(fn (array $found): string => $found[0], $this->strip->takeAll(Vocabulary::OTHERS));
        $this->marks();
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
            $this->marks,
            $speeds->read,
            $speeds->write,
            $speeds->sustained,
            $this->times,
            [...$this->from, ...$speeds->from],
            [...$speeds->notes, ...$this->notes],
            [...$this->strip->left(), ...$this->unread, ...$others],
            $speeds->unread || preg_grep(self::MAY_BE_SPEED, [...$this->strip->left(), ...$this->unread]) !== [],
            $this->inDecimal,
        );
    }

    private function marks(): void
    {
        // “UHS-I Class 3” names bus and mark at once; the bus is read from it later.
        $class = '(?:'.Vocabulary::SPEED_CLASS.')';
        $words = [
            'VPG' => 'VPG',
            'V' => '(?:video speed class|V)',
            'U' => "(?:UHS[ -]{$class}|(?:(?<=UHS-I[ ])|(?<=UHS I[ ])|(?<=UHS-II[ ])){$class}|U)",
            'E' => 'E',
            'A' => '(?:app(?:lication)? performance class|A)',
            'C' => "(?:{$class}|CL\\.?|C)",
        ];
        $printed = [];
        foreach ($words as $letter => $pattern) {
            foreach ($this->strip->takeAll("{$pattern}[ -]?(".implode('|', Mark::numbers($letter)).')') as $found) {
                $mark = Mark::from($letter.($found[1] ?? ''));
                if (! in_array($mark, $this->marks, true)) {
                    $this->marks[] = $mark;
                }
                $printed[$mark->value] = $found[0];
            }
        }
        // There is no class 1 or 3 of the first kind: what is printed so is the U class of that number.
        foreach ($this->strip->takeAll("{$class}[ -]?([13])") as $found) {
            $mark = Mark::from('U'.($found[1] ?? ''));
            if (! in_array($mark, $this->marks, true)) {
                $this->marks[] = $mark;
                $printed[$mark->value] = $found[0];
            }
        }
        // In the order of the standards, old to new, however they are printed.
        usort($this->marks, fn (Mark $a, Mark $b): int => array_search($a, Mark::cases(), true) <=> array_search($b, Mark::cases(), true));
        if ($this->marks !== []) {
            $this->from['marks'] = implode(' ', array_map(fn (Mark $mark): string => $printed[$mark->value] ?? '', $this->marks));
        }
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
        $uhs = $this->strip->take('UHS[ -]?(?<uhs>I{1,3}|[123])');
        if ($uhs !== null) {
            $this->uhs($uhs['uhs'] ?? '', $uhs[0]);
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
        if ($bus !== null && $this->bus?->isExpress() !== true) {
            [$this->bus, $this->from['bus']] = [$bus, $from];
            $this->form ??= Form::Sd;
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
        // “128 Gb” is in bits, which are no capacity: it stays visible as not understood. So does a speed that was not understood.
        $found = $this->strip->takeWithBefore(
            '(?<number>'.
                PrintedNumber::PATTERN.
                ') ?(?!(?-i:[MGT]b))(?<unit>[MGT]i?B|[MGT]io|[MG]o|To(?! ?\d)|[TG])(?!'.
                Vocabulary::PER_SECOND.
                ')',
        );
        if ($found === null) {
            return;
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

            return;
        }
        if ($printed->from > 0) {
            // What stood in front of it is another number.
            $this->unread[] = trim(substr($found['number'] ?? '', 0, $printed->from));
        }
        [$this->capacity, $this->from['capacity']] = [Bytes::parse("{$printed->number} {$unit}"), substr($found[0], $printed->from)];
        if (str_contains($unit, 'i')) {
            $this->inDecimal = Bytes::parse("{$printed->number} ".str_replace('i', '', $unit));
        }
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
