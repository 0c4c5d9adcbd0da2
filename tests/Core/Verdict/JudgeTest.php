<?php

declare(strict_types=1);

namespace Tests\Core\Verdict;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Chain\Ceiling;
use Tally\Chain\Link;
use Tally\Chain\Path;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Label\Severity;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Condition;
use Tally\Reading\Diagnosis;
use Tally\Reading\SpeedReading;
use Tally\Verdict\Evidence;
use Tally\Verdict\Judge;
use Tally\Verdict\ProofEvidence;
use Tally\Verdict\Reason;
use Tally\Verdict\SpeedEvidence;
use Tally\Verdict\Step;
use Tally\Verdict\SustainedEvidence;
use Tally\Verdict\SustainedJudge;
use Tally\Verdict\Verdict;
use Tally\Verdict\VerdictKind;

final class JudgeTest extends TestCase
{
    private const GB = 1_000_000_000;

    private static function label(int $rows = 2): Label
    {
        return new Label(Form::Sd, Bytes::gigabytes(128), Family::Sdxc, Bus::UhsII, [Mark::U3, Mark::V60], Rate::megabytesPerSecond(250), Rate::megabytesPerSecond(130), contactRows: $rows);
    }

    private static function path(float $practical = 290): Path
    {
        return new Path([new Link('card bus', new Ceiling(Rate::megabytesPerSecond($practical * 1.08), Rate::megabytesPerSecond($practical), 'test'))]);
    }

    private static function speed(float $write, float $read, float $ceiling = 290, bool $forgot = true, int $wrong = 0, ?Label $label = null, string $run = 'run 1'): SpeedEvidence
    {
        return new SpeedEvidence($run, SpeedReading::of([$write * 1e6, $write * 1.01e6, $write * 0.99e6], [$read * 1e6, $read * 1.01e6, $read * 0.99e6], $forgot, Bytes::gigabytes(1), $wrong, self::path($ceiling), $label ?? self::label()));
    }

    private static function proof(Condition $condition, int $capacity, int $covered = 128 * self::GB, int $bad = 0, bool $forgot = true, float $write = 110, float $ceiling = 290): ProofEvidence
    {
        $wrap = $condition === Condition::Wraps ? $capacity : null;

        return new ProofEvidence('run 9', new Diagnosis($condition, Bytes::of($capacity), $wrap), Bytes::of($covered), Bytes::of($bad), $forgot, Rate::megabytesPerSecond($write), self::path($ceiling));
    }

    /** @return iterable<string, array{VerdictKind, Step, Label, list<SpeedEvidence>, list<ProofEvidence>}> */
    public static function cases(): iterable
    {
        $label = self::label();
        $good = self::speed(121, 238);
        $whole = self::proof(Condition::Whole, 127_865_454_592, 127_865_454_592);
        yield 'nothing known' => [VerdictKind::Unproven, Step::Measure, $label, [], []];
        yield 'measured, not proven' => [VerdictKind::Unproven, Step::Prove, $label, [$good], []];
        yield 'proven, not measured' => [VerdictKind::Unproven, Step::Measure, $label, [], [$whole]];
        yield 'all well' => [VerdictKind::Sound, Step::Offload, $label, [$good], [$whole]];
        yield '93 % of the label is full size' => [VerdictKind::Sound, Step::Offload, $label, [$good], [self::proof(Condition::Whole, (int) (0.93 * 128 * self::GB))]];
        yield 'less than that was covered' => [VerdictKind::Unproven, Step::Prove, $label, [$good], [self::proof(Condition::Whole, (int) (0.929 * 128 * self::GB))]];
        yield 'only a part was proven' => [VerdictKind::Unproven, Step::Prove, $label, [$good], [self::proof(Condition::Whole, self::GB, self::GB)]];
        yield 'wraps' => [VerdictKind::Sham, Step::SetAside, $label, [$good], [self::proof(Condition::Wraps, 8 * self::GB, bad: 120 * self::GB)]];
        yield 'drops' => [VerdictKind::Sham, Step::SetAside, $label, [$good], [self::proof(Condition::Drops, 60 * self::GB, bad: 68 * self::GB)]];
        yield 'addresses share places' => [VerdictKind::Sham, Step::SetAside, $label, [$good], [self::proof(Condition::Aliases, 64 * self::GB, bad: 64 * self::GB)]];
        yield 'drops the very end only: a fault' => [VerdictKind::Shaky, Step::SetAside, $label, [$good], [self::proof(Condition::Drops, 126 * self::GB, bad: 2 * self::GB)]];
        yield 'bad spots' => [VerdictKind::Shaky, Step::SetAside, $label, [$good], [self::proof(Condition::Faulty, 127 * self::GB, bad: 141_000_000)]];
        yield 'one bad proof outweighs later good ones' => [VerdictKind::Shaky, Step::SetAside, $label, [$good], [self::proof(Condition::Faulty, 127 * self::GB, bad: 512), $whole]];
        yield 'a stopped proof after a good one' => [VerdictKind::Sound, Step::Offload, $label, [$good], [$whole, self::proof(Condition::Unknown, 0, 0)]];
        yield 'read from memory' => [VerdictKind::Unproven, Step::Prove, $label, [$good], [self::proof(Condition::Whole, 128 * self::GB, forgot: false)]];
        yield 'one row of contacts' => [VerdictKind::Sham, Step::SetAside, self::label(1), [], []];
        yield 'under its class' => [VerdictKind::Slow, Step::Offload, $label, [self::speed(41, 238)], [$whole]];
        yield 'under its class, capacity open' => [VerdictKind::Slow, Step::Prove, $label, [self::speed(41, 238)], []];
        yield 'under its class over the whole card' => [VerdictKind::Slow, Step::Offload, $label, [$good], [self::proof(Condition::Whole, 127_865_454_592, write: 48)]];
        yield 'whole card slow because of its chain' => [VerdictKind::Sound, Step::Offload, $label, [$good], [self::proof(Condition::Whole, 127_865_454_592, write: 36, ceiling: 40)]];
        yield 'well short of its label' => [VerdictKind::Slow, Step::Offload, $label, [self::speed(90, 238)], [$whole]];
        yield 'under its label, still sound' => [VerdictKind::Sound, Step::Offload, $label, [self::speed(100, 238)], [$whole]];
        yield 'claim not judged on this chain' => [VerdictKind::Sound, Step::Offload, $label, [self::speed(85, 90, 95)], [$whole]];
        yield 'floor not judged on this chain' => [VerdictKind::Unproven, Step::Measure, $label, [self::speed(34, 36, 40)], [$whole]];
        yield 'the faster chain decides' => [VerdictKind::Sound, Step::Offload, $label, [self::speed(34, 36, 40), $good], [$whole]];
        yield 'a suspected read is out' => [VerdictKind::Unproven, Step::Measure, $label, [self::speed(121, 3000)], [$whole]];
        yield 'a read that was not forgotten is out' => [VerdictKind::Unproven, Step::Measure, $label, [self::speed(121, 238, forgot: false)], [$whole]];
        yield 'data changed in a speed run' => [VerdictKind::Shaky, Step::SetAside, $label, [self::speed(121, 238, wrong: 512)], [$whole]];
        $bare = new Label(Form::Ssd, Bytes::gigabytes(128));
        yield 'a label that promises no speed needs none' => [VerdictKind::Sound, Step::Offload, $bare, [], [$whole]];
    }

    /**
     * @param  list<SpeedEvidence>  $speeds
     * @param  list<ProofEvidence>  $proofs
     */
    #[DataProvider('cases')]
    public function test_evidence_in_verdict_out(VerdictKind $kind, Step $next, Label $label, array $speeds, array $proofs): void
    {
        $verdict = Judge::judge(new Evidence($label, $speeds, $proofs));
        self::assertSame($kind, $verdict->kind, implode("\n", self::sentences($verdict)));
        self::assertSame($next, $verdict->next);
        self::assertNotSame([], $verdict->reasons);
    }

    public function test_the_reasons_that_carry_the_verdict_come_first_and_each_says_how_it_is_known(): void
    {
        $verdict = Judge::judge(new Evidence(self::label(), [self::speed(121, 238)], [self::proof(Condition::Wraps, 8 * self::GB, bad: 120 * self::GB)]));
        self::assertSame(VerdictKind::Sham, $verdict->reasons[0]->bearing);
        self::assertStringContainsString('Keeps 8 GB of the 128 GB', $verdict->reasons[0]->lead);
        self::assertStringContainsString('run 9', $verdict->reasons[0]->evidence);
        foreach ($verdict->reasons as $reason) {
            self::assertNotSame('', $reason->evidence);
        }
    }

    public function test_a_class_that_is_met_is_called_a_proxy(): void
    {
        $verdict = Judge::judge(new Evidence(self::label(), [self::speed(121, 238)]));
        $met = array_filter($verdict->reasons, fn (Reason $reason): bool => str_contains($reason->rest, 'V60 asks for 60 MB/s'));
        self::assertCount(1, $met);
        self::assertStringContainsString('a proxy for the class, not its compliance test', array_values($met)[0]->evidence);
    }

    public function test_what_cannot_be_judged_here_names_the_link(): void
    {
        $sentences = implode("\n", self::sentences(Judge::judge(new Evidence(self::label(), [self::speed(85, 90, 95)]))));
        self::assertStringContainsString('not judged here', $sentences);
        self::assertStringContainsString('The slowest link is card bus, 95 MB/s.', $sentences);
    }

    public function test_the_same_evidence_always_gives_the_same_verdict(): void
    {
        $evidence = new Evidence(self::label(), [self::speed(121, 238)], [self::proof(Condition::Whole, 127_865_454_592)]);
        self::assertEquals(Judge::judge($evidence), Judge::judge($evidence));
    }

    public function test_only_sham_and_shaky_cards_are_struck_out(): void
    {
        $struck = array_filter(VerdictKind::cases(), fn (VerdictKind $kind): bool => $kind->isStruckOut());
        self::assertSame([VerdictKind::Sham, VerdictKind::Shaky], array_values($struck));
    }

    /** @return list<string> */
    private static function sentences(Verdict $verdict): array
    {
        return array_map(fn (Reason $reason): string => $reason->sentence(), $verdict->reasons);
    }

    public function test_a_contradiction_with_the_market_keeps_a_card_from_sound_but_convicts_nobody(): void
    {
        $market = new Finding('price-far-under-market', Severity::Contradiction, 'Far too cheap.', 'test', convicts: false);
        $serial = new Finding('serial-met-before', Severity::Contradiction, 'On another card too.', 'test');
        $good = [self::speed(121, 238)];
        $whole = [self::proof(Condition::Whole, 127_865_454_592, 127_865_454_592)];

        $asked = Judge::judge(new Evidence(self::label(), $good, $whole, [$market]));
        self::assertSame([VerdictKind::Unproven, Step::Ask], [$asked->kind, $asked->next]);
        self::assertSame('It contradicts the market.', $asked->reasons[0]->lead);
        self::assertSame(VerdictKind::Sham, Judge::judge(new Evidence(self::label(), $good, $whole, [$serial]))->kind);
    }

    private static function sustained(float $floor, int $gb = 128, float $ceiling = 290): SustainedEvidence
    {
        return new SustainedEvidence('run 7', Rate::megabytesPerSecond($floor), 4, Bytes::gigabytes($gb), self::path($ceiling));
    }

    /** @return iterable<string, array{list<SustainedEvidence>, VerdictKind}> of a card that is Sound otherwise and promises V60 */
    public static function longWrites(): iterable
    {
        yield 'none' => [[], VerdictKind::Sound];
        yield 'above its class' => [[self::sustained(61)], VerdictKind::Sound];
        yield 'just its class' => [[self::sustained(60)], VerdictKind::Sound];
        yield 'under its class' => [[self::sustained(59.9)], VerdictKind::Slow];
        yield 'under its class, on a chain that cannot show it' => [[self::sustained(38, ceiling: 40)], VerdictKind::Sound];
        yield 'the longest tells most' => [[self::sustained(41), self::sustained(118, 4)], VerdictKind::Slow];
        yield 'of equals the faster one' => [[self::sustained(41), self::sustained(62)], VerdictKind::Sound];
    }

    /** @param  list<SustainedEvidence>  $runs */
    #[DataProvider('longWrites')]
    public function test_long_writes_are_held_against_the_class(array $runs, VerdictKind $kind): void
    {
        $whole = self::proof(Condition::Whole, 127_865_454_592, 127_865_454_592);
        self::assertSame($kind, Judge::judge(new Evidence(self::label(), [self::speed(121, 238)], [$whole], sustained: $runs))->kind);
    }

    public function test_a_sustained_claim_is_held_against_the_lowest_window(): void
    {
        $label = new Label(Form::CFexpressA, Bytes::gigabytes(160), bus: Bus::CFexpress2A, sustained: Rate::megabytesPerSecond(400));
        $reasons = fn (float $floor): array => array_map(fn (Reason $reason): string => "{$reason->bearing->value}: {$reason->sentence()}", SustainedJudge::judge(new Evidence($label, sustained: [self::sustained($floor, ceiling: 800)])));
        self::assertSame(['Slow: Falls to 380 MB/s over 4 s; the label claims 400 MB/s sustained.'], $reasons(380));
        self::assertSame(['Sound: Never under 402 MB/s over 4 s; the label claims 400 MB/s sustained.'], $reasons(402));
    }

    public function test_a_floor_says_that_it_is_a_proxy(): void
    {
        self::assertStringContainsString('a proxy for the class, not its compliance test', self::sustained(61)->source());
    }
}
