<?php

declare(strict_types=1);

namespace App\Kit;

use App\Models\Kit\DriveCheck;
use App\Models\Kit\DriveCheckState;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/** A drive is held against its lists, by a worker of the bench where it is plugged in. */
final class VerifyDrive implements ShouldQueue
{
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    /** A large drive takes a day. */
    public int $timeout = 0;

    public function __construct(public readonly int $check) {}

    public function handle(DriveChecks $checks): void
    {
        $checks->carryOut(DriveCheck::query()->with('station')->findOrFail($this->check));
    }

    public function failed(?Throwable $fault): void
    {
        DriveCheck::query()->whereKey($this->check)->update([
            'state' => DriveCheckState::Failed,
            'message' => 'The program itself failed; the log of this station says where: '.
                mb_substr($fault?->getMessage() ?? 'no reason was given', 0, 400),
            'ended_at' => now(),
        ]);
    }
}
