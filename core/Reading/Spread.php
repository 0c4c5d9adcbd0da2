<?php

declare(strict_types=1);

namespace Tally\Reading;

use Tally\Pattern\BlockClass;
use Tally\Quantity\Bytes;

/** How bad places lie on a medium: in one spot, in clusters, or scattered; and how much of what they gave back was wrong. */
final readonly class Spread
{
    private const BINS = 64;

    /**
     * Counts that scatter by chance vary as much as their mean; these vary more than so many times that. Source: the
     * variance-to-mean ratio of a Poisson process is 1.
     */
    private const CLUSTERED = 3.0;

    /** @param  float|null  $wrongBits  share of the bits of scrambled places that differ */
    private function __construct(
        public int $places,
        public Bytes $bad,
        public bool $isClustered,
        public Bytes $extent,
        public ?float $wrongBits,
    ) {}

    public static function of(BlockMap $core): self
    {
        $runs = [];
        foreach ($core->patches() as $patch) {
            if ($patch->class === BlockClass::Holds) {
                continue;
            }
            $last = array_key_last($runs);
            if ($last !== null && $runs[$last][1] === $patch->offset) {
                $runs[$last][1] = $patch->end();
            } else {
                $runs[] = [$patch->offset, $patch->end()];
            }
        }
        $scrambled = $core->bytes(BlockClass::Scrambled);
        $extent = $runs === [] ? 0 : $runs[array_key_last($runs)][1] - $runs[0][0];

        return new self(
            count($runs),
            Bytes::of($core->bad()),
            self::clustered($runs, $core),
            Bytes::of($extent),
            wrongBits: $scrambled === 0 || $core->wrongBits() === 0 ? null : $core->wrongBits() / (8 * $scrambled),
        );
    }

    /** @return list<string> */
    public function sentences(): array
    {
        $where = match (true) {
            $this->places === 1 => 'The bad bytes lie in one place.',
            $this->isClustered => "The bad bytes lie close together, in {$this->places} places within {$this->extent->decimal()}: ".
                'one part of the memory is going.',
            default => "The bad bytes are scattered, in {$this->places} places over {$this->extent->decimal()}: contact trouble, a ".
                'failing controller or worn memory.',
        };

        $bits = match (true) {
            $this->wrongBits === null => null,
            // Two unrelated streams of random bits differ in half of them.
            $this->wrongBits > 0.4 => 'What came back there has nothing to do with what was written: about half of its bits differ.',
            default => sprintf('In the changed places %s of the bits are wrong: single bits tip over.', self::share($this->wrongBits)),
        };

        return $bits === null ? [$where] : [$where, $bits];
    }

    /** @param  list<array{int, int}>  $runs  from, to */
    private static function clustered(array $runs, BlockMap $core): bool
    {
        $patches = $core->patches();
        $whole = $patches === [] ? 0 : $patches[array_key_last($patches)]->end();
        if (count($runs) < 4 || $whole === 0) {
            return count($runs) > 1 && $runs[array_key_last($runs)][1] - $runs[0][0] < $whole / 50;
        }
        $bins = array_fill(0, self::BINS, 0);
        foreach ($runs as [$from]) {
            $bins[min(self::BINS - 1, intdiv($from, max(1, intdiv($whole, self::BINS))))]++;
        }
        $mean = count($runs) / self::BINS;
        $variance = array_sum(array_map(fn (int $count): float => ($count - $mean) ** 2, $bins)) / (self::BINS - 1);

        return $variance / $mean > self::CLUSTERED;
    }

    private static function share(float $share): string
    {
        return $share >= 0.01 ? round(100 * $share).' %' : '1 in '.number_format(1 / $share, 0, '.', "\u{202F}");
    }
}
