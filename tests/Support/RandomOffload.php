<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\DriveKind;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\Verify;

/** Made-up offloads of a given size: shared lanes, hubs, half-duplex ports, caches, spinning drives, open and given links. */
final readonly class RandomOffload
{
    private Randomizer $chance;

    private function __construct(int $seed)
    {
        $this->chance = new Randomizer(new Mt19937($seed));
    }

    /** @param  bool  $isOpen  whether the planner may choose ports */
    public static function of(int $seed, int $cards, int $slots, int $drives, bool $isOpen = false): Question
    {
        return (new self($seed))->question($cards, $slots, $drives, $isOpen);
    }

    private function question(int $cards, int $slots, int $drives, bool $isOpen): Question
    {
        $readers = $this->readers($slots);
        $all = $this->drives($drives);
        $links = [];
        $plugged = 0;
        foreach ([...$readers, ...$all] as $thing) {
            if (! ($thing instanceof Drive && $thing->inside !== null)) {
                $plugged++;
                $links[$thing->name] = "Cart p{$plugged}";
            }
        }
        $copies = min($drives, $this->chance->getInt(1, 4) === 1 ? 1 : 2);

        return new Question(
            [$this->host($plugged)],
            $readers,
            $all,
            array_map($this->card(...), range(1, $cards)),
            links: $isOpen ? array_slice($links, 0, intdiv(count($links), 2)) : $links,
            rules: new Rules(
                $copies,
                $this->chance->getInt(0, 3) === 0 ? Verify::None : Verify::ReadBack,
                $this->pick([null, null, Scheme::FanOut, Scheme::Relay, Scheme::Straight]),
                (float) $this->chance->getInt(0, 40),
                first: (float) $this->chance->getInt(0, 15),
                overhead: $this->chance->getInt(0, 20) / 1000,
                hands: $this->chance->getInt(1, 2),
            ),
        );
    }

    private function host(int $ports): Host
    {
        $all = [];
        for ($i = 1; $i <= $ports; $i++) {
            $ceiling = 1e6 * $this->pick([450, 1050, 2100]);
            $all[] = new Port("p{$i}", $this->pick(['A', 'B', null]), $ceiling, $this->chance->getInt(0, 5) === 0);
        }

        return new Host(
            'Cart',
            [new Controller('A', 1e6 * $this->pick([1050, 2100])), new Controller('B', 450e6, $this->chance->getInt(0, 3) === 0, 'A')],
            $all,
            $this->chance->getInt(0, 1) === 0 ? INF : 1e6 * $this->chance->getInt(500, 2000),
        );
    }

    /** @return list<Reader> */
    private function readers(int $slots): array
    {
        $readers = [];
        for ($left = $slots, $i = 1; $left > 0; $i++) {
            $here = min($left, $this->chance->getInt(1, 2));
            $left -= $here;
            $inIt = [];
            for ($slot = 1; $slot <= $here; $slot++) {
                $inIt[] = new ReaderSlot("s{$slot}", ['UHS-I' => 98e6, 'UHS-II' => 290e6], $this->pick(['A', 'A', 'B', null]));
            }
            $readers[] = new Reader("R{$i}", $inIt, ['A' => 1e6 * $this->chance->getInt(200, 300)], 1e6 * $this->pick([390, 450, 920]));
        }

        return $readers;
    }

    /** @return list<Drive> */
    private function drives(int $count): array
    {
        $drives = [];
        for ($i = 1; $i <= $count; $i++) {
            $write = 1e6 * $this->chance->getInt(100, 1500);
            $isCached = $this->chance->getInt(0, 3) === 0;
            $drives[] = new Drive(
                "D{$i}",
                $write,
                $write + 1e6 * $this->chance->getInt(0, 300),
                INF,
                cache: $isCached ? 1e9 * $this->chance->getInt(10, 90) : 0.0,
                fast: $isCached ? 2 * $write : 0.0,
                kind: $this->chance->getInt(0, 3) === 0 ? DriveKind::Spinning : DriveKind::Solid,
                inside: $this->chance->getInt(0, 1) === 0 ? 'Cart' : null,
                link: 1e6 * $this->pick([450, 1050]),
            );
        }

        return $drives;
    }

    private function card(int $i): LadenCard
    {
        return new LadenCard(
            "C{$i}",
            1e9 * $this->chance->getInt(5, 200),
            $this->chance->getInt(1, 3000),
            1e6 * $this->chance->getInt(70, 260),
            buses: $this->chance->getInt(0, 2) === 0 ? ['UHS-I'] : ['UHS-I', 'UHS-II'],
        );
    }

    /**
     * @template T
     *
     * @param  non-empty-list<T>  $list
     * @return T
     */
    private function pick(array $list): mixed
    {
        return $list[$this->chance->getInt(0, count($list) - 1)];
    }
}
