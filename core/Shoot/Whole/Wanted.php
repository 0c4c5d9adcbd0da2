<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\Shoot\Camera;
use Tally\Shoot\Mode;
use Tally\Shoot\Recording;

/** What one camera is to record on a shoot, in one mode. */
final readonly class Wanted
{
    /**
     * @param  int  $daily  seconds, or shots of stills, on each of its days
     * @param  list<int>  $days  on which it records, from 1
     * @param  bool  $hasSpare  whether it records without a pause, and so has one card more than it needs
     */
    public function __construct(
        public Camera $camera,
        public Mode $mode,
        public int $daily,
        public array $days,
        public bool $hasSpare = false,
    ) {}

    /**
     * The most that is recorded from one homecoming to the next, with what is planned on top, in whole minutes.
     *
     * @param  int  $every  days from one homecoming to the next
     * @param  float  $extra  share on top
     */
    public function mostBetween(int $every, float $extra): int
    {
        $by = [];
        foreach ($this->days as $day) {
            $stretch = intdiv($day - 1, $every);
            $by[$stretch] = ($by[$stretch] ?? 0) + $this->daily;
        }

        return Count::of($this->mode)->needed(($by === [] ? 0 : max($by)) * (1 + $extra));
    }

    /**
     * @return list<Place> that cards go to, the spare last
     */
    public function places(int $every, float $extra): array
    {
        $need = $this->mostBetween($every, $extra);
        $slots = $this->camera->slots;
        $isPair = count($slots) > 1 && in_array($this->mode->recording, [Recording::Both, Recording::Proxies], true);
        $first = $isPair ? [$slots[0]] : $slots;
        $places = [new Place($this, $this->mode, PlaceKind::Recording, $first, need: $need)];
        $proxies = $this->mode->ofProxies();
        if ($isPair && $this->mode->recording === Recording::Both) {
            $places[] = new Place($this, $this->mode, PlaceKind::SecondCopy, [$slots[1]], need: $need);
        } elseif ($isPair && $proxies !== null) {
            $places[] = new Place($this, $proxies, PlaceKind::Proxies, [$slots[1]], need: $need);
        }
        if ($this->hasSpare) {
            $places[] = new Place($this, $this->mode, PlaceKind::Spare, $first, need: 1);
        }

        return $places;
    }
}
