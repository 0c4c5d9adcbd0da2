<?php

declare(strict_types=1);

namespace App\Runs;

use Illuminate\Support\Fluent;
use Tally\Probe\Passage;
use Tally\Probe\SmallFilesResult;
use Tally\Probe\SmallFilesRound;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;

/** What is kept of a run of small files: the result itself. */
final readonly class FilesRecord
{
    /** @return array<string, mixed> */
    public static function pack(SmallFilesResult $result): array
    {
        return [
            'files' => $result->files, 'each' => $result->each->count, 'forgot' => $result->forgot, 'wrong' => $result->wrong,
            'rounds' => array_map(fn (SmallFilesRound $round): array => [
                $round->manyWritten->span->seconds, $round->oneWritten->span->seconds, $round->manyRead->span->seconds, $round->oneRead->span->seconds,
            ], $result->rounds),
        ];
    }

    /** @param  Fluent<string, mixed>  $record */
    public static function unpack(Fluent $record): SmallFilesResult
    {
        $bytes = Bytes::of($record->integer('files') * $record->integer('each'));
        $rounds = [];
        foreach ($record->array('rounds') as $row) {
            $row = new Fluent(is_array($row) ? $row : []);
            $took = fn (int $i): Passage => new Passage($bytes, Span::seconds($row->float((string) $i)));
            $rounds[] = new SmallFilesRound($took(0), $took(1), $took(2), $took(3));
        }

        return new SmallFilesResult($record->integer('files'), Bytes::of($record->integer('each')), $rounds, $record->boolean('forgot'), $record->integer('wrong'), false);
    }
}
