<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Tally\Quantity\Accord;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Reading\Compare\Figures;

/**
 * The two sums of the trade: what a size and a time come to (and whether a typed speed goes with them), and by how much two
 * figures differ. Exit codes: 0 reckoned, 1 the three disagree, 2 not understood.
 */
final class ReckonCommand extends Command
{
    protected $signature = 'tally:reckon
        {first : A size such as "20 GB"; with --against, a figure such as 8.1s, 95MB/s or 49}
        {second? : A time such as 3:49, or a speed such as 88.5MB/s}
        {third? : A speed, to be held against the two}
        {--against= : Another figure of the same kind as the first}';

    protected $description = 'Speed from size and time, time from size and speed, mix-ups of units, two figures compared';

    public function handle(): int
    {
        $text = fn (string $name): ?string => is_string($this->argument($name)) ? $this->argument($name) : null;
        $against = $this->option('against');
        try {
            return is_string($against)
                ? $this->compare($text('first') ?? '', $against)
                : $this->reckon($text('first') ?? '', $text('second'), $text('third'));
        } catch (InvalidArgumentException $fault) {
            $output = $this->output->getOutput();
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($fault->getMessage());

            return 2;
        }
    }

    /** @throws InvalidArgumentException */
    private function compare(string $first, string $second): int
    {
        $figures = Figures::of($first, $second);
        $this->line($figures->there());
        $this->line($figures->back());
        if ($figures->times() !== null) {
            $this->line("That is {$figures->times()}.");
        }

        return 0;
    }

    /** @throws InvalidArgumentException */
    private function reckon(string $size, ?string $time, ?string $speed): int
    {
        if ($time === null) {
            throw new InvalidArgumentException(
                'One figure alone is not enough. Give a size and a time, such as "20 GB" 3:49, or another figure with --against.',
            );
        }
        $bytes = Bytes::parse($size);
        $rate = self::rate($time);
        if ($rate !== null && $speed === null) {
            $took = $rate->timeFor($bytes);
            $this->line("{$bytes->decimal()} at {$rate->print()}: {$took->print()}, ".number_format($took->seconds / 60, 1).' min');

            return 0;
        }
        $span = Span::parse($time);
        if ($bytes->isZero() || $span->seconds <= 0) {
            throw new InvalidArgumentException('Size and time have to be above nothing.');
        }
        if ($speed === null) {
            $rate = Rate::ofTransfer($bytes, $span);
            $this->line("{$bytes->decimal()} in {$span->print()}: {$rate->print()}, ".round($rate->megabits()).' Mb/s');

            return 0;
        }
        $accord = Accord::of($bytes, $span, Rate::parse($speed));
        $this->line($accord?->sentence() ?? '');

        return $accord?->agrees() === true ? 0 : 1;
    }

    /** A figure with the unit of a speed; null for anything else. */
    private static function rate(string $text): ?Rate
    {
        if (preg_match('/[a-z]/i', $text) !== 1) {
            return null;
        }
        try {
            return Rate::parse($text);
        } catch (NotAQuantity) {
            return null;
        }
    }
}
