<?php

declare(strict_types=1);

namespace Tally\Offload\Basis;

use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;

/** The same question with rates that are so many times what they were. */
final readonly class Drawn
{
    /** @param  array<string, float>  $times  key of a KnownRate → so many times as fast */
    private function __construct(private array $times) {}

    /** @param  array<string, float>  $times  key of a KnownRate → so many times as fast */
    public static function question(Question $question, array $times): Question
    {
        $drawn = new self($times);

        return new Question(
            array_map($drawn->host(...), $question->hosts),
            array_map($drawn->reader(...), $question->readers),
            array_map($drawn->drive(...), $question->drives),
            array_map($drawn->card(...), $question->cards),
            links: $question->links,
            rules: $question->rules,
        );
    }

    private function times(RateOf $of, string $thing, string $in = ''): float
    {
        return $this->times[KnownRate::keyOf($of, $thing, $in)] ?? 1.0;
    }

    private function host(Host $host): Host
    {
        return new Host(
            $host->name,
            array_map(
                fn (Controller $one): Controller => new Controller(
                    $one->name,
                    $one->ceiling * $this->times(RateOf::Controller, $host->name, $one->name),
                    $one->isHalf,
                    $one->behind,
                ),
                $host->controllers,
            ),
            array_map(
                fn (Port $port): Port => new Port(
                    $port->name,
                    $port->controller,
                    $port->ceiling * $this->times(RateOf::Port, $host->name, $port->name),
                    $port->isHalf,
                ),
                $host->ports,
            ),
            $host->hash,
            previews: $host->previews * $this->times(RateOf::Previews, $host->name),
        );
    }

    private function reader(Reader $reader): Reader
    {
        $slots = $this->times(RateOf::Slots, $reader->name);
        $scaled = fn (float $rate): float => $rate * $slots;

        return new Reader(
            $reader->name,
            array_map(
                fn (ReaderSlot $slot): ReaderSlot => new ReaderSlot($slot->name, array_map($scaled, $slot->buses), $slot->lane),
                $reader->slots,
            ),
            array_map($scaled, $reader->lanes),
            $reader->uplink * $this->times(RateOf::Uplink, $reader->name),
        );
    }

    private function drive(Drive $drive): Drive
    {
        $write = $this->times(RateOf::DriveWrite, $drive->name);

        return $drive->with(
            write: $drive->write * $write,
            read: $drive->read * $this->times(RateOf::DriveRead, $drive->name),
            fast: $drive->fast * $write,
            link: $drive->link * $this->times(RateOf::DriveLink, $drive->name),
        );
    }

    private function card(LadenCard $card): LadenCard
    {
        $readIn = [];
        foreach ($card->readIn as $reader => $rate) {
            $readIn[$reader] = $rate * $this->times(RateOf::CardIn, $card->tag, strval($reader));
        }

        return new LadenCard(
            $card->tag,
            $card->bytes,
            $card->files,
            $card->read * $this->times(RateOf::Card, $card->tag),
            buses: $card->buses,
            readIn: $readIn,
        );
    }
}
