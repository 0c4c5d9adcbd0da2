<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Randomizer;

/** A made-up card: what is printed on it, and what it is in truth. Speeds in MB/s, sizes in GB. */
final readonly class MadeUpCard
{
    /** @var list<array{string, int, int, int, int}> label before its claims, read, write, floor, capacity: as labels are printed */
    private const LABELS = [
        ['SDXC II U3 V60', 250, 130, 60, 64],
        ['SDXC II U3 V60', 250, 130, 60, 128],
        ['SDXC II U3 V60', 280, 150, 60, 256],
        ['SDXC II U3 V90', 300, 260, 90, 64],
        ['SDXC II U3 V90', 300, 260, 90, 128],
    ];

    /**
     * @param  string  $label  the line as printed
     * @param  float  $burst  what it writes at first
     * @param  float  $sustained  what it keeps up
     * @param  float  $cache  how much it writes at its burst
     * @param  float  $shown  what the medium says it has
     * @param  float  $end  where its memory ends, or its errors begin
     */
    private function __construct(
        public Trick $trick,
        public string $label,
        public int $rows,
        public float $read,
        public float $burst,
        public float $sustained,
        public float $cache,
        public float $shown,
        public float $end,
    ) {}

    public static function drawn(Trick $trick, Randomizer $chance): self
    {
        $between = fn (float $low, float $high): float => $low + (($high - $low) * $chance->getInt(0, 1000)) / 1000;
        [$print, $read, $write, $floor, $gb] = self::LABELS[$chance->getInt(0, count(self::LABELS) - 1)];
        $isOneRow = $trick === Trick::OneRow;
        $burst = $isOneRow ? $between(55, 80) : $write * $between(0.95, 1.02);
        $shown = round($gb * $between(0.994, 1.0) * ($trick === Trick::ShowsLess ? 0.5 : 1), 2);
        $isFake = $trick->isFake() || $trick->hasErrors();

        return new self(
            $trick,
            "{$gb}GB {$print} {$read}MB/s read {$write}MB/s write",
            $isOneRow ? 1 : 2,
            match ($trick) {
                Trick::OneRow => $between(82, 94),
                Trick::SlowCard => $read * $between(0.2, 0.26),
                default => $read * $between(0.95, 1.0),
            },
            burst: $trick === Trick::SlowCard ? $floor * $between(0.6, 0.85) : $burst,
            sustained: match ($trick) {
                Trick::SlowCard, Trick::Cliff => $floor * $between(0.4, 0.8),
                Trick::HoldsOn => $floor * $between(1.12, 1.3),
                default => $burst,
            },
            cache: $trick === Trick::Cliff || $trick === Trick::HoldsOn ? round($between(3, 6), 1) : 0.0,
            shown: $shown,
            end: $isFake ? round($shown * $between(0.16, 0.8), 2) : $shown,
        );
    }

    /** Seconds to write so many GB at so much at the most. */
    public function writing(float $gb, float $most): float
    {
        $cached = min($gb, $this->cache);

        return (1000 * $cached) / min($this->burst, $most) + (1000 * ($gb - $cached)) / min($this->sustained, $most);
    }

    /** @return list<array{string, string}> pieces of steady speed, for a case */
    public function course(float $gb, float $most): array
    {
        $cached = min($gb, $this->cache);
        $rate = fn (float $card): string => round(min($card, $most), 1).' MB/s';

        return [
            ...$cached > 0 ? [["{$cached} GB", $rate($this->burst)]] : [],
            ...$gb > $cached ? [[round($gb - $cached, 2).' GB', $rate($this->sustained)]] : [],
        ];
    }
}
