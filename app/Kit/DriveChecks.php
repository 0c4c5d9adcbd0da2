<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\Drive;
use App\Models\Kit\DriveCheck;
use App\Models\Kit\DriveCheckState;
use App\Models\Stations\Station;
use App\Models\When;
use App\Offload\Carrying\CopyLook;
use Illuminate\Contracts\Bus\Dispatcher;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Device\AllowedFolders;
use Tally\Device\Fault\DeviceFault;
use Tally\Device\Fault\UnusablePath;
use Tally\Device\HostClock;
use Tally\Probe\Observing\Observer;
use Tally\Probe\Observing\Progress;
use Tally\Transfer\Filed\TreeCheck;
use Tally\Transfer\Filed\TreeFinding;
use Tally\Transfer\FilePath;

/**
 * Drives that are held against their lists: asked for on their page, carried out by a worker, entered in the books.
 *
 * @phpstan-type DriveCheckProps array{ // A drive that was held against its lists, or is.
 *     id: int,
 *     folder: string,
 *     by: string,
 *     on: string,
 *     state: string, // in a word
 *     isOver: bool,
 *     share: float, // of its bytes that were read, 0 to 1
 *     message: string, // what came of it
 *     lines: list<string>, // what was found
 * }
 */
final readonly class DriveChecks
{
    private const SHOWN = 5;

    private const LINES = 40;

    public function __construct(private AllowedFolders $allowed) {}

    /** @throws ValidationException where it cannot be looked at */
    public static function order(Drive $drive, string $folder, string $by): DriveCheck
    {
        $station = Station::mustBeHere();
        try {
            app(AllowedFolders::class)->admitWithin($folder);
        } catch (UnusablePath $fault) {
            throw ValidationException::withMessages(['folder' => $fault->getMessage()]);
        }
        $check = DB::transaction(function () use ($drive, $folder, $by, $station): DriveCheck {
            Drive::query()->whereKey($drive->id)->lockForUpdate()->first();
            $over = array_filter(DriveCheckState::cases(), fn (DriveCheckState $state): bool => $state->isOver());
            if (DriveCheck::query()->where('drive', $drive->tag)->whereNotIn('state', $over)->exists()) {
                throw ValidationException::withMessages([
                    'folder' => "{$drive->tag} is being looked at already. Let that end, or stop it.",
                ]);
            }

            return DriveCheck::query()->create([
                'station_id' => $station->id,
                'drive' => $drive->tag,
                'folder' => $folder,
                'by' => $by,
                'state' => DriveCheckState::Waiting,
                'asked_at' => now(),
            ]);
        });
        app(Dispatcher::class)->dispatch((new VerifyDrive($check->id))->onQueue($station->offloadQueue())->afterCommit());

        return $check;
    }

    public static function stop(DriveCheck $check): void
    {
        if (! $check->state->isOver()) {
            $isWaiting = $check->state === DriveCheckState::Waiting;
            $check->forceFill([
                'state' => $isWaiting ? DriveCheckState::Failed : DriveCheckState::Stopping,
                'message' => $isWaiting ? 'Stopped before it began.' : null,
                'ended_at' => $isWaiting ? now() : null,
            ])->save();
        }
    }

    /** What a worker died over. */
    public static function closeLeft(Station $station): void
    {
        $going = DriveCheck::query()
            ->where('station_id', $station->id)
            ->whereIn('state', [DriveCheckState::Going, DriveCheckState::Stopping])
            ->get();
        foreach ($going as $check) {
            if (! is_dir("/proc/{$check->pid}")) {
                $check->forceFill([
                    'state' => DriveCheckState::Failed,
                    'message' => 'The worker of this station died over it. Ask for it once more.',
                    'ended_at' => now(),
                ])->save();
            }
        }
    }

    public function carryOut(DriveCheck $check): void
    {
        if ($check->state !== DriveCheckState::Waiting) {
            return;
        }
        $check->forceFill(['state' => DriveCheckState::Going, 'pid' => (int) getmypid()])->save();
        try {
            $tree = TreeCheck::of($this->allowed->admitWithin($check->folder));
            $check->forceFill(['total' => $tree->bytes()])->save();
            $finding = $tree->run(new HostClock(), self::watching($check));
            $entered = CopyLook::enter($finding, $check->by);
            self::ended($check, $finding, (int) $entered);
        } catch (DeviceFault $fault) {
            $check->forceFill([
                'state' => DriveCheckState::Failed,
                'message' => mb_substr($fault->getMessage(), 0, 500),
                'ended_at' => now(),
            ])->save();
        }
    }

    private static function ended(DriveCheck $check, TreeFinding $finding, int $entered): void
    {
        $lines = [];
        foreach ($finding->folders as $one) {
            $name = FilePath::shown(basename($one->folder));
            foreach ($one->lines() as $line) {
                $lines[] = "{$name}: {$line}";
            }
        }
        foreach ($finding->withoutList as $folder) {
            $lines[] = FilePath::shown($folder).': no list, so nothing can be said of it';
        }
        $count = count($finding->folders);
        $files = array_sum(array_map(fn ($one): int => $one->same, $finding->folders));
        $check->forceFill([
            'state' => match (true) {
                ! $finding->isAsListed() => DriveCheckState::Wrong,
                $finding->wasStopped() => DriveCheckState::Failed,
                default => DriveCheckState::Right,
            },
            'message' => "{$files} files in {$count} ".($count === 1 ? 'folder' : 'folders').' are as listed'.
                ($finding->wasStopped() ? '; stopped, and the rest was not looked at' : '').
                ($entered > 0 ? ". Entered with {$entered} ".($entered === 1 ? 'copy' : 'copies').' of the books.' : '.'),
            'lines' => array_map(fn (string $line): string => mb_substr($line, 0, 300), array_slice($lines, 0, self::LINES)),
            'ended_at' => now(),
        ])->save();
    }

    private static function watching(DriveCheck $check): Observer
    {
        return new class($check) implements Observer
        {
            private float $told = 0.0;

            private bool $stop = false;

            public function __construct(private readonly DriveCheck $check) {}

            public function progress(Progress $progress): void
            {
                $now = hrtime(true) / 1e9;
                if ($now - $this->told > 0.5) {
                    $this->told = $now;
                    DriveCheck::query()->whereKey($this->check->id)->update(['done' => $progress->done]);
                    $this->stop = DriveCheck::query()->whereKey($this->check->id)->value('state') === DriveCheckState::Stopping;
                }
            }

            public function wantsStop(): bool
            {
                return $this->stop;
            }
        };
    }

    /** @return list<DriveCheckProps> the newest first */
    public static function of(string $drive): array
    {
        return array_values(
            DriveCheck::query()
                ->where('drive', $drive)
                ->latest('id')
                ->limit(self::SHOWN)
                ->get()
                ->map(
                    fn (DriveCheck $one): array => [
                        'id' => $one->id,
                        'folder' => $one->folder,
                        'by' => $one->by,
                        'on' => $one->asked_at->format(When::MOMENT),
                        'state' => $one->state->value,
                        'isOver' => $one->state->isOver(),
                        'share' => $one->total === 0 ? 0.0 : min(1.0, $one->done / $one->total),
                        'message' => $one->message ?? '',
                        'lines' => $one->lines ?? [],
                    ],
                )
                ->all(),
        );
    }
}
