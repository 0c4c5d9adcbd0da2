<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Gear\ChainBuilder;
use App\Models\Cards\Card;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Runs\Run;
use App\Runs\Filing\RunBook;
use DateTimeImmutable;
use Illuminate\Support\Facades\DB;
use Tally\Label\Bus;
use Tally\Record\TypedReading;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** A verdict follows all it hangs on: the label, the kit that others used, what counts no longer. Handbook § 6; house rules. */
final class VerdictsFollowTest extends TestCase
{
    private const V90 = [
        'capacity' => 128_000_000_000,
        'family' => 'SDXC',
        'bus' => 'uhs-ii',
        'marks' => ['V90'],
        'read' => 300e6,
        'write' => null,
        'contact_rows' => 2,
    ];

    /** Reads 212 of 300: the low end of UHS-II is too near to blame the card for it. */
    private function shortOfItsClaim(): Card
    {
        $card = $this->card([...self::V90, 'tag' => 'A-1', 'stand_in' => 'honest,size=128GB,write=150MB/s,read=212MB/s']);
        $this->conduct($card, 'speed', 'Tray 2');
        $this->conduct($card, 'proof', 'Tray 2');

        return $card->refresh();
    }

    private function type(Card $card, string $speed, string $reader = 'R2', string $port = 'port 2'): Run
    {
        $reader = Reader::query()
            ->with(['slots', 'cable'])
            ->where('tag', $reader)
            ->firstOrFail();
        $port = Port::query()->with('host')->where('name', $port)->firstOrFail();
        $chain = ChainBuilder::chainAt($card->label(), $reader, $port);
        self::assertNotNull($chain);

        return RunBook::typed(
            $card,
            array_fill(0, 3, TypedReading::parse(['way' => 'read', 'size' => '10 GB', 'time' => '', 'speed' => $speed])),
            $chain,
            $reader,
            port: $port,
            on: new DateTimeImmutable('2026-11-20'),
            by: 'Wren',
            note: '',
            beside: null,
        );
    }

    /** @phpstan-impure */
    private static function verdict(Card $card): VerdictKind
    {
        return Card::query()->findOrFail($card->id)->verdict;
    }

    public function test_a_reader_that_was_seen_to_carry_enough_is_not_to_blame_whatever_card_was_in_it(): void
    {
        $short = $this->shortOfItsClaim();
        self::assertSame(VerdictKind::Sound, self::verdict($short));
        $other = $this->card([...self::V90, 'tag' => 'B-1', 'stand_in' => null]);
        // 90 % of the promise: below it nothing is shown.
        $this->type($other, '269 MB/s');
        self::assertSame(VerdictKind::Sound, self::verdict($short));
        $enough = $this->type($other, '271 MB/s');
        self::assertSame(VerdictKind::Slow, self::verdict($short), 'it follows at once');
        RunBook::void($enough, 'read off the wrong line', 'Wren');
        self::assertSame(VerdictKind::Sound, self::verdict($short), 'what counts no longer clears nothing');
        RunBook::countAgain($enough, 'it was the right line');
        self::assertSame(VerdictKind::Slow, self::verdict($short));
    }

    public function test_a_card_that_cannot_be_judged_anew_takes_back_no_filing(): void
    {
        $broken = $this->card([...self::V90, 'tag' => 'A-1', 'stand_in' => null]);
        $this->type($broken, '212 MB/s');
        DB::table('cards')
            ->where('id', $broken->id)
            ->update(['form' => 'no such form']);
        $run = $this->type($this->card([...self::V90, 'tag' => 'B-1', 'stand_in' => null]), '281 MB/s');
        self::assertSame(281e6, Run::query()->findOrFail($run->id)->carried);
        self::assertSame('done', Run::query()->findOrFail($run->id)->state->value);
    }

    public function test_another_reader_says_nothing_of_this_one_and_a_stand_in_of_none(): void
    {
        $short = $this->shortOfItsClaim();
        $this->type($this->card([...self::V90, 'tag' => 'B-1', 'stand_in' => null]), '285 MB/s', 'R6');
        self::assertSame(VerdictKind::Sound, self::verdict($short));
        $this->conduct(
            $this->card([...self::V90, 'tag' => 'C-1', 'stand_in' => 'honest,size=128GB,write=250MB/s,read=285MB/s']),
            'speed',
            'Tray 2',
        );
        self::assertSame(VerdictKind::Sound, self::verdict($short));
    }

    public function test_what_a_reader_carried_counts_at_any_port_that_is_sure_to_give_as_much(): void
    {
        $slow = $this->card([...self::V90, 'tag' => 'A-1', 'read' => 285e6, 'stand_in' => null]);
        $this->type($this->card([...self::V90, 'tag' => 'B-1', 'stand_in' => null]), '285 MB/s');
        $this->type($slow, '210 MB/s', 'R2', 'port 3');
        self::assertSame(VerdictKind::Slow, self::verdict($slow));
        $slow->runs()->each(function (Run $run): void {
            RunBook::void($run, 'typed for the wrong card', 'Wren');
        });
        self::assertSame(VerdictKind::Unproven, self::verdict($slow));
    }

    public function test_a_label_that_is_corrected_settles_the_bus_anew_from_the_runs_as_they_were_measured(): void
    {
        // 87 MB/s of a claim of 250: far below UHS-II, and what UHS-I gives.
        $card = $this->card([
            'capacity' => 128_000_000_000,
            'family' => 'SDXC',
            'bus' => 'uhs-ii',
            'marks' => ['U3', 'V60'],
            'read' => 250e6,
            'write' => null,
            'contact_rows' => 2,
            'stand_in' => 'honest,size=128GB,write=80MB/s,read=87MB/s',
        ]);
        $run = $this->conduct($card, 'speed', 'Tray 2');
        $said = fn (): string => (string) json_encode(
            $this->get('/measure/T-1')->inertiaProps('margin.reasons'),
            JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
        self::assertStringContainsString('34 % of the label’s 250 MB/s, well short', $said());
        $chain = $run->chain;
        $card->refresh()->update(['bus' => 'uhs-i', 'marks' => ['U3', 'V30'], 'read' => 95e6, 'contact_rows' => 1]);
        self::assertStringContainsString('91 % of the label’s 95 MB/s, near the label', $said());
        $card->refresh()->update(['read' => 104e6]);
        self::assertStringContainsString('not judged here', $said());
        self::assertEquals($chain, $run->refresh()->chain, 'what was measured stays as it was');
        self::assertSame([Bus::UhsII], $run->chain->slot);
    }

    public function test_errors_from_one_address_on_convict_only_when_they_are_met_again_with_the_card_out_in_between(): void
    {
        $card = $this->card(['stand_in' => 'refuses,size=32GB,true=18GB']);
        $this->conduct($card, 'proof', 'Tray 3');
        self::assertSame(VerdictKind::Shaky, self::verdict($card));
        self::assertSame('prove-again', $card->refresh()->next_step->value);
        $this->conduct($card, 'proof', 'Tray 3');
        self::assertSame(VerdictKind::Shaky, self::verdict($card), 'nobody says that it was out');
        // In another slot it cannot be without having been taken out.
        $this->conduct($card, 'proof', 'Tray 1');
        self::assertSame(VerdictKind::Sham, self::verdict($card));
    }

    public function test_who_says_that_a_card_was_put_in_again_is_believed(): void
    {
        $card = $this->card(['stand_in' => 'refuses,size=32GB,true=18GB']);
        $this->conduct($card, 'proof', 'Tray 3');
        $again = fn () => $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'proof',
            'slot' => $this->slot('Tray 3')->id,
            'reinserted' => true,
        ])->assertSessionHasNoErrors();
        $again();
        self::assertTrue($this->carryOut()->proof()?->reinserted);
        // In one reader it may be the reader that ends there, out in between or not.
        self::assertSame(VerdictKind::Shaky, self::verdict($card));
    }

    public function test_a_voided_run_changes_nothing(): void
    {
        $card = $this->card();
        $this->conduct($card, 'proof', 'Tray 3');
        $before = $this->get('/measure/T-1')->inertiaProps('margin.reasons');
        $wrong = $this->type($card->refresh(), '93 MB/s', 'R3', 'port 3');
        self::assertNotEquals($before, $this->get('/measure/T-1')->inertiaProps('margin.reasons'));
        RunBook::void($wrong, 'typed for another card', 'Wren');
        self::assertEquals($before, $this->get('/measure/T-1')->inertiaProps('margin.reasons'));
    }
}
