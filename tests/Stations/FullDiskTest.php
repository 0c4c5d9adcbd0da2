<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Runs\RunState;
use Tally\Record\RunKind;
use Tally\Verdict\VerdictKind;

/** Full, gone, refused and read-only are never fake: in a worker where the framework has put its error handler up. */
final class FullDiskTest extends StationTestCase
{
    public function test_a_card_that_another_program_fills_up_in_mid_proof_is_not_called_a_sham(): void
    {
        $point = $this->mounted('exfat', 96);
        $card = $this->smallCard(96 << 20);
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->bay('Bay 1', $point)])->assertSessionHasNoErrors();
        $worker = $this->worker();
        self::until(fn (): bool => self::bytesIn($point) > 8 << 20, 'the proof has written 8 MB');
        self::shell("dd if=/dev/zero of={$point}/camera.mov bs=1M");
        $worker->wait();
        $run = $this->newest();
        self::assertSame(RunKind::Proof, $run->kind);
        self::assertStringContainsString('was full after', (string) $run->message, $worker->getErrorOutput());
        self::assertSame(
            [],
            array_filter(
                $run->proof()->classes ?? [],
                fn (int $bytes, string $class): bool => $class !== 'holds' && $bytes > 0,
                ARRAY_FILTER_USE_BOTH,
            ),
        );
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
        self::assertNotSame(RunState::Running, $run->state);
    }

    public function test_a_card_that_turns_read_only_in_mid_proof_ends_the_run_and_is_not_blamed(): void
    {
        $point = $this->mounted('ext4', 96);
        $card = $this->smallCard(96 << 20);
        $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->bay('Bay 1', $point)])->assertSessionHasNoErrors();
        $worker = $this->worker();
        self::until(fn (): bool => self::bytesIn($point) > 4 << 20, 'the proof has written 4 MB');
        self::shell("mount -o remount,abort {$point}; mount -o remount,ro {$point}");
        $worker->wait();
        $run = $this->newest();
        self::assertStringContainsString('read-only', (string) $run->message, $worker->getErrorOutput());
        self::assertSame(RunState::Interrupted, $run->state);
        self::assertSame(VerdictKind::Unproven, $card->refresh()->verdict);
    }

    public function test_a_bay_whose_card_is_out_fills_no_disk_of_the_host(): void
    {
        config(['tally.plain_folders' => []]);
        $point = $this->folder();
        $card = $this->card(['stand_in' => null]);
        $slot = $this->bay('Bay 1', $point);
        foreach (['proof', 'speed', 'sustained', 'files'] as $kind) {
            $this->post("/cards/{$card->tag}/runs", [
                'kind' => $kind,
                'slot' => $slot,
                'size' => '4 MB',
                'runs' => $kind === 'speed' ? 2 : null,
            ])->assertSessionHasErrors([
                'slot' => "No card is mounted at “{$point}”: it is a plain folder on this host’s own disk. Put the card in and ".
                'mount it there. If a plain folder is meant, whoever looks after the station adds it to TALLY_PLAIN_FOLDERS in .env.',
            ]);
        }
        self::assertSame([], self::everything($point));
    }

    public function test_a_card_that_is_taken_out_between_order_and_run_leaves_the_host_alone(): void
    {
        config(['tally.plain_folders' => []]);
        $point = $this->mounted('ext4', 64);
        $card = $this->card(['stand_in' => null]);
        $this->post("/cards/{$card->tag}/runs", [
            'kind' => 'speed',
            'slot' => $this->bay('Bay 1', $point),
            'size' => '4 MB',
            'runs' => 2,
        ])->assertSessionHasNoErrors();
        self::shell("umount {$point}");
        $this->worker()->wait();
        $run = $this->newest();
        self::assertSame(RunState::Failed, $run->state);
        self::assertStringContainsString('No card is mounted at', (string) $run->message);
        self::assertSame([], self::everything($point));
    }
}
