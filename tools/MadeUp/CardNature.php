<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Randomizer;
use Tally\Label\Bus;

/** What a card on paper is in truth. Speeds in MB/s, sizes in GB. */
final readonly class CardNature
{
    /**
     * @param  float  $burst  what it writes at the beginning
     * @param  float  $sustained  what it keeps up
     * @param  float  $cache  how much it writes at its burst
     * @param  float  $shown  what the medium says it has
     * @param  list<array{string, float, float, float}>  $bad  class, offset, length, lap, of a whole proof
     * @param  float|null  $errorsFrom  from where on it answers with errors
     * @param  int|null  $contactRows  as somebody saw them
     */
    private function __construct(
        public string $kind,
        public Bus $bus,
        public float $read,
        public float $burst,
        public float $sustained,
        public float $cache,
        public float $floor,
        public float $shown,
        public array $bad,
        public ?float $errorsFrom,
        public ?int $contactRows,
    ) {}

    public static function drawn(string $kind, Randomizer $chance, Bus $bus, float $read, float $write, float $floor, int $gb): self
    {
        $between = fn (float $from, float $to): float => $from + (($to - $from) * $chance->getInt(0, 10_000)) / 10_000;
        $shown = round($gb * $between(0.995, 1.0), 2);
        $burst = $write * $between(0.93, 1.04);
        $isSlow = $kind === 'slow';
        $hasCache = $chance->getInt(0, 2) === 0;
        // A slow card with a mark falls under its floor; one without never reaches what it claims.
        $sustained = match (true) {
            $isSlow && $floor > 0 => $floor * $between(0.3, 0.9),
            $isSlow => $write * $between(0.3, 0.6),
            $hasCache => max($floor * 1.08, $burst * $between(0.5, 0.95)),
            default => $burst,
        };
        $burst = $isSlow && (! $hasCache || $floor <= 0.0) ? $sustained : max($burst, $sustained);
        [$bad, $errorsFrom, $rows] = [[], null, null];
        if ($kind === 'sham') {
            $true = round($shown * $between(0.05, 0.85), 2);
            [$bad, $rows] = match ($chance->getInt(0, 3)) {
                0 => [[['echoes', 0.0, round($shown - $true, 2), $true]], null],
                1 => [[['blank', $true, round($shown - $true, 2), 0.0]], null],
                2 => [[['scrambled', $true, round($shown - $true, 2), 0.0]], null],
                default => $bus->contactRows() === 2 ? [[], 1] : [[['blank', $true, round($shown - $true, 2), 0.0]], null],
            };
        }
        if ($kind === 'ill') {
            $at = round($shown * $between(0.1, 0.9), 2);
            $rest = round($shown - $at, 2);
            // Dead, locked, worn out, failing: none of it is a false size. Handbook § 6 rule 2.
            [$bad, $errorsFrom] = match ($chance->getInt(0, 6)) {
                0 => [[], $at],
                1 => [[], 0.0],
                2 => [[['blank', 0.0, $shown, 0.0]], null],
                3 => [[['stale', $at, $rest, 0.0]], null],
                4 => [[['blank', round(0.95 * $shown, 2), round(0.05 * $shown, 2), 0.0]], null],
                5 => [[['unreadable', $at, 0.5, 0.0], ['blank', round($at + 0.5, 2), max(0.1, round($rest - 0.5, 2)), 0.0]], null],
                default => [[['scrambled', $at, 0.02, 0.0]], null],
            };
        }

        // One row of contacts carries what UHS-I does, whatever the label says.
        $one = $rows === 1 ? Bus::UhsI->ceiling()->usable()->megabytes() : INF;
        $bus = $rows === 1 ? Bus::UhsI : $bus;
        [$read, $burst, $sustained] = [min($read, 0.95 * $one), min($burst, 0.9 * $one), min($sustained, 0.9 * $one)];

        return new self(
            $kind,
            $bus,
            $isSlow ? $read * $between(0.93, 1.0) : $read * $between(0.93, 1.03),
            $burst,
            sustained: $sustained,
            cache: round($shown * $between(0.1, 0.4), 2),
            floor: $floor,
            shown: $shown,
            bad: $bad,
            errorsFrom: $errorsFrom,
            contactRows: $rows,
        );
    }
}
