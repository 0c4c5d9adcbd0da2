<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use InvalidArgumentException;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Shoot\Burst;

/** Exit codes: 0 reckoned, 2 not understood. */
final class BurstCommand extends Command
{
    protected $signature = 'tally:burst
        {frames : Frames until the camera slows, such as 12}
        {size : One frame, such as "24.6 MB"}
        {rate : Frames a second, such as "10/s"}
        {clear : From when it slows until all is written, such as "23 s"}
        {--drain= : What another card would drain, such as "120 MB/s": how many frames then}
        {--json : As JSON}';

    protected $description = 'What a burst tells: how fast the buffer drains, how large it is, and what another card would bring';

    public function handle(): int
    {
        try {
            $burst = Burst::logged(
                $this->frames($this->argument('frames')),
                Bytes::parse($this->argument('size')),
                $this->perSecond($this->argument('rate')),
                Span::parse($this->argument('clear')),
            );
            $drain = $this->option('drain');
            $other = is_string($drain)
                ? Burst::predicted($burst->frame, $burst->perSecond, $burst->buffer, Rate::parse($drain))
                : null;
        } catch (InvalidArgumentException $fault) {
            $output = $this->output->getOutput();
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln($fault->getMessage());

            return 2;
        }
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode(
                    [...self::told($burst), 'other' => $other === null ? null : self::told($other)],
                    JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_PRESERVE_ZERO_FRACTION,
                ),
                OutputInterface::OUTPUT_RAW,
            );

            return 0;
        }
        $this->line("The buffer drains at {$burst->drain->print()} and holds {$burst->buffer->decimal()}.");
        $this->line('It is the drain of that body with that card: another body, or a faster card, may have another.');
        if ($other !== null) {
            $this->line(
                $other->frames === null
                    ? "At {$other->drain->print()} it never slows: it drains as fast as frames come."
                    : "At {$other->drain->print()} it slows after {$other->frames} frames and clears in {$other->clear->print()}, ".
                        number_format($other->drain->over($burst->drain), 2, '.', '').' times as fast.',
            );
        }

        return 0;
    }

    /** @return array<string, mixed> */
    private static function told(Burst $burst): array
    {
        return [
            'drain_bytes_per_second' => $burst->drain->bytesPerSecond,
            'drain' => $burst->drain->print(),
            'buffer_bytes' => $burst->buffer->count,
            'buffer' => $burst->buffer->decimal(),
            'frames' => $burst->frames,
            'endless' => $burst->isEndless(),
            'clear_seconds' => round($burst->clear->seconds, 3),
        ];
    }

    /** @throws InvalidArgumentException */
    private function frames(string $text): int
    {
        return preg_match('/^\s*(\d{1,6})\s*(?:frames?|shots?)?\s*$/i', $text, $m) === 1
            ? (int) $m[1]
            : throw new InvalidArgumentException("“{$text}” is no number of frames. Count them until the camera slows, such as 12.");
    }

    /** @throws InvalidArgumentException */
    private function perSecond(string $text): float
    {
        return preg_match('~^\s*(\d{1,4}(?:[.,]\d+)?)\s*(?:(?:frames?|shots?)?\s*/\s*s(?:ec)?|fps)?\s*$~i', $text, $m) === 1
            ? (float) str_replace(',', '.', $m[1])
            : throw new InvalidArgumentException("“{$text}” is no rate of frames. Write frames a second, such as 10/s.");
    }
}
