<?php

declare(strict_types=1);

namespace Tally\Reading;

use InvalidArgumentException;

/**
 * What several readings of the same thing come to.
 *
 * Source: NIST/SEMATECH e-Handbook of Statistical Methods, 1.3.5.1 (location), 1.3.5.2 (confidence limits of the mean),
 * 1.3.5.6 (scale).
 */
final readonly class Summary
{
    /** Above this coefficient of variation, run again: common practice, no source. */
    private const UNSTEADY = 0.1;

    /**
     * @param  float|null  $deviation  sample standard deviation; null of a single reading
     */
    private function __construct(
        public int $count,
        public float $mean,
        public float $median,
        public float $least,
        public float $most,
        public ?float $deviation,
    ) {}

    /** @param  list<float>  $values  at least one */
    public static function of(array $values): self
    {
        $count = count($values);
        if ($count === 0) {
            throw new InvalidArgumentException('Nothing was measured, so there is nothing to sum up.');
        }
        sort($values);
        $mean = self::mean($values);
        $median = $count % 2 === 1 ? $values[intdiv($count, 2)] : ($values[intdiv($count, 2) - 1] + $values[intdiv($count, 2)]) / 2;
        $deviation = $count === 1 ? null : self::deviation($values, $mean);

        return new self($count, $mean, $median, $values[0], most: $values[$count - 1], deviation: $deviation);
    }

    /**
     * The value below which a share of them lies; between two of them where it falls just there, as the median does.
     *
     * Source: Hyndman and Fan 1996, definition 2.
     *
     * @param  non-empty-list<float>  $values
     * @param  float  $share  above 0, below 1
     */
    public static function quantile(array $values, float $share): float
    {
        sort($values);
        $count = count($values);
        // A hair's breadth is for shares such as 0.1, which have no exact binary form.
        $place = $count * $share;
        $whole = (int) round($place);
        if (abs($place - $whole) < 1e-9 && $whole > 0 && $whole < $count) {
            return ($values[$whole - 1] + $values[$whole]) / 2;
        }

        return $values[max(0, min($count - 1, (int) ceil($place - 1e-9) - 1))];
    }

    /** Half the 95 % confidence interval of the mean; null of a single reading. */
    public function margin(): ?float
    {
        return $this->deviation === null ? null : (StudentT::quantile(0.975, $this->count - 1) * $this->deviation) / sqrt($this->count);
    }

    /** Coefficient of variation: deviation ÷ mean. */
    public function variation(): ?float
    {
        return $this->deviation === null || $this->mean === 0.0 ? null : $this->deviation / abs($this->mean);
    }

    public function isSingleLook(): bool
    {
        return $this->count === 1;
    }

    public function isUnsteady(): bool
    {
        return $this->variation() !== null && $this->variation() > self::UNSTEADY;
    }

    /**
     * The mean of what is left over is added once more: the first sum loses digits where values are large and close.
     *
     * @param  non-empty-list<float>  $values
     */
    private static function mean(array $values): float
    {
        $rough = array_sum($values) / count($values);

        return $rough + array_sum(array_map(fn (float $value): float => $value - $rough, $values)) / count($values);
    }

    /** @param  non-empty-list<float>  $values */
    private static function deviation(array $values, float $mean): float
    {
        $squares = array_sum(array_map(fn (float $value): float => ($value - $mean) ** 2, $values));

        return sqrt($squares / (count($values) - 1));
    }
}
