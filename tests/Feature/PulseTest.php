<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Runs\Run;
use App\Runs\RunState;
use Illuminate\Support\Facades\DB;
use Tally\Measured\Chain;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
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
        self::assertSame(3, $first->json('cards'));
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
            ->update(['progress' => '{"share":0.5}']);
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
            'progress' => ['phase' => 'reading', 'run' => 1, 'at' => 500, 'of' => 1000, 'share' => 0.75, 'rate' => 5e6, 'left' => 90.0],
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
