<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;
use Tally\Device\HostClock;
use Tally\Device\Place;
use Tally\Transfer\CardSight;
use Tally\Transfer\Filed\CopySight;
use Tally\Value\Values;

/** Looks at what a page asks about, and answers as JSON: no page touches a medium itself. Takes its question on standard input. */
final class LookCommand extends Command
{
    protected $signature = 'tally:look';

    protected $description = 'Look at a card in its slot, or at a copy on its drive, for a page that asks';

    protected $hidden = true;

    public function handle(): int
    {
        $asked = json_decode((string) stream_get_contents(STDIN), true);
        $asked = is_array($asked) ? $asked : [];
        $text = fn (string $key): ?string => is_string($asked[$key] ?? null) ? $asked[$key] : null;
        $sight = match (true) {
            $text('card') !== null => CardSight::of($text('card')),
            $text('copy') !== null => CopySight::of(
                $text('copy'),
                $text('folder') ?? '',
                $text('record'),
                is_array($asked['place'] ?? null) ? Values::read(Place::class, $asked['place']) : null,
                clock: new HostClock(),
            ),
            default => null,
        };
        if ($sight === null) {
            $this->error('Nothing was asked. Give {"card": PATH} or {"copy": DRIVE, "folder": NAME} on standard input.');

            return self::INVALID;
        }
        $this->output->writeln(Values::json($sight), OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
