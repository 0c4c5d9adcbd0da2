<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Stations\Lane;
use Symfony\Component\Process\Process;

/** A station at work as it is: one process that forks for what is ordered. */
final class ShiftTest extends StationTestCase
{
    private function begin(): Process
    {
        $process = new Process(
            [PHP_BINARY, base_path('artisan'), 'tally:station'],
            base_path(),
            ['TALLY_FOLDERS' => '/tmp', 'TALLY_PLAIN_FOLDERS' => '', 'TALLY_PROOFS_AT_ONCE' => '2'],
            timeout: 120,
        );
        $process->start();

        return $process;
    }

    private function order(string $bay): Run
    {
        $point = $this->mounted('ext4', 900);
        $slot = $this->bay($bay, $point);
        $card = $this->smallCard(900 << 20, 'L-'.substr($bay, -1));
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $slot, 'size' => '800 MB'])->assertSessionHasNoErrors();

        return $this->newest();
    }

    public function test_what_goes_on_outlives_its_leader_and_one_that_dies_takes_no_other_along(): void
    {
        $long = $this->order('Bay 1');
        $short = $this->order('Bay 2');
        $first = $this->begin();
        $lanes = Lane::all($this->station());
        self::until(
            fn (): bool => Run::query()->where('state', RunState::Running)->whereNotNull('checkpoint')->count() === 2,
            'both go on at once',
        );
        self::assertSame([0, 1], Run::query()->orderBy('lane')->pluck('lane')->all());
        $worker = (new Lane($this->station(), $lanes[1]->queue, (int) $short->refresh()->lane))->process();
        self::assertNotNull($worker);
        self::assertNotSame($first->getPid(), $worker);

        // The leader is killed: what it has begun goes on, and the next one does not say that it is dead.
        $first->signal(SIGKILL);
        $first->wait();
        $second = $this->begin();
        posix_kill($worker, SIGKILL);
        self::until(fn (): bool => $short->refresh()->state === RunState::Interrupted, 'what died is said to have');
        self::assertStringContainsString('It can be continued from there.', (string) $short->message);
        self::until(fn (): bool => ! $long->refresh()->state->isGoing(), 'the other comes to its end', 60);
        self::assertSame([RunState::Done, null], [$long->state, $long->message]);

        // Ended, it ends what goes on, which settles what it wrote.
        $this->post("/runs/{$short->id}/go-on")->assertSessionHasNoErrors();
        self::until(fn (): bool => $short->refresh()->state === RunState::Running, 'it goes on');
        $second->signal(SIGTERM);
        self::assertSame(0, $second->wait(), $second->getErrorOutput());
        self::assertContains($short->refresh()->state, [RunState::Stopped, RunState::Done]);
        self::assertNull($this->station()->holder, 'the name is given back');
        self::assertSame([], array_filter($lanes, fn (Lane $lane): bool => ! $lane->isFree()));
    }
}
