<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Probe\SpeedPlan;
use Tally\Probe\SpeedRun;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Compare\TwinCandidate;
use Tally\Reading\Limit\Cell;
use Tally\Reading\Limit\HeldBack;
use Tally\Reading\Limit\LimitedBy;
use Tally\Reading\Limit\Limits;
use Tally\Reading\Summary;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;
use Tally\Simulated\SimulatedClock;
use Tally\Simulated\SimulatedDevice;

/** Made-up cards of known speed, some of them twins, measured in some of several made-up readers of known speed. */
final readonly class Grid
{
    /** Closer than this, card and reader are as fast as one another, and neither is the limit. */
    private const SAME = 0.01;

    /**
     * @param  list<Medium>  $cards
     * @param  list<Rate>  $readers
     * @param  list<array{card: int, reader: int, write: list<float>, read: list<float>}>  $seats  bytes a second
     */
    private function __construct(private array $cards, private array $readers, private array $seats) {}

    /** The same seed always gives the same one: two to five readers, two to eight cards, three seats in five taken. */
    public static function seeded(int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $jitter = $chance->getInt(3, 25) / 1000;
        $readers = array_map(fn (): Rate => Rate::megabytesPerSecond($chance->getInt(40, 300)), range(1, $chance->getInt(2, 5)));
        $cards = [];
        foreach (range(1, $chance->getInt(2, 8)) as $i) {
            $twin = $cards !== [] && $chance->getInt(1, 4) === 1 ? $cards[$chance->getInt(0, count($cards) - 1)] : null;
            $size = Bytes::gigabytes(64);
            $cards[] = new Medium(
                Behaviour::Honest,
                $size,
                $size,
                $twin->write ?? Rate::megabytesPerSecond($chance->getInt(20, 250)),
                read: $twin->read ?? Rate::megabytesPerSecond($chance->getInt(40, 300)),
                jitter: $jitter,
                seed: 1000 * $seed + $i,
            );
        }
        $seats = [];
        foreach ($cards as $i => $card) {
            foreach ($readers as $j => $reader) {
                if ($chance->getInt(1, 5) <= 3) {
                    $clock = new SimulatedClock();
                    $device = new SimulatedDevice($card, $clock, $reader);
                    $result = (new SpeedRun(SpeedPlan::plain(Bytes::gigabytes(1))))->on($device, $clock);
                    $seats[] = ['card' => $i, 'reader' => $j, 'write' => $result->writeRates(), 'read' => $result->readRates()];
                }
            }
        }

        return new self($cards, $readers, $seats);
    }

    public function limits(string $way): Limits
    {
        $cells = [];
        foreach ($this->seats as $seat) {
            [$rates, $other] = $way === 'write' ? [$seat['write'], $seat['read']] : [$seat['read'], $seat['write']];
            if ($rates !== []) {
                $cells[] = new Cell(
                    "C{$seat['card']}",
                    "R{$seat['reader']}",
                    $rates,
                    "make {$seat['card']}",
                    otherWay: $other === [] ? null : Summary::of($other)->mean,
                );
            }
        }

        return Limits::of($cells);
    }

    /** What the limit is in truth; null where card and reader are as fast as one another. */
    public function truth(string $card, string $reader, string $way): ?LimitedBy
    {
        $ratio = $this->speed((int) substr($card, 1), $way)->over($this->readers[(int) substr($reader, 1)]);

        return match (true) {
            abs($ratio - 1) < self::SAME => null,
            $ratio < 1 => LimitedBy::Card,
            default => LimitedBy::Reader,
        };
    }

    /** @return list<TwinCandidate> */
    public function candidates(): array
    {
        [$write, $read] = [$this->limits('write'), $this->limits('read')];

        return array_map(function (array $seat) use ($write, $read): TwinCandidate {
            [$card, $reader, $usable] = ["C{$seat['card']}", "R{$seat['reader']}", $this->readers[$seat['reader']]->bytesPerSecond];

            return new TwinCandidate(
                $card,
                "label of {$card}",
                $reader,
                $seat['write'],
                reads: $seat['read'],
                isHeldBack: HeldBack::is($seat['write'], $usable, $write->at($card, $reader)?->by) ||
                    HeldBack::is($seat['read'], $usable, $read->at($card, $reader)?->by),
            );
        }, $this->seats);
    }

    /** Whether both are made alike, both ways. */
    public function areTwins(string $one, string $other): bool
    {
        return $this->ratio($one, $other, 'write') === 1.0 && $this->ratio($one, $other, 'read') === 1.0;
    }

    /** Whether a pair of them is a false one: they differ by more than the margin, writing or reading. */
    public function areApart(string $one, string $other, float $margin): bool
    {
        return max($this->ratio($one, $other, 'write'), $this->ratio($one, $other, 'read')) > 1 + $margin;
    }

    /** @return float from 1: how many times as fast the faster one is */
    private function ratio(string $one, string $other, string $way): float
    {
        $ratio = $this->speed((int) substr($one, 1), $way)->over($this->speed((int) substr($other, 1), $way));

        return max($ratio, 1 / $ratio);
    }

    private function speed(int $card, string $way): Rate
    {
        return $way === 'write' ? $this->cards[$card]->write : $this->cards[$card]->read;
    }
}
