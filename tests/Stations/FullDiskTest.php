<?php

declare(strict_types=1);

namespace Tests\Stations;

use App\Http\ErrorPage;
use App\Models\Runs\RunState;
use ErrorException;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\Log;
use PDOException;
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

    public function test_a_full_disk_of_the_station_loses_no_result_while_the_books_answer(): void
    {
        $storage = $this->folder();
        if (posix_geteuid() !== 0) {
            self::markTestSkipped('A disk of half a megabyte is for root to mount.');
        }
        self::shell("mount -t tmpfs -o size=512k none {$storage}");
        try {
            foreach (['app/private', 'framework/cache', 'framework/views', 'logs'] as $folder) {
                mkdir("{$storage}/{$folder}", recursive: true);
            }
            self::shell("dd if=/dev/zero of={$storage}/filled bs=4k count=200 || true");
            $card = $this->card();
            $this->post("/cards/{$card->tag}/runs", ['kind' => 'proof', 'slot' => $this->slot('Tray 3')->id])->assertSessionHasNoErrors();
            $worker = $this->worker(['LARAVEL_STORAGE_PATH' => $storage, 'TALLY_STAND_IN_SECONDS' => '0']);
            $worker->wait();
            $run = $this->newest();
            self::assertSame([RunState::Done, null], [$run->state, $run->message], $worker->getErrorOutput());
            self::assertNotNull($run->proof());
        } finally {
            self::shell("umount -l {$storage}");
        }
    }

    public function test_books_that_only_read_and_a_log_that_cannot_be_written_get_a_sentence(): void
    {
        $card = $this->card();
        $fault = fn (int $code): QueryException => new QueryException('mariadb', 'INSERT', [], new class($code) extends PDOException
        {
            public function __construct(int $code)
            {
                parent::__construct('refused');
                $this->errorInfo = ['HY000', $code, 'refused'];
            }
        });
        foreach ([1290 => 'only reads just now', 1114 => 'The disk of the database is full', 2002 => 'does not answer'] as $code => $says) {
            $page = ErrorPage::page($fault($code), request());
            self::assertSame(503, $page?->getStatusCode());
            self::assertStringContainsString($says, (string) $page->getContent());
        }
        $full = new ErrorException('fwrite(): Write of 8192 bytes failed with errno=28 No space left on device');
        self::assertSame(507, ErrorPage::page($full, request())?->getStatusCode());
        config(['logging.channels.single.path' => '/proc/nowhere/laravel.log']);
        Log::forgetChannel('kept');
        Log::forgetChannel('single');
        Log::error('not written anywhere');
        self::assertSame($card->id, $card->refresh()->id);
    }
}
