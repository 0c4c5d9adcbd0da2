<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use InvalidArgumentException;
use Tally\Chain\Path;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** What a timed copy says: so many bytes in so many files, and when each lap was taken from the start. */
final readonly class CopyReading
{
    /** A link that could carry so many times what came was not what held it back. House rule. */
    private const SPARE = 1.25;

    /** Above so many times what the card was seen to read, copy and card tell different stories: the house rule for “above”. */
    private const ABOVE = 1.1;

    /** A step that ends within so much of the one before, of the whole, ended with it. House rule. */
    private const WITH = 0.03;

    /**
     * @param  int|null  $files  null when nobody counted
     * @param  non-empty-array<string, Span>  $laps  from the start, by the name of the lap
     *
     * @throws InvalidArgumentException with a sentence
     */
    private function __construct(public Bytes $bytes, public ?int $files, public array $laps)
    {
        if ($bytes->isZero()) {
            throw new InvalidArgumentException('A copy of 0 B has no speed. Give how much was copied, such as 20 GB.');
        }
        foreach ($laps as $name => $span) {
            if ($span->seconds <= 0) {
                throw new InvalidArgumentException("The lap “{$name}” was taken after 0 s. Give the time from the start, such as 3:49.");
            }
        }
    }

    /**
     * @param  array<string, Span>  $laps  by the name of the lap
     *
     * @throws InvalidArgumentException with a sentence
     */
    public static function of(Bytes $bytes, ?int $files, array $laps): self
    {
        $known = [];
        foreach (Lap::cases() as $lap) {
            if (isset($laps[$lap->value])) {
                $known[$lap->value] = $laps[$lap->value];
            }
        }

        return $known === []
            ? throw new InvalidArgumentException('No lap was taken. Stop the watch at least once: copied, verified or previews built.')
            : new self($bytes, $files, $known);
    }

    /** What "done" meant: the lap that was taken last. */
    public function done(): Lap
    {
        $last = array_key_first($this->laps);
        foreach ($this->laps as $name => $span) {
            $last = $span->seconds >= $this->laps[$last]->seconds ? $name : $last;
        }

        return Lap::from($last);
    }

    public function total(): Span
    {
        return $this->laps[$this->done()->value];
    }

    /** Bytes of the copy ÷ the time until this lap. */
    public function rate(?Lap $lap = null): ?Rate
    {
        $span = $this->laps[($lap ?? $this->done())->value] ?? null;

        return $span === null ? null : Rate::ofTransfer($this->bytes, $span);
    }

    /** Whether it was copied faster than the chain can carry: such a time is nobody's evidence. */
    public function isTooFast(Path $chain): bool
    {
        $rate = $this->rate(Lap::Copied) ?? $this->rate();

        return $rate !== null && $chain->isNamed && $chain->nominal()->isBelow($rate);
    }

    /**
     * What was the limit, as far as the laps and the speeds at hand can tell.
     *
     * @param  Rate|null  $card  how fast the card was seen to read
     */
    public function bound(?Rate $card = null, ?Path $chain = null): CopyLimit
    {
        $copied = $this->laps[Lap::Copied->value] ?? null;
        $previews = $this->laps[Lap::Previews->value] ?? null;
        // What the card had a part in is the copying; without a lap for it, all there is. Reading back is the drive's.
        $rate = $this->rate(Lap::Copied) ?? $this->rate();
        $isMixed = $copied === null && isset($this->laps[Lap::Verified->value]);

        return match (true) {
            $chain !== null && $this->isTooFast($chain) => CopyLimit::TooFast,
            $copied !== null && $previews !== null && $previews->seconds > (1 + self::WITH) * $copied->seconds => CopyLimit::Previews,
            $rate === null || $card === null => CopyLimit::Open,
            $this->isSpare($card, $rate) && $previews !== null => CopyLimit::Previews,
            $this->isSpare($card, $rate) && $isMixed => CopyLimit::Open,
            $this->isSpare($card, $rate) => CopyLimit::NotTheCard,
            // A card that was never seen to read that fast was not what set the pace either: the two do not go together.
            $rate->over($card) > self::ABOVE => CopyLimit::Open,
            default => CopyLimit::Card,
        };
    }

    /**
     * The same work from another card: the same time from a card that is clearly faster means that the card was not the limit.
     *
     * @param  Rate  $card  how fast the card of this copy reads
     * @param  Rate  $otherCard  how fast that of the other does
     */
    public function boundBeside(self $other, Rate $card, Rate $otherCard): CopyLimit
    {
        $time = $this->total()->seconds / $other->total()->seconds;
        $sameWork = $this->bytes->count === $other->bytes->count && $this->done() === $other->done();
        $speed = max($card->over($otherCard), $otherCard->over($card));
        if (! $sameWork || abs($time - 1) > self::WITH || $speed < self::SPARE) {
            return CopyLimit::Open;
        }

        return $this->done() === Lap::Previews ? CopyLimit::Previews : CopyLimit::NotTheCard;
    }

    private function isSpare(Rate $card, Rate $rate): bool
    {
        return $card->over($rate) >= self::SPARE;
    }
}
