<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Span;
use Tally\Reading\Summary;

/** What many small files took against one large file of the same bytes. */
final readonly class SmallFilesReading
{
    /**
     * @param  Summary  $overhead  seconds a file besides its bytes, one of each round; below zero is noise
     * @param  Summary  $many  bytes a second as small files
     * @param  Summary  $one  bytes a second as one file
     */
    private function __construct(public Summary $overhead, public Summary $many, public Summary $one) {}

    public static function ofWriting(SmallFilesResult $result): ?self
    {
        return self::of($result, fn (SmallFilesRound $round): array => [$round->manyWritten, $round->oneWritten]);
    }

    public static function ofReading(SmallFilesResult $result): ?self
    {
        return self::of($result, fn (SmallFilesRound $round): array => [$round->manyRead, $round->oneRead]);
    }

    /** @param  callable(SmallFilesRound): array{Span, Span}  $way */
    private static function of(SmallFilesResult $result, callable $way): ?self
    {
        [$overheads, $many, $one] = [[], [], []];
        foreach ($result->rounds as $round) {
            [$small, $large] = array_map($result->moved(...), $way($round));
            if ($small->rate() !== null && $large->rate() !== null) {
                $overheads[] = ($small->span->seconds - $large->span->seconds) / ($result->files - 1);
                $many[] = $small->rate()->bytesPerSecond;
                $one[] = $large->rate()->bytesPerSecond;
            }
        }

        return $overheads === [] ? null : new self(Summary::of($overheads), Summary::of($many), Summary::of($one));
    }
}
