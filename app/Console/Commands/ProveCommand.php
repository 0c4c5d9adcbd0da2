<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\Console\ProofsMedium;
use App\Console\TerminalObserver;
use App\Runs\Conducting\CheckpointFile;
use App\Runs\Conducting\LaidMedium;
use App\Runs\Conducting\LeftOnMedium;
use InvalidArgumentException;
use Tally\Probe\Proof\Checkpoint;
use Tally\Probe\Proof\FullProof;
use Tally\Record\RunKind;

/** Exit codes: 0 all holds, 1 something does not, 2 could not run (to the end). */
final class ProveCommand extends ProofsMedium
{
    protected $signature = 'tally:prove
        {path : The folder where the card is mounted, with --raw a device or an image, or a stand-in such as stand-in:wraps,size=32GB}
        {--raw : Prove the whole medium without its file system; everything on it is lost}
        {--erase= : With --raw, the path once more}
        {--why= : Why a medium of another size than its card’s label is to be erased all the same}
        {--size= : How much to prove, such as 8GB; all there is if left out}
        {--whole-map : Write and read all of it even if it shows early that it is a fake}
        {--resume : Go on with the proof of this medium that was stopped, killed or unplugged}
        {--again : Read back once more what a proof wrote, after the card was taken out and put in again}
        {--keep : When stopped, leave its files in the folder, so that --resume can go on}
        {--card= : Tag of the card to file the result under}
        {--lost= : Why footage on it that is not secured may be lost}
        {--json : Print the result as JSON}';

    protected $description = 'Full proof: fill a card with known data and read all of it back';

    private ?Checkpoint $from = null;

    protected function lay(MediumAtHand $medium): LaidMedium
    {
        if ($this->option('resume') !== true && $this->option('again') !== true) {
            CheckpointFile::forget($medium->path);

            return $medium->lay($medium->size);
        }
        $kept = CheckpointFile::load($medium->path);
        $this->from = $this->checkpoint($kept);

        return $medium->layOutAgain($this->from, $kept);
    }

    protected function conduct(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch): int
    {
        $saver = $medium->isSimulated() ? null : $medium->checkpointFile($laid);
        $result =
            $this->from === null
                ? FullProof::on(
                    $laid->device,
                    $laid->clock,
                    $watch,
                    $medium->size,
                    lookBack: $this->option('whole-map') !== true,
                    saver: $saver,
                )
                : FullProof::continued($this->from, $laid->device, $laid->clock, $watch, saver: $saver);
        $watch->finish();
        if ($medium->isRaw && $result->checkpoint() !== null) {
            $medium->checkpointFile($laid)->put($result->checkpoint());
        }
        if (! $medium->isRaw && $result->stopped && $this->option('keep') === true) {
            $this->complain('Its files stay in the folder. Continue with --resume; the next run there without it removes them.');
            $laid->device->leave();
        }

        return $this->conclude($medium, $laid, RunKind::Proof, $result);
    }

    private function checkpoint(LeftOnMedium $kept): Checkpoint
    {
        $from =
            $kept->checkpoint ??
            throw new InvalidArgumentException('The last run on this medium was no full proof: there is nothing to continue.');
        if ($this->option('again') !== true) {
            return $from;
        }

        return $from->allWritten
            ? $from->readAnew()
            : throw new InvalidArgumentException('The proof of this medium was not written to its end: continue it with --resume first.');
    }
}
