<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\HostLink;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\SpeedReading;
use Tally\Reading\Standing;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\Reach;
use Tally\Verdict\Reason;
use Tally\Verdict\SpeedEvidence;
use Tally\Verdict\VerdictKind;

/** No card is blamed for a link that could not show what it claims: handbook § 4, common practice. */
final class ChainAwareTest extends TestCase
{
    /** The double-rate card of the handbook: 170 claimed, 90 in an ordinary reader, 164 in the matching one. */
    private static function label(Bus $bus = Bus::UhsI, float $read = 170): Label
    {
        return new Label(Form::Sd, Bytes::gigabytes(256), Family::Sdxc, $bus, [Mark::U3, Mark::V30], Rate::megabytesPerSecond($read), Rate::megabytesPerSecond(90));
    }

    private static function measured(string $name, Path $path, float $read, Label $label): SpeedEvidence
    {
        $spread = fn (float $rate): array => [$rate * 0.995e6, $rate * 1e6, $rate * 1.005e6];

        return new SpeedEvidence($name, SpeedReading::of($spread(84), $spread($read), true, Bytes::gigabytes(1), 0, $path, $label));
    }

    private static function over(Bus $bus, HostLink $host = HostLink::UsbGen2): Path
    {
        return new Path([new Link("{$bus->label()} bus", $bus->ceiling()), new Link('a reader at a port', $host->ceiling())]);
    }

    /**
     * @param  list<SpeedEvidence>  $runs
     * @param  list<Reach>|null  $reaches
     */
    private static function reading(Label $label, array $runs, ?array $reaches = null): Reason
    {
        $verdict = Judge::judge(new Evidence($label, $runs, reaches: $reaches === null ? null : fn (): array => $reaches));
        foreach ($verdict->reasons as $reason) {
            if (str_contains("{$reason->lead} {$reason->rest}", 'Read')) {
                return $reason;
            }
        }
        self::fail('nothing is said of reading');
    }

    public function test_the_double_rate_card_is_judged_in_its_matching_reader_only(): void
    {
        $label = self::label();
        $ordinary = self::measured('run 1', self::over(Bus::UhsI), 90, $label);
        self::assertSame(Standing::NotJudgedHere, $ordinary->reading->read?->standing);
        self::assertStringContainsString('not judged here', self::reading($label, [$ordinary])->lead);
        $matching = self::measured('run 2', self::over(Bus::UhsIDouble), 164, $label);
        self::assertStringContainsString('near the label', self::reading($label, [$ordinary, $matching])->rest);
    }

    /** @return iterable<string, array{Bus, float, Path, float}> bus of the card, claim, chain, read */
    public static function heldBack(): iterable
    {
        yield 'a two-row card in a reader with one row' => [Bus::UhsII, 280, self::over(Bus::UhsI), 91];
        yield 'a fast card on USB 2.0' => [Bus::UhsII, 280, self::over(Bus::UhsII, HostLink::Usb2), 36];
        yield 'a camera used as its own reader' => [Bus::UhsII, 280, new Path([new Link('UHS-II bus', Bus::UhsII->ceiling()), new Link('housing camera as reader', HostLink::Usb2->ceiling())]), 34];
    }

    #[DataProvider('heldBack')]
    public function test_the_link_at_fault_is_named(Bus $bus, float $claim, Path $path, float $read): void
    {
        $label = self::label($bus, $claim);
        $reason = self::reading($label, [self::measured('run 1', $path, $read, $label)]);
        self::assertSame(VerdictKind::Unproven, $reason->bearing);
        self::assertStringContainsString('not judged here', $reason->lead);
        self::assertStringContainsString("The slowest link is {$path->pinch()->name}", $reason->rest);
    }

    public function test_the_reader_that_could_is_named_the_least_that_is_enough(): void
    {
        $label = self::label(Bus::UhsII, 280);
        $runs = [self::measured('run 1', self::over(Bus::UhsI), 91, $label)];
        $reach = fn (string $name, float $rate): Reach => new Reach($name, Rate::megabytesPerSecond($rate));
        self::assertStringContainsString('R2 could show it, up to 290 MB/s.', self::reading($label, $runs, [$reach('R9', 700), $reach('R2', 290), $reach('R3', 95)])->rest);
        self::assertStringContainsString('Nothing in the kit could show it: the best is R3, up to 95 MB/s.', self::reading($label, $runs, [$reach('R3', 95)])->rest);
        self::assertStringContainsString('Nothing in the kit takes it.', self::reading($label, $runs, [])->rest);
    }

    public function test_a_slower_run_on_a_chain_that_could_show_it_tells_more_than_a_faster_one_that_could_not(): void
    {
        $label = self::label();
        $runs = [self::measured('run 1', self::over(Bus::UhsI), 91, $label), self::measured('run 2', self::over(Bus::UhsIDouble), 88, $label)];
        $reason = self::reading($label, $runs);
        self::assertSame(VerdictKind::Slow, $reason->bearing);
        self::assertStringContainsString('52 % of the label’s 170 MB/s, well short', $reason->rest);
    }

    public function test_nothing_is_blamed_over_a_chain_nobody_named(): void
    {
        $label = self::label(Bus::UhsI, 95);
        $slow = self::reading($label, [self::measured('run 1', Path::unnamed(), 40, $label)]);
        self::assertSame(VerdictKind::Unproven, $slow->bearing);
        self::assertStringContainsString('Nobody named the chain', $slow->rest);
        // What was reached was reached, wherever it was.
        self::assertStringContainsString('near the label', self::reading($label, [self::measured('run 1', Path::unnamed(), 93, $label)])->rest);
    }

    public function test_a_path_stays_unnamed_with_more_links(): void
    {
        self::assertFalse(Path::unnamed()->with(new Link('drive', HostLink::Usb2->ceiling()))->isNamed);
        self::assertFalse(Path::unnamed()->couldShow(Rate::megabytesPerSecond(1)));
    }
}
