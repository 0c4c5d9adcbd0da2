<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Runs\Filing\RunBook;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use Tests\TestCase;

/** Runs held against each other: readers, hosts, cables and cards; limits; twins. */
final class CompareTest extends TestCase
{
    private function uhsTwo(string $tag, float $read, string $name = 'Marrowick Tideline'): Card
    {
        return $this->card([
            'tag' => $tag,
            'name' => $name,
            'bus' => 'uhs-ii',
            'marks' => ['U3', 'V60'],
            'capacity' => 128_000_000_000,
            'family' => 'SDXC',
            'read' => 250e6,
            'write' => 130e6,
            'stand_in' => "honest,size=128GB,write=118MB/s,read={$read}MB/s,seed=".crc32($tag) % 1000,
        ]);
    }

    public function test_two_readers_are_compared_by_the_cards_that_were_in_both(): void
    {
        foreach (['T-1' => 238, 'T-2' => 240, 'T-3' => 235] as $tag => $read) {
            $card = $this->uhsTwo($tag, $read);
            $this->conduct($card, 'speed', 'Tray 2');
            $this->conduct($card, 'speed', 'Tray 3');
        }
        $this->conduct($this->uhsTwo('T-4', 120), 'speed', 'Tray 2'); // in no pair
        $this->get('/compare?by=reader&way=read&a=R3&b=R2&amount=100+GB')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Compare')
                ->has('compare.pairs', 3)
                ->where('compare.pairs.0.tendency', 'faster')
                ->has('compare.first.rates', 15)
                ->has('compare.second.rates', 15)
                ->where(
                    'compare.verdict',
                    fn (string $words): bool => str_starts_with($words, 'R2 is faster by 14') && str_contains($words, 'at 95'),
                )
                ->where(
                    'compare.words.0',
                    fn (string $words): bool => str_starts_with($words, 'R2 is 15') && str_ends_with($words, '% less time, of R3.'),
                )
                ->where(
                    'compare.words.1',
                    fn (string $words): bool => str_starts_with($words, 'R3 is 6') && str_contains($words, 'slower than R2'),
                )
                ->where(
                    'compare.words.2',
                    fn (string $words): bool => str_contains($words, '100 GB take 17.') && str_contains($words, 'saved each time'),
                )
                ->where('compare.how', fn (string $words): bool => str_starts_with($words, '3 pairs, the same cards in both')),
        );
    }

    public function test_where_only_some_cards_gain_it_depends_on_the_card(): void
    {
        foreach (['T-1' => 238, 'T-2' => 240, 'T-3' => 60] as $tag => $read) {
            $card = $this->uhsTwo($tag, $read);
            $this->conduct($card, 'speed', 'Tray 2');
            $this->conduct($card, 'speed', 'Tray 3');
        }
        $this->get('/compare?by=reader&way=read&a=R3&b=R2')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'compare.verdict',
                fn (string $words): bool => str_starts_with(
                    $words,
                    'It depends on the card: R2 is faster in 2, inside the noise in 1 of 3 pairs',
                ),
            ),
        );
    }

    public function test_a_run_that_goes_on_is_no_claim_yet(): void
    {
        $card = $this->uhsTwo('T-1', 238);
        $run = $this->conduct($card, 'speed', 'Tray 2');
        $run->replicate()
            ->forceFill(['state' => 'running'])
            ->save();
        $this->get('/measure/T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'claimLine.caption',
                fn (string $words): bool => str_contains($words, $run->name()) && ! str_contains($words, 'running'),
            ),
        );
    }

    public function test_two_cards_on_one_chain_may_differ_by_noise_alone(): void
    {
        $this->conduct($this->uhsTwo('T-1', 238), 'speed', 'Tray 2');
        $this->conduct($this->uhsTwo('T-2', 238), 'speed', 'Tray 2');
        $this->get('/compare?by=card&way=read')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('compare.a', 'T-1')
                ->where('compare.b', 'T-2')
                ->where('compare.verdict', fn (string $words): bool => str_starts_with($words, 'Inside the noise'))
                ->where('compare.how', fn (string $words): bool => str_starts_with($words, 'One pair, R2 on K2 at Cart tower port 2')),
        );
    }

    public function test_hosts_and_cables_without_a_pair_say_what_that_mixes(): void
    {
        $this->conduct($this->uhsTwo('T-1', 238), 'speed', 'Tray 2');
        $this->get('/compare?by=host')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('compare.first', null)
                ->where('compare.verdict', fn (string $words): bool => str_contains($words, 'Fewer than two were measured')),
        );
        $other = $this->conduct($this->uhsTwo('T-2', 200), 'speed', 'Tray 2');
        DB::table('runs')
            ->where('id', $other->id)
            ->update(['port_id' => DB::table('ports')->where('name', 'rear port')->value('id')]);
        $this->get('/compare?by=host')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->has('compare.pairs', 0)
                ->where('compare.how', fn (string $words): bool => str_contains($words, 'mixes all of them')),
        );
        $this->get('/compare?by=cable')->assertOk();
        $this->get('/compare?by=card&a=T-1&b=T-1')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('compare.verdict', 'Choose two different ones.'),
        );
        $this->get('/compare?by=nonsense&way=up&a[]=x&amount=lots')->assertOk();
        $this->get('/compare?by=card&a=T-1&b=T-2&amount=lots')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where(
                'compare.amountTrouble',
                fn (string $words): bool => str_contains($words, '“lots” is not a size'),
            ),
        );
    }

    public function test_voided_runs_are_left_out_of_every_comparison(): void
    {
        $run = $this->conduct($this->uhsTwo('T-1', 238), 'speed', 'Tray 2');
        $this->conduct($this->uhsTwo('T-2', 238), 'speed', 'Tray 2');
        RunBook::void($run, 'wrong card', 'Wren');
        $this->get('/compare?by=card')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('compare.first', null),
        );
        $this->get('/compare/limits')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('limits.cells', 1)->where('limits.leftOut', 1),
        );
    }

    public function test_hundreds_of_runs_ask_no_more_of_the_database(): void
    {
        $run = $this->conduct($this->uhsTwo('T-1', 238), 'speed', 'Tray 2');
        $count = function (): int {
            DB::flushQueryLog();
            DB::enableQueryLog();
            foreach (['/compare', '/compare/limits', '/compare/twins', '/measure/T-1'] as $page) {
                $this->get($page)->assertOk();
            }

            return count(DB::getQueryLog());
        };
        $few = $count();
        foreach (range(1, 250) as $i) {
            Run::query()->create([
                ...$run->only(['card_id', 'slot_id', 'reader_id', 'cable_id', 'port_id', 'kind', 'state', 'chain', 'parameters', 'result']),
            ]);
        }
        self::assertLessThanOrEqual($few, $count());
        $this->get('/measure/T-1')->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->has('runs', 251));
    }

    public function test_which_link_was_the_limit_and_what_to_run_next(): void
    {
        $fast = $this->uhsTwo('T-1', 238);
        $this->conduct($fast, 'speed', 'Tray 3');
        $this->conduct($fast, 'speed', 'Tray 2');
        $this->conduct($this->card(['tag' => 'T-2']), 'speed', 'Tray 2');
        $this->get('/compare/limits?way=read')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Limits')
                ->has('limits.cells', 3)
                ->where('limits.cells.0.by', 'reader')
                ->where('limits.cells.0.why', fn (string $why): bool => str_contains($why, 'T-1 reached 2'))
                ->where('limits.cells.2.by', 'card')
                ->where('limits.next', null),
        );
    }

    public function test_a_card_is_not_sent_to_a_reader_that_does_not_take_it(): void
    {
        $this->conduct($this->uhsTwo('T-1', 238), 'speed', 'Tray 2');
        $this->conduct(
            $this->card([
                'tag' => 'T-9',
                'form' => 'cfexpress-b',
                'family' => null,
                'bus' => 'cfexpress-2-b',
                'marks' => [],
                'capacity' => 256_000_000_000,
                'read' => 1700e6,
                'write' => null,
                'stand_in' => 'honest,size=256GB,write=900MB/s,read=1500MB/s',
            ]),
            'speed',
            'Tray 5',
        );
        $this->get('/compare/limits')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('limits.cells', 2)->where('limits.next', null),
        );
    }

    public function test_twins_are_shown_with_prices_and_back_codes(): void
    {
        $make = fn (string $tag, string $name, int $price): Card => $this->card([
            'tag' => $tag,
            'name' => $name,
            'back_code' => 'J2 5510',
            'price' => $price,
            'currency' => 'EUR',
            'seller' => 'Fathom Goods',
            'stand_in' => 'honest,size=32GB,write=37MB/s,read=70MB/s,seed=5',
        ]);
        $this->conduct($make('T-1', 'Brindle Harbour', 1640), 'speed', 'Tray 3');
        $this->conduct($make('T-2', 'Ormsay Reach', 2490), 'speed', 'Tray 3');
        $this->get('/compare/twins')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Twins')
                ->has('groups', 1)
                ->has('groups.0.members', 2)
                ->where('groups.0.sharedBackCode', 'J2 5510')
                ->where('groups.0.members.1.price', fn (string $price): bool => str_contains($price, '24.90'))
                ->where('groups.0.words', fn (string $words): bool => str_contains($words, 'the back code J2 5510 is shared')),
        );
    }

    public function test_two_figures_from_anywhere(): void
    {
        $this->postJson('/compare/figures', ['from' => '8.1 s', 'to' => '6.1 s'])
            ->assertJsonPath('words.0', 'From 8.1 s to 6.1 s takes 24.7 % less time and is 32.8 % faster, of 8.1 s.')
            ->assertJsonPath('trouble', null);
        $this->postJson('/compare/figures', ['from' => '8.1 s', 'to' => ['x']])
            ->assertJsonPath('words', [])
            ->assertJsonPath('trouble', fn (string $words): bool => str_contains($words, 'not two figures of one kind'));
        $this->command('tally:reckon', ['first' => '49', '--against' => '59'])
            ->expectsOutputToContain('20.4 % more, of 49')
            ->assertExitCode(0);
        // Handbook §§ 7, 8, common practice: 23 s against 93 s is 4.04 times the speed; 100 GB at 88.5 MB/s is 18.8 min, at 206.2 8.1 min.
        $this->command('tally:reckon', ['first' => '93 s', '--against' => '23 s'])
            ->expectsOutputToContain('4.04 times as fast')
            ->assertExitCode(0);
        $this->command('tally:reckon', ['first' => '100 GB', 'second' => '88.5 MB/s'])
            ->expectsOutputToContain('18.8 min')
            ->assertExitCode(0);
        $this->command('tally:reckon', ['first' => '100 GB', 'second' => '206.2MB/s'])
            ->expectsOutputToContain('8.1 min')
            ->assertExitCode(0);
        $this->command('tally:reckon', ['first' => '20 GB', 'second' => '3:49'])
            ->expectsOutputToContain('87.34 MB/s, 699 Mb/s')
            ->assertExitCode(0);
        $this->command('tally:reckon', ['first' => '10 GB', 'second' => '34 s', 'third' => '317 MB/s'])
            ->expectsOutputToContain('looks like GiB read as GB')
            ->assertExitCode(1);
        $this->command('tally:reckon', ['first' => '20 GB'])
            ->expectsOutputToContain('One figure alone is not enough')
            ->assertExitCode(2);
        $this->command('tally:reckon', ['first' => 'much', 'second' => '3:49'])
            ->expectsOutputToContain('“much” is not a size')
            ->assertExitCode(2);
    }
}
