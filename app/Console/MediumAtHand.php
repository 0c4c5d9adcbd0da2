<?php

declare(strict_types=1);

namespace App\Console;

use App\Models\Card;
use App\Runs\Bench;
use Illuminate\Database\QueryException;
use InvalidArgumentException;
use Symfony\Component\Console\Input\InputInterface;
use Tally\Quantity\Bytes;
use Tally\StandIn\Medium;

/** What a terminal command was pointed at: a mounted folder or a stand-in, and perhaps the card to file the result under. */
final readonly class MediumAtHand
{
    private const STAND_IN = 'stand-in:';

    private function __construct(private string $path, public ?Bytes $size, public ?Card $card) {}

    /** @throws InvalidArgumentException with a sentence for the terminal */
    public static function from(InputInterface $input): self
    {
        $path = $input->getArgument('path');
        $size = $input->getOption('size');
        $tag = $input->getOption('card');

        return new self(
            is_string($path) ? $path : '',
            is_string($size) ? self::size($size) : null,
            is_string($tag) ? self::card($tag) : null,
        );
    }

    public function isStandIn(): bool
    {
        return str_starts_with($this->path, self::STAND_IN);
    }

    /** @throws \Tally\Device\Fault\DeviceFault|InvalidArgumentException */
    public function lay(?Bytes $size): Bench
    {
        if (! $this->isStandIn()) {
            return Bench::folder($this->path, $size);
        }

        return Bench::standIn(Medium::parse(substr($this->path, strlen(self::STAND_IN))));
    }

    private static function size(string $given): Bytes
    {
        $size = Bytes::parse($given);

        return $size->isZero() ? throw new InvalidArgumentException("--size was “{$given}”: give more than nothing, such as 1GB.") : $size;
    }

    private static function card(string $tag): Card
    {
        try {
            return Card::query()->where('tag', $tag)->first()
                ?? throw new InvalidArgumentException("--card: no card is tagged “{$tag}”. Enter it on the Intake page first.");
        } catch (QueryException) {
            throw new InvalidArgumentException('--card needs the database, which does not answer. Start it with ./start, or leave --card out.');
        }
    }
}
