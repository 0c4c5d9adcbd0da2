<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Reading\Condition;
use Tally\Simulated\Behaviour;
use Tally\Simulated\Medium;

/** A made-up card of any kind, with what a proof ought to say of it. */
final readonly class Specimen
{
    /** The kinds, in turn. */
    public const KINDS = [
        'honest',
        'wraps',
        'wraps, a part spared',
        'its first lap stays',
        'drops',
        'drops, remembers',
        'corrupts',
        'refuses',
        'patchy',
        'honest, slow',
    ];

    private function __construct(
        public string $kind,
        public Medium $medium,
        public Condition $truth,
        public Bytes $capacity,
        public ?int $wrap,
    ) {}

    /** The same seed always gives the same one: 2 GB to 1 TB, a fake with a twentieth to nine tenths of it, in whole sectors. */
    public static function seeded(int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $kind = self::KINDS[$seed % count(self::KINDS)];
        $shown = self::sectors((int) (2e9 * 500 ** ($chance->getInt(0, 1000) / 1000)));
        $true = self::sectors((int) (($shown->count * $chance->getInt(50, 900)) / 1000) + 512 * $chance->getInt(0, 4095));
        $behaviour = match ($kind) {
            'wraps', 'wraps, a part spared' => Behaviour::Wraps,
            'its first lap stays' => Behaviour::Keeps,
            'drops', 'drops, remembers' => Behaviour::Drops,
            'corrupts' => Behaviour::Corrupts,
            'refuses' => Behaviour::Refuses,
            'patchy' => Behaviour::Patchy,
            default => Behaviour::Honest,
        };
        $spared = $kind === 'wraps, a part spared' ? self::sectors((int) (($true->count * $chance->getInt(50, 600)) / 1000)) : null;
        $isShort = $behaviour->isShort();
        $medium = new Medium(
            $behaviour,
            $shown,
            $isShort ? $true : $shown,
            Rate::megabytesPerSecond($kind === 'honest, slow' ? $chance->getInt(3, 9) : $chance->getInt(10, 200)),
            read: Rate::megabytesPerSecond($chance->getInt(20, 280)),
            patches: $behaviour === Behaviour::Patchy ? $chance->getInt(1, 40) : 0,
            jitter: $chance->getInt(2, 30) / 1000,
            seed: $seed,
            spared: $spared,
            remembers: $kind === 'drops, remembers' ? Bytes::of(1_048_576 * $chance->getInt(1, 64)) : null,
        );
        $wraps = $behaviour === Behaviour::Wraps || $behaviour === Behaviour::Keeps;

        return new self(
            $kind,
            $medium,
            match (true) {
                $wraps => Condition::Wraps,
                $behaviour === Behaviour::Drops => Condition::Drops,
                $behaviour === Behaviour::Refuses => Condition::Refuses,
                $behaviour === Behaviour::Corrupts => Condition::Corrupts,
                $behaviour === Behaviour::Patchy => Condition::Faulty,
                default => Condition::Whole,
            },
            $isShort ? $true : $shown,
            wrap: $wraps ? $true->count - ($spared->count ?? 0) : null,
        );
    }

    private static function sectors(int $bytes): Bytes
    {
        return Bytes::of(max(512, $bytes - ($bytes % 512)));
    }
}
