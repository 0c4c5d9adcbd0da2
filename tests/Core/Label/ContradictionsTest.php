<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Bus;
use Tally\Label\Contradictions;
use Tally\Label\Family;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\Severity;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** Every rule on both sides of its edge. */
final class ContradictionsTest extends TestCase
{
    /** @param  list<Mark>  $marks */
    private static function sd(
        int $gb = 128,
        ?Family $family = null,
        ?Bus $bus = null,
        array $marks = [],
        ?float $read = 95,
        ?float $write = 90,
        ?int $rows = null,
        ?float $times = null,
        Form $form = Form::Sd,
    ): Label {
        return new Label(
            $form,
            Bytes::gigabytes($gb),
            $family,
            $bus,
            marks: $marks,
            read: $read === null ? null : Rate::megabytesPerSecond($read),
            write: $write === null ? null : Rate::megabytesPerSecond($write),
            times: $times,
            contactRows: $rows,
        );
    }

    /** @return iterable<string, array{string, Label, Severity|null}> rule, label, severity or null when it must be silent */
    public static function edges(): iterable
    {
        $no = Severity::Contradiction;
        yield 'UHS-II with one row' => ['contact-rows', self::sd(bus: Bus::UhsII, rows: 1), $no];
        yield 'UHS-II with two' => ['contact-rows', self::sd(bus: Bus::UhsII, rows: 2), null];
        yield 'UHS-II nobody turned over' => ['contact-rows', self::sd(bus: Bus::UhsII), null];
        yield 'UHS-I with one row' => ['contact-rows', self::sd(bus: Bus::UhsI, rows: 1), null];
        yield 'Express with one row' => ['contact-rows', self::sd(bus: Bus::ExpressGen3, rows: 1), $no];

        yield 'V90 with one row, no bus' => ['contact-rows', self::sd(marks: [Mark::V90], rows: 1), $no];
        yield 'V60 with two rows, no bus' => ['contact-rows', self::sd(marks: [Mark::V60], rows: 2), null];
        yield 'and then no doubt is left' => ['mark-without-bus', self::sd(marks: [Mark::V60], rows: 2), null];
        yield 'E300 with one row' => ['contact-rows', self::sd(marks: [Mark::E300], rows: 1, write: 400), $no];
        yield 'a read above 208 with one row' => ['contact-rows', self::sd(read: 209, rows: 1), $no];
        yield 'a read of 208 with one row' => ['contact-rows', self::sd(read: 208, rows: 1), null];
        yield 'V30 with one row' => ['contact-rows', self::sd(marks: [Mark::V30], rows: 1), null];
        yield 'rows of what has none' => ['contact-rows', self::sd(read: 1700, write: 1400, rows: 1, form: Form::CFexpressB), null];

        yield 'V60 on UHS-I' => ['mark-on-bus', self::sd(bus: Bus::UhsI, marks: [Mark::V60]), $no];
        yield 'V90 on UHS-I' => ['mark-on-bus', self::sd(bus: Bus::UhsI, marks: [Mark::V90]), $no];
        yield 'V60 on UHS-II' => ['mark-on-bus', self::sd(bus: Bus::UhsII, marks: [Mark::V60]), null];
        yield 'V30 on UHS-I' => ['mark-on-bus', self::sd(bus: Bus::UhsI, marks: [Mark::V30]), null];
        yield 'V60 and no bus is a doubt' => ['mark-without-bus', self::sd(marks: [Mark::V60]), Severity::Doubt];
        yield 'V90 and no bus is a doubt' => ['mark-without-bus', self::sd(marks: [Mark::V90]), Severity::Doubt];
        yield 'V30 may stand without' => ['mark-without-bus', self::sd(marks: [Mark::V30]), null];
        yield 'V60 with its bus' => ['mark-without-bus', self::sd(bus: Bus::UhsII, marks: [Mark::V60]), null];
        yield 'only a sustained speed is a speed' => [
            'no-speed',
            new Label(Form::CFexpressA, Bytes::gigabytes(80), sustained: Rate::megabytesPerSecond(400)),
            null,
        ];
        yield 'and needs no write beside it' => [
            'only-read',
            new Label(
                Form::CFexpressA,
                Bytes::gigabytes(80),
                read: Rate::megabytesPerSecond(800),
                sustained: Rate::megabytesPerSecond(400),
            ),
            null,
        ];
        yield 'V60 with no bus printed' => ['mark-on-bus', self::sd(marks: [Mark::V60]), null];
        yield 'U1 on High Speed' => ['mark-on-bus', self::sd(bus: Bus::SdHighSpeed, marks: [Mark::U1], read: 20, write: 15), $no];
        yield 'C10 on High Speed' => ['mark-on-bus', self::sd(bus: Bus::SdHighSpeed, marks: [Mark::C10], read: 20, write: 15), null];
        yield 'E300 on UHS-II' => ['mark-on-bus', self::sd(bus: Bus::UhsII, marks: [Mark::E300]), $no];
        yield 'E300 on Express' => ['mark-on-bus', self::sd(bus: Bus::ExpressGen3, marks: [Mark::E300], write: 400), null];

        yield 'VPG on SD' => ['mark-on-form', self::sd(marks: [Mark::Vpg65]), $no];
        yield 'V30 on CFexpress' => ['mark-on-form', self::sd(marks: [Mark::V30], form: Form::CFexpressB), $no];
        yield 'VPG on CFexpress' => ['mark-on-form', self::sd(marks: [Mark::Vpg400], form: Form::CFexpressB, write: 1400), null];

        yield 'Express at its rounded ceiling' => ['claim-above-bus', self::sd(bus: Bus::ExpressGen3, read: 985, write: 900), null];
        yield 'Express above it' => ['claim-above-bus', self::sd(bus: Bus::ExpressGen3, read: 986, write: 900), $no];
        yield 'an SSD on nobody knows what' => ['claim-above-bus', self::sd(1000, read: 1050, write: 1000, form: Form::Ssd), null];
        yield 'an SSD on SATA' => ['claim-above-bus', self::sd(1000, bus: Bus::Sata, read: 1050, write: 1000, form: Form::Ssd), $no];

        yield '33 GB as SDHC' => ['capacity-outside-family', self::sd(33, Family::Sdhc), $no];
        yield '32 GB as SDHC' => ['capacity-outside-family', self::sd(32, Family::Sdhc), null];
        yield '32 GB as SDXC' => ['capacity-outside-family', self::sd(32, Family::Sdxc), $no];
        yield 'no family printed' => ['capacity-outside-family', self::sd(32), null];
        yield '4 GB as SD' => ['capacity-outside-family', self::sd(4, Family::Sd), $no];

        yield 'read above UHS-II' => ['claim-above-bus', self::sd(bus: Bus::UhsII, read: 313), $no];
        yield 'read at UHS-II' => ['claim-above-bus', self::sd(bus: Bus::UhsII, read: 312), null];
        yield 'write above UHS-II' => ['claim-above-bus', self::sd(bus: Bus::UhsII, read: 300, write: 320), $no];
        yield 'read far above UHS-I' => ['claim-above-bus', self::sd(bus: Bus::UhsI, read: 209), $no];
        yield 'read a double-rate mode could carry' => ['claim-above-bus', self::sd(bus: Bus::UhsI, read: 208), null];
        yield 'read above all that an SD card can have' => ['claim-above-bus', self::sd(read: 4000), $no];
        yield 'fast read, no bus printed' => ['claim-above-bus', self::sd(read: 300), null];
        yield 'CFexpress B at its limit' => [
            'claim-above-bus',
            self::sd(bus: Bus::CFexpress2B, read: 1969, write: 1400, form: Form::CFexpressB),
            null,
        ];
        yield 'CFexpress B above it' => [
            'claim-above-bus',
            self::sd(bus: Bus::CFexpress2B, read: 1970, write: 1400, form: Form::CFexpressB),
            $no,
        ];
        yield '×-rating above the bus' => ['claim-above-bus', self::sd(bus: Bus::Udma7, read: null, times: 1200, form: Form::Cf), $no];
        yield '×-rating the bus carries' => ['claim-above-bus', self::sd(bus: Bus::Udma7, read: null, times: 1066, form: Form::Cf), null];

        yield 'needs the matching reader' => ['needs-matching-reader', self::sd(bus: Bus::UhsI, read: 170), Severity::Note];
        yield 'just above UHS-I' => ['needs-matching-reader', self::sd(bus: Bus::UhsI, read: 105), Severity::Note];
        yield 'any reader will do' => ['needs-matching-reader', self::sd(bus: Bus::UhsI, read: 104), null];

        $kept = fn (float $sustained, ?float $write = 1400): Label => new Label(
            Form::CFexpressB,
            Bytes::gigabytes(325),
            bus: Bus::CFexpress2B,
            marks: [Mark::Vpg400],
            read: Rate::megabytesPerSecond(1700),
            write: $write === null ? null : Rate::megabytesPerSecond($write),
            sustained: Rate::megabytesPerSecond($sustained),
        );
        yield 'a sustained claim under its class' => ['sustained-under-floor', $kept(399), $no];
        yield 'a sustained claim at its class' => ['sustained-under-floor', $kept(400), null];
        yield 'a sustained claim above the write claim' => ['sustained-above-write', $kept(1401), $no];
        yield 'a sustained claim at the write claim' => ['sustained-above-write', $kept(1400), null];
        yield 'a sustained claim above the bus' => ['sustained-above-bus', $kept(1970, null), $no];
        yield 'a sustained claim at the bus' => ['sustained-above-bus', $kept(1969, null), null];
        yield 'a write claim above the read claim' => ['write-above-read', self::sd(read: 90, write: 91), Severity::Doubt];
        yield 'a write claim at the read claim' => ['write-above-read', self::sd(read: 90, write: 90), null];
        yield 'a write claim that UHS-I cannot carry' => ['claim-above-bus', self::sd(bus: Bus::UhsI, read: 104, write: 105), $no];
        yield 'in a double-rate mode it can' => ['claim-above-bus', self::sd(bus: Bus::UhsI, read: 170, write: 130), null];
        yield 'C10 beside V30' => ['class-under-mark', self::sd(marks: [Mark::C10, Mark::V30]), Severity::Note];
        yield 'C10 beside U1' => ['class-under-mark', self::sd(marks: [Mark::C10, Mark::U1]), null];

        yield 'write claim under the class' => ['write-under-floor', self::sd(marks: [Mark::V30], write: 29.9), $no];
        yield 'write claim at the class' => ['write-under-floor', self::sd(marks: [Mark::V30], write: 30), null];
        yield 'class without a write claim' => ['write-under-floor', self::sd(marks: [Mark::V30], write: null), null];

        yield 'no speed at all' => ['no-speed', self::sd(read: null, write: null), Severity::Doubt];
        yield 'an ×-rating is a speed' => ['no-speed', self::sd(read: null, write: null, times: 800), null];
        yield 'only the read speed' => ['only-read', self::sd(write: null), Severity::Note];
        yield 'both speeds' => ['only-read', self::sd(), null];
        yield 'peaks only' => ['only-peak', self::sd(), Severity::Note];
        yield 'peaks and a mark' => ['only-peak', self::sd(marks: [Mark::V30]), null];

        yield 'U3 with V10' => ['marks-disagree', self::sd(marks: [Mark::U3, Mark::V10]), Severity::Doubt];
        yield 'a V mark that asks more' => ['marks-disagree', self::sd(marks: [Mark::U1, Mark::V30]), null];
        yield 'U3 with V30' => ['marks-disagree', self::sd(marks: [Mark::U3, Mark::V30]), null];
        yield 'U3 with V90' => ['marks-disagree', self::sd(bus: Bus::UhsII, marks: [Mark::U3, Mark::V90], write: 200), null];
        yield 'U1 with V10' => ['marks-disagree', self::sd(marks: [Mark::U1, Mark::V10]), null];
        yield 'C10 with V30' => ['marks-disagree', self::sd(marks: [Mark::C10, Mark::V30]), null];

        yield '633x with 95 MB/s' => ['rating-and-speed', self::sd(times: 633), null];
        yield '1066x with 160 MB/s' => ['rating-and-speed', self::sd(read: 160, times: 1066), null];
        yield '10 % apart' => ['rating-and-speed', self::sd(read: 100, times: 733), null];
        yield 'more than 10 % apart' => ['rating-and-speed', self::sd(read: 100, times: 734), Severity::Doubt];
        yield 'below by more than 10 %' => ['rating-and-speed', self::sd(read: 100, times: 599), Severity::Doubt];
    }

    #[DataProvider('edges')]
    public function test_a_rule_speaks_on_one_side_of_its_edge_only(string $rule, Label $label, ?Severity $severity): void
    {
        $found = array_values(array_filter(Contradictions::of($label), fn (Finding $finding): bool => $finding->id === $rule));
        self::assertSame($severity, $found === [] ? null : $found[0]->severity);
        foreach ($found as $finding) {
            self::assertNotSame('', $finding->source);
            self::assertStringEndsWith('.', $finding->reason);
        }
    }

    public function test_the_gravest_comes_first(): void
    {
        $findings = Contradictions::of(self::sd(33, Family::Sdhc, read: null, write: null));
        self::assertSame(
            [Severity::Contradiction, Severity::Doubt],
            array_map(fn (Finding $finding): Severity => $finding->severity, $findings),
        );
    }

    public function test_an_honest_label_has_nothing_against_it(): void
    {
        self::assertSame(
            [],
            Contradictions::of(self::sd(128, Family::Sdxc, Bus::UhsII, [Mark::U3, Mark::V60], read: 250, write: 130, rows: 2)),
        );
    }
}
