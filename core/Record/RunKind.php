<?php

declare(strict_types=1);

namespace Tally\Record;

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

    /** @throws NotUsable when it is no result of this kind */
    public function result(Fields $record): Result
    {
        return match ($this) {
            self::Speed => SpeedRecord::unpack($record),
            self::Sustained => SustainedRecord::unpack($record),
            self::Files => FilesRecord::unpack($record),
            self::Copy => CopyRecord::unpack($record),
            self::Proof, self::Screen => ProofRecord::unpack($record),
        };
    }

    /** @throws NotUsable when these are no parameters of this kind */
    public function parameters(Fields $record): Parameters
    {
        return match ($this) {
            self::Speed => $record->has('typed') ? TypedParameters::unpack($record) : SpeedParameters::unpack($record),
            self::Sustained => SizeParameters::unpack($record),
            self::Files => FilesParameters::unpack($record),
            self::Copy => CopyParameters::unpack($record),
            self::Proof, self::Screen => ProofParameters::unpack($record),
        };
    }
}
