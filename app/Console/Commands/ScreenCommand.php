<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Console\MediumAtHand;
use App\Console\ProofsMedium;
use App\Console\TerminalObserver;
use App\Runs\Conducting\CheckpointFile;
use App\Runs\Conducting\LaidMedium;
use InvalidArgumentException;
use Tally\Probe\Screen\QuickScreen;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Record\RunKind;

/** Exit codes: 0 all places hold, 1 some do not, 2 could not run (to the end). */
final class ScreenCommand extends ProofsMedium
{
    protected $signature = 'tally:screen
        {path : The folder where the card is mounted, with --raw a device or an image, or stand-in:SPEC}
        {--raw : Screen the whole medium without its file system; what is on it is lost}
        {--erase= : With --raw, the path once more}
        {--why= : Why a medium of another size than its card’s label is to be erased all the same}
        {--points=256 : How many places to draw, 16 to 4096}
        {--size= : In a folder, how large the file is in which the places lie; all free space if left out}
        {--again : Read the places of the last screen once more, after the card was taken out and put in again}
        {--card= : Tag of the card to file the result under}
        {--lost= : Why footage on it that is not secured may be lost}
        {--json : Print the result as JSON}';

    protected $description = 'Quick screen: write and read back some places of a card, in minutes instead of hours; it proves less';

    protected function lay(MediumAtHand $medium): LaidMedium
    {
        $this->points();
        if ($this->option('again') === true && ! $medium->isRaw) {
            throw new InvalidArgumentException('--again goes with --raw: in a folder the file is removed when a screen ends.');
        }

        return $medium->layForScreen();
    }

    protected function conduct(MediumAtHand $medium, LaidMedium $laid, TerminalObserver $watch): int
    {
        if ($this->option('again') === true) {
            $plan =
                CheckpointFile::load($medium->path)->screen ??
                throw new InvalidArgumentException('The last run on this medium was no quick screen. Run it without --again.');
            $result = QuickScreen::again($plan, $laid->device, $laid->clock, $watch);
        } else {
            $result = QuickScreen::on($laid->device, $laid->clock, $watch, $this->points());
            if ($medium->isRaw) {
                $medium->checkpointFile($laid)->put(new ScreenPlan($result->size, $this->points(), $result->imprint));
            }
        }
        $watch->finish();

        return $this->conclude($medium, $laid, RunKind::Screen, $result);
    }

    private function points(): int
    {
        $given = $this->option('points');
        if (! is_string($given) || ! ctype_digit($given) || (int) $given < ScreenPlan::LEAST || (int) $given > ScreenPlan::MOST) {
            throw new InvalidArgumentException(
                '--points was “'.
                    (is_string($given) ? $given : '').
                    '”: give a whole number from '.
                    ScreenPlan::LEAST.
                    ' to '.
                    ScreenPlan::MOST.
                    '.',
            );
        }

        return (int) $given;
    }
}
