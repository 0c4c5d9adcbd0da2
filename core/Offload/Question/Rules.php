<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use InvalidArgumentException;

/** The rules of the house that a plan keeps to. */
final readonly class Rules
{
    public const MOST_COPIES = 3;

    public const MOST_HANDS = 20;

    /**
     * @param  int  $copies  of each card, on different drives
     * @param  Scheme|null  $scheme  null: chosen for each card
     * @param  float  $swap  seconds that a swap takes
     * @param  float  $first  seconds that putting a first card into a slot takes
     * @param  float  $overhead  seconds that each file costs on top of its bytes
     * @param  int  $hands  pairs of them
     */
    public function __construct(
        public int $copies = 2,
        public Verify $verify = Verify::ReadBack,
        public ?Scheme $scheme = null,
        public float $swap = 25.0,
        public float $first = 10.0,
        public float $overhead = 0.01,
        public int $hands = 1,
    ) {
        if ($copies < 1 || $copies > self::MOST_COPIES || $hands < 1 || $hands > self::MOST_HANDS || min($swap, $first, $overhead) < 0) {
            throw new InvalidArgumentException('A plan has 1 to 3 copies, 1 to 20 pairs of hands, and no times below nothing.');
        }
    }

    /** @return list<Scheme> that a card may be copied by */
    public function schemes(): array
    {
        return match (true) {
            $this->copies === 1 => [Scheme::Straight],
            $this->scheme !== null => [$this->scheme],
            default => [Scheme::FanOut, Scheme::Relay, Scheme::Straight],
        };
    }

    public function readsBack(): bool
    {
        return $this->verify === Verify::ReadBack;
    }
}
