<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use Illuminate\Support\Carbon;
use Illuminate\Support\Collection;
use Tally\Reading\Summary;
use Tally\Reading\Trend;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;

/**
 * The figures of a card over time, on the one chain that has most of them: what it kept up over long writes, and what it read. Figures
 * of several chains beside each other would show the chains.
 */
final readonly class LifeFigures
{
    private const DAY = 86_400;

    /**
     * @param  list<array{Carbon, float, Run}>  $writes  MB/s over a long write
     * @param  list<array{Carbon, float, Run}>  $reads
     */
    private function __construct(public string $chain, public array $writes, public array $reads) {}

    /** @param  Collection<int, Run>  $runs  of the card */
    public static function of(Card $card, Collection $runs): self
    {
        $chains = [];
        foreach ($runs as $run) {
            if ($run->result !== null && $run->counts() && $run->chain->isNamed()) {
                [$write, $read] = self::figures($run);
                $at = $run->ended_at ?? $run->created_at;
                $name = $run->chain->describe();
                $chains[$name] ??= [[], []];
                $chains[$name][0] = $write === null ? $chains[$name][0] : [...$chains[$name][0], [$at, $write, $run]];
                $chains[$name][1] = $read === null ? $chains[$name][1] : [...$chains[$name][1], [$at, $read, $run]];
            }
        }
        uasort($chains, fn (array $a, array $b): int => [count($b[0]), count($b[1])] <=> [count($a[0]), count($a[1])]);
        $chain = (string) array_key_first($chains);

        return new self($chain, ...$chains[$chain] ?? [[], []]);
    }

    /** Whether it gets slower or faster; x in days of Unix time, y in MB/s. */
    public function trend(): ?Trend
    {
        return Trend::of(array_map(fn (array $one): array => [self::day($one[0]), $one[1]], $this->writes));
    }

    /** Days of Unix time. */
    public static function day(Carbon $at): float
    {
        return $at->getTimestamp() / self::DAY;
    }

    public static function at(float $day): Carbon
    {
        return Carbon::createFromTimestamp((int) round($day * self::DAY));
    }

    /** @return array{float|null, float|null} write over a long write, read; MB/s */
    private static function figures(Run $run): array
    {
        $result = $run->result;

        return match (true) {
            $result instanceof SustainedRecord => [$result->write->rate()?->megabytes(), null],
            $result instanceof ProofRecord && $result->screen === null => [
                $result->write->rate()?->megabytes(),
                $result->read->rate()?->megabytes(),
            ],
            $result instanceof SpeedRecord && $result->reads !== [] => [null, Summary::of($result->reads)->median / 1e6],
            default => [null, null],
        };
    }
}
