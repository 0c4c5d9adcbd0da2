<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\NumberText;
use Tally\Quantity\Span;
use Tally\Shoot\Calibration;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;

/** Exit codes: 0 reckoned, 1 the figures contradict one another, 2 not understood. */
final class MinutesCommand extends Command
{
    protected $signature = 'tally:minutes
        {size : What the card holds, such as "160 GB"}
        {rate : What the mode writes, with its unit, such as "240 Mb/s"; or one still, such as "24.6 MB"}
        {--says=* : How long the camera says fits on that card, such as "79 min"; of several the fullest decides}
        {--usable=1 : The share of the card that a recording may take}
        {--json : As JSON}';

    protected $description = 'How many minutes of a mode fit on a card, on paper and by what the camera says';

    public function handle(): int
    {
        try {
            $size = Bytes::parse($this->argument('size'));
            if ($size->isZero()) {
                throw NotAQuantity::notPositive($this->argument('size'));
            }
            $said = array_map(
                function (mixed $text) use ($size): Calibration {
                    $length = Span::parse(is_string($text) ? $text : '');

                    return $length->seconds > 0
                        ? Calibration::says($size, $length)
                        : throw NotAQuantity::notPositive(is_string($text) ? $text : '');
                },
                array_values($this->option('says')),
            );
            $shot = self::still($this->argument('rate'));
            if ($shot !== null && $said !== []) {
                throw new InvalidArgumentException(
                    '--says is how long a recording lasts; stills have no length. Leave it out, or give a rate.',
                );
            }
            $mode = $shot !== null
                ? Mode::stills('Stills', $shot, 1.0)
                : new Mode('This mode', ModeKind::LongGop, Mode::rate($this->argument('rate')), calibrations: $said);
            $usable = $this->option('usable');
            $share = is_numeric($usable) ? (float) $usable : 0.0;
            if ($share <= 0 || $share > 1) {
                $given = is_string($usable) ? $usable : '';
                throw new InvalidArgumentException("The usable share was “{$given}”. Above 0 and up to 1 would do.");
            }
        } catch (InvalidArgumentException $fault) {
            $this->complain($fault->getMessage());

            return 2;
        }
        if ($shot !== null) {
            return $this->shots($mode, $size, $share);
        }
        $complaint = $mode->complaint();
        $onPaper = (new Mode('', ModeKind::LongGop, $mode->nominal))->fill->minutes($size, $share);
        $minutes = $mode->fill->lasts($size, $share)->seconds / 60;
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode(
                    [
                        'bytes' => $size->count,
                        'minutes' => $mode->fill->minutes($size, $share),
                        'minutes_exact' => round($minutes, 3),
                        'minutes_on_paper' => $onPaper,
                        'effective_mbit' => round($mode->fill->rate->megabits(), 1),
                        'rate_from' => $mode->fill->words(),
                        'over_paper' => round($mode->fill->rate->over($mode->nominal), 4),
                        'complaint' => $complaint,
                    ],
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $megabits = round($mode->nominal->megabits(), 1);
            $this->line(sprintf('%s at %s Mb/s on paper: %d min.', $size->decimal(), $megabits, $onPaper));
            if ($mode->fill->isCalibrated()) {
                $this->line(
                    sprintf(
                        'What the camera says comes to %.1f Mb/s (%s), %.3f times what is on paper: %d min.',
                        $mode->fill->rate->megabits(),
                        $mode->fill->words(),
                        $mode->fill->rate->over($mode->nominal),
                        $mode->fill->minutes($size, $share),
                    ),
                );
            }
        }
        if ($complaint !== null) {
            $this->complain($complaint);
        }

        return $complaint === null ? 0 : 1;
    }

    /** The size of one still; null where a rate was given. */
    private static function still(string $typed): ?Bytes
    {
        try {
            $isBare = NumberText::read(trim($typed))?->unit === '';
            $size = $isBare ? null : Bytes::parse($typed);
        } catch (NotAQuantity) {
            return null;
        }

        return $size?->isZero() === true ? throw NotAQuantity::notPositive($typed) : $size;
    }

    private function shots(Mode $mode, Bytes $size, float $share): int
    {
        $shots = $mode->shots($size, $share);
        $json = json_encode(['bytes' => $size->count, 'shots' => $shots], JSON_THROW_ON_ERROR);
        $this->option('json') === true
            ? $this->output->writeln($json, OutputInterface::OUTPUT_RAW)
            : $this->line("{$size->decimal()} hold {$shots} stills of {$mode->shot?->decimal()}.");

        return 0;
    }

    private function complain(string $sentence): void
    {
        $output = $this->output->getOutput();
        ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($sentence);
    }
}
