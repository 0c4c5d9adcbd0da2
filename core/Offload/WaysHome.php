<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Chain\Path;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Reader;
use Tally\Quantity\Bytes;

/**
 * Every way in which one card comes home, with each reader, host and drive at hand, over the ports that serve it best; by the
 * figures that plans are reckoned with. The soonest verified first.
 */
final readonly class WaysHome
{
    /** Of the ports of a host so many of the fastest are tried. */
    private const TRIED = 4;

    private WayLinks $links;

    /** @param  list<KnownRate>  $rates */
    private function __construct(private LadenCard $card, array $rates)
    {
        $this->links = new WayLinks($rates);
    }

    /**
     * @param  list<Host>  $hosts
     * @param  list<Reader>  $readers
     * @param  list<Drive>  $drives
     * @param  list<KnownRate>  $rates  what is known of all of them
     * @param  string  $connection  of the card, in words
     * @return array{list<WayHome>, list<string>} and a sentence for each reader or drive that cannot be used
     */
    public static function of(array $hosts, array $readers, array $drives, LadenCard $card, array $rates, string $connection): array
    {
        $home = new self($card, $rates);
        [$ways, $leftOut, $roomy] = [[], [], []];
        $amount = Bytes::of((int) $card->bytes)->decimal();
        foreach ($drives as $drive) {
            $drive->free < $card->bytes
                ? ($leftOut[] = "{$drive->name} has ".Bytes::of((int) $drive->free)->decimal()." free; {$amount} are to be copied.")
                : ($roomy[] = $drive);
        }
        foreach ($readers as $reader) {
            if (WayLinks::bus($card, $reader) === null) {
                $leftOut[] = "{$reader->name} does not take {$connection}.";

                continue;
            }
            foreach ($roomy as $drive) {
                foreach ($hosts as $host) {
                    $way = $home->best($reader, $host, $drive);
                    if ($way !== null) {
                        $ways[] = $way;
                    }
                }
            }
        }
        usort($ways, fn (WayHome $one, WayHome $other): int => self::rank($one) <=> self::rank($other));

        return [$ways, $leftOut];
    }

    /**
     * How far a card gets in a reader: the links before any drive, over the best port of these hosts.
     *
     * @param  list<KnownRate>  $rates
     * @param  list<Host>  $hosts
     * @return Path|null null where the reader does not take the card, or there is no port
     */
    public static function reach(LadenCard $card, Reader $reader, array $hosts, array $rates): ?Path
    {
        $links = new WayLinks($rates);
        $best = null;
        foreach ($hosts as $host) {
            foreach (self::fastestFirst($host) as $port) {
                $in = $links->in($card, $reader, $host, $port);
                $path = $in === null || $in === [] ? null : new Path($in);
                $best = $path !== null && ($best === null || $best->usable()->isBelow($path->usable())) ? $path : $best;
            }
        }

        return $best;
    }

    /** @return list<float|string> */
    private static function rank(WayHome $way): array
    {
        return [$way->total()->seconds, $way->copy()->seconds, $way->reader, $way->host, $way->drive];
    }

    private function best(Reader $reader, Host $host, Drive $drive): ?WayHome
    {
        $best = null;
        foreach ($this->cablings($host, $drive) as [$readerPort, $drivePort]) {
            $in = $this->links->in($this->card, $reader, $host, $readerPort) ?? [];
            $way = new WayHome(
                $reader->name,
                $host->name,
                $drive->name,
                new Path([...$in, ...$this->links->out($drive, $host, $drivePort, $readerPort, isBack: false)]),
                back: new Path($this->links->out($drive, $host, $drivePort, $readerPort, isBack: true)),
                amount: Bytes::of((int) $this->card->bytes),
            );
            $best = $best === null || $way->total()->seconds < $best->total()->seconds ? $way : $best;
        }

        return $best;
    }

    /** @return list<Port> */
    private static function fastestFirst(Host $host): array
    {
        $ports = $host->ports;
        usort($ports, fn (Port $one, Port $other): int => $other->ceiling <=> $one->ceiling);

        return $ports;
    }

    /** @return list<array{Port, Port|null}> for reader and drive; null where the drive is built in */
    private function cablings(Host $host, Drive $drive): array
    {
        $ports = array_slice(self::fastestFirst($host), 0, self::TRIED);
        $cablings = [];
        foreach ($drive->inside === null || $drive->inside === $host->name ? $ports : [] as $of) {
            foreach ($drive->inside === null ? array_filter($ports, fn (Port $port): bool => $port !== $of) : [null] as $port) {
                $cablings[] = [$of, $port];
            }
        }

        return $cablings;
    }
}
