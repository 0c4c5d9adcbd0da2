<?php

declare(strict_types=1);

namespace App\Offload\Carrying;

use App\Models\Offload\CopyState;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Queue\InteractsWithQueue;
use Throwable;

/** Copies of one card that are made in one go, waiting on their station's own queue. */
final class CarryCopies implements ShouldQueue
{
    use InteractsWithQueue;
    use Queueable;

    public int $tries = 1;

    /** A card may take hours. */
    public int $timeout = 0;

    /** @param  list<int>  $copies  of the books */
    public function __construct(public readonly int $card, public readonly array $copies) {}

    public function handle(RealCopies $copying): void
    {
        $card = OffloadCard::query()
            ->with(['offload.station', 'card', 'copies'])
            ->findOrFail($this->card);
        $copies = array_values($card->copies->whereIn('id', $this->copies)->where('state', CopyState::Ordered)->all());
        foreach ($copies as $copy) {
            // By which it is found again if this worker dies.
            $copy
                ->forceFill([
                    'worker' => config('tally.lane'),
                    'job_id' => is_numeric($id = $this->job?->getJobId()) ? (int) $id : null,
                ])
                ->save();
        }
        if ($copies !== []) {
            $copying->make($card, $copies);
        }
    }

    /** Whatever it was: the offload goes on, and says so. */
    public function failed(?Throwable $fault): void
    {
        $copies = OffloadCopy::query()->whereIn('id', $this->copies)->where('state', '!=', CopyState::Verified)->get();
        RealCopies::fail(
            array_values($copies->all()),
            'The program itself failed; the log of this station says where: '.
                mb_substr($fault?->getMessage() ?? 'no reason was given', 0, 400),
        );
        $card = OffloadCard::query()->with('offload')->find($this->card);
        if ($card !== null) {
            RealCopies::follow($card->offload);
        }
    }
}
