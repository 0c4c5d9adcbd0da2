<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Pages\Around\Tray;
use Illuminate\Support\Facades\DB;
use Tally\Measured\Chain;
use Tally\Probe\Observing\Phase;
use Tally\Probe\Observing\Progress;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Value\Values;
use Tests\TestCase;

/** What an open page asks for: all cards once, then only what changed, and the one run that it follows. */
final class PulseTest extends TestCase
{
    /** @return list<string> */
    private function changed(string $since): array
    {
        return array_values(
            array_filter(
                array_map(
                    fn (mixed $row): mixed => is_array($row) ? $row['tag'] : null,
                    (array) $this->getJson('/pulse?since='.urlencode($since))->json('tray'),
                ),
                is_string(...),
            ),
        );
    }

    private static function now(): string
    {
        $now = DB::scalar('SELECT NOW(6)');

        return is_string($now) ? $now : '';
    }

    public function test_the_cards_come_once_and_then_only_those_that_changed(): void
    {
        foreach (['T-1', 'T-2', 'T-3'] as $tag) {
            $this->card(['tag' => $tag]);
        }
        $first = $this->getJson('/pulse')->assertOk();
        self::assertSame(3, $first->json('frame.cards'));
        self::assertCount(3, (array) $first->json('tray'));
        $mark = self::now();
        self::assertSame([], $this->changed($mark));
        // Whatever changes what the tray shows, by the models or past them.
        DB::table('cards')
            ->where('tag', 'T-2')
            ->update(['line' => 'another line']);
        self::assertSame(['T-2'], $this->changed($mark));
        $mark = self::now();
        $run = Run::query()->create([
            'card_id' => DB::table('cards')->where('tag', 'T-3')->value('id'),
            'station_id' => $this->station()->id,
            'kind' => RunKind::Sustained,
            'state' => RunState::Waiting,
            'chain' => Chain::unnamed(),
            'parameters' => new SizeParameters(),
        ]);
        self::assertSame(['T-3'], $this->changed($mark));
        $mark = self::now();
        Run::query()
            ->whereKey($run->id)
            ->update(['progress' => Values::json(new Progress(Phase::Reading, 1, 1, 2, done: 1, total: 2, seconds: 1.0, rate: null))]);
        self::assertSame([], $this->changed($mark), 'that it goes on is asked of the run, and changes no card');
        Run::query()
            ->whereKey($run->id)
            ->update(['state' => RunState::Failed]);
        self::assertSame(['T-3'], $this->changed($mark));
        // What is no mark of ours is answered with all of them.
        self::assertCount(3, $this->changed("' or 1=1"));
    }

    public function test_a_card_that_turns_bad_changes_its_whole_lot(): void
    {
        foreach (['T-1', 'T-2'] as $tag) {
            $this->card(['tag' => $tag, 'lot' => 'L-7']);
        }
        $this->card(['tag' => 'T-3']);
        $mark = self::now();
        DB::table('cards')
            ->where('tag', 'T-1')
            ->update(['verdict' => 'Sham']);
        self::assertSame(['T-1', 'T-2'], $this->changed($mark));
        self::assertSame('1 of 2', $this->inTray('T-2')['badLot']);
    }

    /**
     * @param  array<string, mixed>  $sought
     * @return list<mixed> tags
     */
    private function found(array $sought): array
    {
        return array_column((array) $this->getJson('/pulse?'.http_build_query(['since' => self::now(), ...$sought]))->json('tray'), 'tag');
    }

    public function test_a_large_house_gives_the_first_of_its_cards_and_any_other_when_it_is_looked_for(): void
    {
        $this->card(['tag' => 'T-00001']);
        $row = DB::table('cards')->where('tag', 'T-00001')->get()->map(fn (object $one): array => (array) $one)->all()[0];
        unset($row['id']);
        foreach (array_chunk(range(2, Tray::HELD + 300), 500) as $some) {
            DB::table('cards')->insert(array_map(fn (int $i): array => [...$row, 'tag' => sprintf('T-%05d', $i)], $some));
        }
        $of = fn (int $i): string => sprintf('T-%05d', $i);
        DB::table('cards')->where('tag', $of(2200))->update(['verdict' => 'Sham', 'line' => '50% of 64_GB']);
        DB::table('cards')->where('tag', $of(2201))->update(['due_on' => '2020-01-01']);
        $first = $this->getJson('/pulse')->assertOk();
        self::assertTrue($first->json('anew'));
        self::assertCount(Tray::HELD, (array) $first->json('tray'));
        self::assertSame(Tray::HELD + 300, $first->json('frame.cards'));
        self::assertSame([1, Tray::HELD + 299], [$first->json('frame.due'), $first->json('frame.unproven')]);
        // By what is typed, in any letters and order; what stands for anything elsewhere stands here for itself.
        self::assertSame([$of(2250)], $this->found(['find' => 't-02250']));
        self::assertSame([$of(2200)], $this->found(['find' => 'SHAM gb']));
        self::assertSame([$of(2200)], $this->found(['find' => '50%']));
        self::assertSame([$of(2200)], $this->found(['find' => '64_']));
        self::assertSame([], $this->found(['find' => 'nobody has this']));
        self::assertCount(100, $this->found(['find' => 't-']));
        self::assertSame([$of(2201)], $this->found(['only' => 'due']));
        self::assertCount(100, $this->found(['only' => 'unproven']));
        // By tag, and with its neighbours.
        self::assertSame([$of(2222), $of(2299)], $this->found(['tags' => [$of(2299), $of(2222), 'X-1', ['a']]]));
        self::assertSame([$of(2250), $of(2251)], array_slice($this->found(['around' => $of(2250)]), 30, 2));
        self::assertSame([], $this->found(['only' => ['due'], 'find' => ['a'], 'around' => ['b'], 'tags' => 'c']));
        // More that changed than a page holds is told as a house anew.
        DB::table('cards')->update(['footage' => 1]);
        $answer = $this->getJson('/pulse?since='.urlencode('2020-01-01 00:00:00'))->assertOk();
        self::assertTrue($answer->json('anew'));
        self::assertCount(Tray::HELD, (array) $answer->json('tray'));
    }

    public function test_the_line_is_counted_again_when_a_card_changed(): void
    {
        $card = $this->card();
        $waiting = fn (): mixed => $this->getJson('/pulse')->json('frame.stages.1.waiting');
        DB::table('cards')->update(['next_step' => 'inspect']);
        self::assertSame(1, $waiting());
        DB::table('cards')->update(['retired_on' => '2026-01-01']);
        self::assertSame(0, $waiting());
        // A day later more is due, though no card changed.
        $card->refresh()->forceFill(['retired_on' => null, 'due_on' => now()->addDay()->format('Y-m-d')])->save();
        self::assertSame(0, $this->getJson('/pulse')->json('frame.due'));
        $this->travel(1)->days();
        self::assertSame(1, $this->getJson('/pulse')->json('frame.due'));
    }

    public function test_a_run_is_followed_in_few_bytes_however_many_cards_there_are(): void
    {
        $card = $this->card();
        $run = Run::query()->create([
            'card_id' => $card->id,
            'station_id' => $this->station()->id,
            'kind' => RunKind::Proof,
            'state' => RunState::Running,
            'started_at' => now(),
            'chain' => Chain::unnamed(),
            'parameters' => new SizeParameters(),
            'progress' => new Progress(Phase::Reading, 1, 500, 1000, done: 1500, total: 2000, seconds: 270.0, rate: 5e6),
        ]);
        $mark = self::now();
        $answer = $this->getJson('/pulse?since='.urlencode($mark)."&run={$run->id}");
        self::assertSame(0.75, $answer->json('running.progress.share'));
        self::assertSame([], $answer->json('tray'));
        self::assertLessThan(1000, strlen((string) $answer->getContent()));
        $run->forceFill(['state' => RunState::Done])->save();
        self::assertNull($this->getJson("/pulse?run={$run->id}")->json('running'));
    }
}
