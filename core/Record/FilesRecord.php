<?php

declare(strict_types=1);

namespace Tally\Record;

use Tally\Quantity\Bytes;
use Tally\Quantity\Passage;
use Tally\Quantity\Span;
use Tally\Reading\Copy\SmallFilesResult;
use Tally\Reading\Copy\SmallFilesRound;

/** What is kept of a run of small files. */
final readonly class FilesRecord implements Result
{
    public function __construct(public SmallFilesResult $result) {}

    public static function unpack(Fields $record): self
    {
        $bytes = Bytes::of($record->count('files', 0) * $record->count('each', 0));
        $rounds = [];
        foreach ($record->rows('rounds') as $row) {
            $took = fn (int $i): Passage => new Passage($bytes, Span::seconds($row->number((string) $i)));
            $rounds[] = new SmallFilesRound($took(0), $took(1), $took(2), $took(3));
        }

        return new self(
            new SmallFilesResult(
                $record->count('files', 0),
                Bytes::of($record->count('each', 0)),
                $rounds,
                $record->boolean('forgot'),
                $record->count('wrong', 0),
                false,
            ),
        );
    }

    public function pack(): array
    {
        return [
            'files' => $this->result->files,
            'each' => $this->result->each->count,
            'forgot' => $this->result->forgot,
            'wrong' => $this->result->wrong,
            'rounds' => array_map(
                fn (SmallFilesRound $round): array => [
                    $round->manyWritten->span->seconds,
                    $round->oneWritten->span->seconds,
                    $round->manyRead->span->seconds,
                    $round->oneRead->span->seconds,
                ],
                $this->result->rounds,
            ),
        ];
    }
}
