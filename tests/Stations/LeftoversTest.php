<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Runs\Ordering\OrderRun;

/** What a run that died has left: kept where it can go on, told as it is where it cannot. */
final class LeftoversTest extends StationTestCase
{
    public function test_a_speed_run_does_not_take_away_a_proof_that_can_go_on(): void
    {
        $point = $this->mounted('ext4', 400);
        $slot = $this->bay('Bay 1', $point);
        $card = $this->smallCard(400 << 20);
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $slot, 'size' => '300 MB'])->assertSessionHasNoErrors();
        $proof = $this->newest();
        $worker = $this->worker();
        self::until(fn (): bool => Run::query()->whereKey($proof->id)->whereNotNull('checkpoint')->exists(), 'the proof has kept '.
            'its place');
        $worker->signal(SIGKILL);
        $this->worker()->wait();
        self::assertSame(RunState::Interrupted, $proof->refresh()->state);
        $folder = $proof->checkpoint?->folder;
        self::assertDirectoryExists("{$point}/{$folder}");
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'speed',
            'slot' => $slot,
            'size' => '4 MB',
            'runs' => 2,
        ])->assertSessionHasNoErrors();
        $this->worker()->wait();
        self::assertSame(RunState::Done, $this->newest()->state, (string) $this->newest()->message);
        self::assertDirectoryExists("{$point}/{$folder}");
        // Where it takes all the room, that is said.
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'speed',
            'slot' => $slot,
            'size' => '350 MB',
            'runs' => 2,
        ])->assertSessionHasNoErrors();
        $this->worker()->wait();
        self::assertStringContainsString('a proof that can go on keeps the rest of the card', (string) $this->newest()->message);
        app(OrderRun::class)->goOn($proof->refresh());
        $this->worker()->wait();
        self::assertSame([RunState::Done, 300_000_000], [$proof->refresh()->state, $proof->proof()?->read->bytes->count]);
        self::assertSame(['lost+found'], self::everything($point));
    }

    public function test_what_a_killed_copy_leaves_is_said_to_stay(): void
    {
        $card = $this->mounted('ext4', 300);
        $drive = $this->mounted('ext4', 300);
        mkdir("{$card}/DCIM");
        for ($i = 1; $i <= 24; $i++) {
            file_put_contents("{$card}/DCIM/clip{$i}.mov", random_bytes(10_000_000));
        }
        config(['tally.folders' => ['/tmp']]);
        $held = $this->smallCard(300 << 20);
        $this->post("/cards/{$held->tag}/copies", [
            'slot' => $this->bay('Bay 1', $card),
            'source' => "{$card}/DCIM",
            'into' => $drive,
            'verify' => true,
        ])->assertSessionHasNoErrors();
        $worker = $this->worker();
        self::until(fn (): bool => is_file("{$drive}/DCIM/clip1.mov"), 'the first file is copied');
        $worker->signal(SIGKILL);
        $this->worker()->wait();
        $message = (string) $this->newest()->message;
        self::assertStringContainsString("What it had copied stays in {$drive}", $message);
        self::assertStringNotContainsString('removed when that card', $message);
        self::assertDirectoryExists("{$drive}/DCIM");
    }
}
