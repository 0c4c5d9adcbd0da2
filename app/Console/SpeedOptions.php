<?php

declare(strict_types=1);

namespace App\Console;

use InvalidArgumentException;
use Symfony\Component\Console\Input\InputInterface;
use Tally\Probe\PassOrder;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** How a speed run is asked for in the terminal. */
final readonly class SpeedOptions
{
    /** @throws InvalidArgumentException with a sentence that names the option */
    public static function plan(InputInterface $input, Bytes $size): SpeedPlan
    {
        $text = fn (string $name): ?string => is_string($input->getOption($name)) ? $input->getOption($name) : null;
        $whole = function (string $name, string $range) use ($text): int {
            $given = $text($name) ?? '';

            return preg_match('/^\d{1,3}$/', $given) === 1
                ? (int) $given
                : throw new InvalidArgumentException("--{$name} was “{$given}”: give a whole number from {$range}.");
        };
        $order = $text('order') ?? '';

        return new SpeedPlan(
            $size,
            $whole('runs', '1 to 50'),
            Bytes::parse($text('from') ?? '0 B'),
            $text('block') === null ? null : Bytes::parse($text('block')),
            order: PassOrder::tryFrom($order) ?? throw new InvalidArgumentException(
                "--order was “{$order}”: give alternating or writes-first.",
            ),
            warmUps: $whole('warm-up', '0 to 5'),
            pause: Span::parse($text('pause') ?? '0 s'),
        );
    }
}
