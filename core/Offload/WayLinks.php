<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Chain\Ceiling;
use Tally\Chain\CeilingOrigin;
use Tally\Chain\Link;
use Tally\Chain\Practice;
use Tally\Label\Bus;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Basis\RateOf;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Quantity\Rate;

/** What a plan knows of a way, link by link: the figures that it reckons with, and where each is from. */
final readonly class WayLinks
{
    /** @var array<string, KnownRate> by its key */
    private array $rates;

    /** @param  list<KnownRate>  $rates  what the question rests on */
    public function __construct(array $rates)
    {
        $this->rates = array_column(array_map(fn (KnownRate $rate): array => [$rate->key(), $rate], $rates), 1, 0);
    }

    /** @return string|null the bus that the card settles on there; null where the reader does not take it */
    public static function bus(LadenCard $card, Reader $reader): ?string
    {
        $rates = [];
        foreach ($reader->slots as $slot) {
            foreach (array_intersect_key($slot->buses, array_flip($card->buses)) as $bus => $rate) {
                $rates[$bus] = max($rates[$bus] ?? 0.0, $rate);
            }
        }
        arsort($rates);

        return array_key_first($rates);
    }

    /** @return list<Link>|null card, its bus, the reader at the port, what is slower behind that; null where it is not taken */
    public function in(LadenCard $card, Reader $reader, Host $host, Port $port): ?array
    {
        $bus = self::bus($card, $reader);
        if ($bus === null) {
            return null;
        }
        $here = $card->readIn[$reader->name] ?? null;
        $own = $here === null
            ? $this->known(RateOf::Card, $card->tag, '', $card->read)
            : $this->known(RateOf::CardIn, $card->tag, $reader->name, $here);
        $rate = max([0.0, ...array_map(fn (ReaderSlot $slot): float => $slot->buses[$bus] ?? 0.0, $reader->slots)]);
        // What went over the bus in this very reader is more than practice says: the measurement wins.
        $over = $here !== null && $here > $rate
            ? $this->known(RateOf::CardIn, $card->tag, $reader->name, $here)
            : $this->known(RateOf::Slots, $reader->name, '', $rate);
        $uplink = $this->known(RateOf::Uplink, $reader->name, '', $reader->uplink);

        return [
            ...$own === null ? [] : [new Link($card->tag, $own)],
            ...$over === null ? [] : [new Link(Bus::from($bus)->label()." in {$reader->name}", $over)],
            ...$this->at($reader->name, $uplink, $host, $port, shared: []),
        ];
    }

    /**
     * @param  Port|null  $port  null where it is built into the host
     * @param  Port  $of  the port of the reader
     * @return list<Link> the drive at its port, what is slower before that, and the drive itself
     */
    public function out(Drive $drive, Host $host, ?Port $port, Port $of, bool $isBack): array
    {
        [$is, $what, $rate] = $isBack ? [RateOf::DriveRead, 'reading', $drive->read] : [RateOf::DriveWrite, 'writing', $drive->write];
        $own = new Link("{$drive->name} {$what}", $this->known($is, $drive->name, '', $rate) ?? self::plain($rate));
        $link = $this->known(RateOf::DriveLink, $drive->name, '', $drive->link);

        return match (true) {
            $port !== null => [...$this->at($drive->name, $link, $host, $port, shared: $isBack ? [] : self::chain($host, $of)), $own],
            $link === null => [$own],
            default => [new Link("{$drive->name} inside {$host->name}", $link), $own],
        };
    }

    /**
     * @param  Ceiling|null  $link  of what is plugged in; null for none
     * @param  array<string, Controller>  $shared  that the same bytes pass on their way in
     * @return list<Link>
     */
    private function at(string $thing, ?Ceiling $link, Host $host, Port $port, array $shared): array
    {
        $own = $this->known(RateOf::Port, $host->name, $port->name, $port->ceiling);
        $slowest = $link === null || ($own !== null && $own->usable()->isBelow($link->usable())) ? $own : $link;
        $links = $slowest === null ? [] : [new Link("{$thing} at {$host->name} {$port->name}", $slowest)];
        $least = $slowest?->usable()->bytesPerSecond ?? INF;
        foreach (self::chain($host, $port) as $name => $controller) {
            $rate = $controller->isHalf && isset($shared[$name]) ? $controller->ceiling / 2 : $controller->ceiling;
            $ceiling = $rate < $least ? $this->known(RateOf::Controller, $host->name, $name, $rate) : null;
            if ($ceiling !== null) {
                $links[] = new Link("controller {$name} of {$host->name}", $ceiling);
                $least = $rate;
            }
        }

        return $links;
    }

    /** @return array<string, Controller> that a port hangs on, one behind the other */
    private static function chain(Host $host, Port $port): array
    {
        $all = array_column(array_map(fn (Controller $one): array => [$one->name, $one], $host->controllers), 1, 0);
        $chain = [];
        for ($name = $port->controller; $name !== null; $name = $all[$name]->behind) {
            $chain[$name] = $all[$name];
        }

        return $chain;
    }

    /** @return Ceiling|null null where there is none */
    private function known(RateOf $of, string $thing, string $in, float $rate): ?Ceiling
    {
        $known = $this->rates[KnownRate::keyOf($of, $thing, $in)] ?? null;
        $low = Rate::bytesPerSecond(min($known->low ?? $rate, $rate));

        return match (true) {
            $rate === INF => null,
            $known === null => self::plain($rate),
            default => new Ceiling(
                Rate::bytesPerSecond($rate),
                $known->origin === CeilingOrigin::Claim ? null : new Practice($low, Rate::bytesPerSecond($rate)),
                $known->how,
                $known->origin,
            ),
        };
    }

    private static function plain(float $rate): Ceiling
    {
        return new Ceiling(Rate::bytesPerSecond($rate));
    }
}
