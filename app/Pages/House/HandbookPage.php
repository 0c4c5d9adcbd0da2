<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Evidence\LedgerRules;
use App\Pages\Page;
use App\Shoot\FitRules;
use Tally\Chain\Ceiling;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Label\Mark;
use Tally\Label\MarkKind;
use Tally\Ledger\SuspectReader;
use Tally\Offload\Question\Rules;
use Tally\Quantity\Bytes;
use Tally\Quantity\Slip;
use Tally\Quantity\Temperature;
use Tally\Reading\Thresholds;
use Tally\Verdict\VerdictKind;

/** The handbook as the core knows it: read from where it is reckoned with, and so never typed twice. */
final readonly class HandbookPage extends Page
{
    private const COMMON = 'common practice, no source';

    private const HOUSE = 'house rule';

    /**
     * @param  string  $search  that the page opens with
     * @param  list<HandbookSectionProps>  $sections
     */
    public function __construct(public string $search, public array $sections) {}

    public static function of(string $search): self
    {
        return new self($search, [
            new HandbookSectionProps('marks', 'Marks, and what they promise', array_map(self::mark(...), Mark::cases())),
            new HandbookSectionProps('buses', 'Buses of cards', array_map(self::bus(...), Bus::cases())),
            new HandbookSectionProps('links', 'Links to the host', array_map(self::link(...), HostLink::cases())),
            new HandbookSectionProps('units', 'Units, and how they are mistaken', self::units()),
            new HandbookSectionProps('rules', 'Rules of judgement', self::rules()),
            new HandbookSectionProps('cautions', 'Cautions', self::cautions()),
        ]);
    }

    private static function mark(Mark $mark): HandbookRowProps
    {
        $buses = array_map(fn (Bus $bus): string => $bus->label(), $mark->buses());
        $isRandom = $mark->kind() === MarkKind::AppClass;

        return new HandbookRowProps(
            $mark->value,
            "never under {$mark->floor()->print()} while writing".
                ($buses === [] ? '' : '; means something over '.implode(', ', $buses)).
                ($isRandom ? '; the mark itself is about small random access' : '').
                ($mark->isGuarantee() ? '; a guaranteed medium' : ''),
            $mark->isSecureDigital() && ! $mark->isGuarantee()
                ? 'SD Association speed-class tables'
                : 'CompactFlash Association VPG profiles; E and VPG rows from memory',
        );
    }

    private static function bus(Bus $bus): HandbookRowProps
    {
        $forms = implode(', ', array_map(fn ($form): string => $form->label(), $bus->forms()));

        return new HandbookRowProps($bus->label(), self::ceiling($bus->ceiling())."; {$forms}", $bus->source());
    }

    private static function link(HostLink $link): HandbookRowProps
    {
        return new HandbookRowProps($link->label(), self::ceiling($link->ceiling()), $link->ceiling()->source);
    }

    private static function ceiling(Ceiling $ceiling): string
    {
        $practice = $ceiling->practice === null ? '' : ", in practice {$ceiling->practice->print()}";

        return "{$ceiling->nominal->print()} on paper{$practice}";
    }

    /** @return list<HandbookRowProps> */
    private static function units(): array
    {
        $size = Bytes::gigabytes(128);
        $rows = [
            new HandbookRowProps(
                'MB/s and Mb/s',
                '8 megabits are 1 megabyte: 240 Mb/s are 30 MB/s. Cameras speak Mb/s, cards MB/s.',
                'IEC 80000-13',
            ),
            new HandbookRowProps('GB and GiB', "1 GB is 10⁹ bytes, 1 GiB 2³⁰: {$size->decimal()} are {$size->binary()}.", 'IEC 80000-13'),
            new HandbookRowProps('150× and the like', '1× is 150 kB/s, from the compact disc.', self::COMMON),
        ];
        foreach (Slip::cases() as $slip) {
            $rows[] = new HandbookRowProps($slip->taken(), $slip->words(), 'IEC 80000-13; that people make it: '.self::COMMON);
        }

        return $rows;
    }

    /** @return list<HandbookRowProps> */
    private static function rules(): array
    {
        $percent = fn (float $share): string => round(100 * $share).' %';
        $fit = FitRules::now();
        $due = LedgerRules::now();
        $plan = new Rules();
        $rows = array_map(fn (VerdictKind $kind): HandbookRowProps => new HandbookRowProps($kind->value, match ($kind) {
            VerdictKind::Sham => 'capacity or bus is not what the label, or the medium itself, says; in no plan',
            VerdictKind::Shaky => 'scattered faults, errors, contact trouble, or runs that differ; in no plan',
            VerdictKind::Slow => 'capacity fine, under a promised floor or well short of the label on a chain that could show it',
            VerdictKind::Unproven => 'evidence is missing; says which test would settle it',
            VerdictKind::Sound => 'full capacity proven, every promised floor met, no contradiction',
        }, 'derived from the evidence, never typed'), VerdictKind::cases());

        return [
            ...$rows,
            new HandbookRowProps(
                'Whole',
                "a medium shows at least {$percent(Thresholds::FULL)} of its label, all of it written and read",
                self::HOUSE,
            ),
            new HandbookRowProps(
                'Reaches a claim',
                "from {$percent(Thresholds::NEAR)} of it; under {$percent(Thresholds::SHORT)} is Slow",
                self::HOUSE,
            ),
            new HandbookRowProps(
                'Margin of a measured card',
                "lowest window at least {$fit->margin} times what is written",
                self::HOUSE,
            ),
            new HandbookRowProps('Usable share of a card', $percent($fit->usable), self::HOUSE),
            new HandbookRowProps(
                'Proven again',
                "after {$due->proveMonths} months, or {$due->fills} times its capacity written",
                self::HOUSE,
            ),
            new HandbookRowProps('Measured again', "after {$due->measureMonths} months", self::HOUSE),
            new HandbookRowProps(
                'A suspected reader',
                'named with trouble of '.SuspectReader::CARDS.' cards or more',
                self::HOUSE,
            ),
            new HandbookRowProps('A swap', "{$plan->swap} s of hands, {$plan->first} s before the first", self::HOUSE),
        ];
    }

    /** @return list<HandbookRowProps> */
    private static function cautions(): array
    {
        $hurts = Temperature::celsius(Temperature::HURTS)->both();
        $handle = Temperature::celsius(Temperature::HANDLE)->both();
        $first = 'local rules and the makers’ instructions come first';

        return [
            new HandbookRowProps(
                'Hot cards',
                "Metal at {$hurts} hurts within seconds; let it cool below {$handle}; {$first}.",
                'ISO 13732-1, from memory',
            ),
            new HandbookRowProps(
                'Stiff slots',
                'Slow and steady: a forced card snaps. One that reads only while pressed is Shaky.',
                self::COMMON,
            ),
            new HandbookRowProps('Clearing', 'Not before two copies, on two drives, have been read back.', self::COMMON),
            new HandbookRowProps('Proofs', 'Wear a card by one full write, and erase it in raw mode.', self::COMMON),
            new HandbookRowProps(
                'Recovery and repair',
                'Recovering data, repairing drives and mains work are for qualified people.',
                self::COMMON,
            ),
        ];
    }
}
