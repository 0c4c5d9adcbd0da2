<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Randomizer;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Simulated\Medium;

/** A card that nobody has: what is printed on it, and the simulated medium that lies under the label. */
final readonly class PracticeCard
{
    /** @var list<array{string, int, int, int, int}> label before its claims, read, write, floor (MB/s), capacity (GB): as printed */
    private const LABELS = [
        ['SDXC II U3 V60', 250, 130, 60, 64],
        ['SDXC II U3 V60', 250, 130, 60, 128],
        ['SDXC II U3 V60', 280, 150, 60, 256],
        ['SDXC II U3 V90', 300, 260, 90, 64],
        ['SDXC II U3 V90', 300, 260, 90, 128],
    ];

    /** What is known of the price and the number of a card that looks suspicious: made up. */
    private const CHEAP = [
        'serial' => 'PX-0042',
        'price' => '9.90 EUR',
        'house' => [
            'cards' => [['tag' => 'PX-1', 'serial' => 'PX-0042']],
            'prices' => [
                ['label' => '128GB SDXC II V60', 'price' => '62 EUR'],
                ['label' => '128GB SDXC II V60', 'price' => '66 EUR'],
                ['label' => '128GB SDXC II V60', 'price' => '70 EUR'],
            ],
        ],
    ];

    /** Errors that come at another place each time: shares of where they begin. */
    private const WANDERS = ['screen' => 1.0, 'whole' => 1.07, 'screen-again' => 0.93, 'whole-again' => 1.15];

    /** More than a quick screen writes, and less than a proof does: bytes that a cache answers for. */
    private const CACHE = 2_000_000_000;

    /** One that changes its mind did so much of what it does at the first look. */
    private const FIRST = 0.45;

    /**
     * @param  string  $label  the line as printed
     * @param  int  $rows  of contacts
     */
    private function __construct(public Trick $trick, public string $label, public int $rows, public Medium $medium) {}

    public static function drawn(Trick $trick, Randomizer $chance): self
    {
        $between = fn (float $low, float $high): float => $low + (($high - $low) * $chance->getInt(0, 1000)) / 1000;
        [$print, $read, $write, $floor, $gb] = self::LABELS[$chance->getInt(0, count(self::LABELS) - 1)];
        $isOneRow = $trick === Trick::OneRow;
        $burst = $isOneRow ? $between(55, 80) : $write * $between(0.95, 1.02);
        $shown = self::sectors($gb * 1e9 * $between(0.994, 1.0) * ($trick === Trick::ShowsLess ? 0.5 : 1));
        $reads = match ($trick) {
            Trick::OneRow => $between(82, 94),
            Trick::SlowCard => $read * $between(0.2, 0.26),
            default => $read * $between(0.95, 1.0),
        };
        $first = $trick === Trick::SlowCard ? $floor * $between(0.6, 0.85) : $burst;
        $keepsUp = match ($trick) {
            Trick::SlowCard, Trick::Cliff => $floor * $between(0.4, 0.8),
            Trick::HoldsOn => $floor * $between(1.12, 1.3),
            default => $first,
        };
        $hasCache = $trick === Trick::Cliff || $trick === Trick::HoldsOn;
        $cache = $hasCache ? Bytes::of((int) (1e9 * $between(3, 6))) : null;
        $true = $trick->behaviour()->isShort() ? self::sectors($shown->count * $between(0.16, 0.8)) : $shown;

        return new self(
            $trick,
            "{$gb}GB {$print} {$read}MB/s read {$write}MB/s write",
            $isOneRow ? 1 : 2,
            new Medium(
                $trick->behaviour(),
                $shown,
                $true,
                Rate::megabytesPerSecond($keepsUp),
                read: Rate::megabytesPerSecond($reads),
                cache: $cache,
                fast: $hasCache ? Rate::megabytesPerSecond($first) : null,
                patches: $trick === Trick::BadSpots ? 1 : 0,
                seed: $chance->getInt(1, 1 << 30),
                remembers: $trick === Trick::CacheAnswers ? Bytes::of(self::CACHE) : null,
            ),
        );
    }

    /** How it is when it is inserted for this; null for the first look at it. */
    public function inserted(?MoveKind $for): Medium
    {
        $wanders = $this->trick === Trick::EndsInErrors ? self::WANDERS[$for?->value] ?? 1.0 : 1.0;
        $share = $for === null && $this->trick === Trick::ChangesItsMind ? self::FIRST : 1.0;

        return $wanders === 1.0 && $share === 1.0 ? $this->medium : $this->medium->with(
            true: self::sectors($this->medium->true->count * $wanders),
            write: Rate::bytesPerSecond($share * $this->medium->write->bytesPerSecond),
            read: Rate::bytesPerSecond($share * $this->medium->read->bytesPerSecond),
        );
    }

    /** @return array<string, mixed> what is known of it besides its label and what was measured, as a case tells it */
    public function known(bool $isSeen): array
    {
        return [
            ...$isSeen ? ['seen' => ['contact_rows' => $this->rows, 'seats' => 'well']] : [],
            ...$this->trick === Trick::Cheap ? self::CHEAP : [],
        ];
    }

    private static function sectors(float $bytes): Bytes
    {
        return Bytes::of(512 * (int) ($bytes / 512));
    }
}
