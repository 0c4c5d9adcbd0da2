<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Value\NotUsable;
use Tally\Value\Values;

/** What a run does to a card. */
enum RunKind: string
{
    case Speed = 'speed';
    case Sustained = 'sustained';
    case Files = 'files';
    case Copy = 'copy';
    case Proof = 'proof';
    case Screen = 'screen';

    public function label(): string
    {
        return match ($this) {
            self::Speed => 'speed run',
            self::Sustained => 'sustained run',
            self::Files => 'small files',
            self::Copy => 'timed copy',
            self::Proof => 'full proof',
            self::Screen => 'quick screen',
        };
    }

    /** Whether it tells of the capacity, and is carried out beside others: what it finds does not depend on how fast it was. */
    public function isProof(): bool
    {
        return $this === self::Proof || $this === self::Screen;
    }

    /**
     * @param  array<mixed>  $kept  as JSON gives it
     * @param  array<mixed>  $asked  the parameters kept with it
     *
     * @throws NotUsable when it is no result of this kind
     */
    public function result(array $kept, array $asked = [], string $at = ''): Result
    {
        return match ($this) {
            self::Speed => Values::read(SpeedRecord::class, $kept, $at),
            self::Sustained => Values::read(SustainedRecord::class, $kept, $at),
            self::Files => Values::read(FilesRecord::class, $kept, $at),
            self::Copy => Values::read(CopyRecord::class, $kept, $at),
            self::Proof, self::Screen => Values::read(ProofRecord::class, Before::proof($kept, $asked), $at)->toldAnew(),
        };
    }

    /**
     * @param  array<mixed>  $kept
     *
     * @throws NotUsable when these are no parameters of this kind
     */
    public function parameters(array $kept, string $at = ''): Parameters
    {
        return Values::read(match ($this) {
            self::Speed => isset($kept['typed']) ? TypedParameters::class : SpeedParameters::class,
            self::Sustained => SizeParameters::class,
            self::Files => FilesParameters::class,
            self::Copy => CopyParameters::class,
            self::Proof, self::Screen => ProofParameters::class,
        }, Before::parameters($this, $kept), $at);
    }
}
