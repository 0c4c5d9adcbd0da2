<?php

declare(strict_types=1);

namespace Tally\Device\Fault;

use Tally\Device\Host\HostError;

/**
 * Tells an error of the host as the fault it is. Only what the medium itself answered is held against the medium; full, gone,
 * read-only and refused never are.
 */
final readonly class HostErrorMapper
{
    /**
     * What a block device answers of a spot of its own: input/output, no data, checksum, timed out, remote input/output, needs
     * cleaning. Source: the kernel's block/blk-core.c, blk_errors; errno(3).
     */
    private const OF_THE_MEDIUM = [HostError::EIO, 61, 74, HostError::EILSEQ, 110, 117, 121];

    public static function isOfTheMedium(int $errno): bool
    {
        return in_array($errno, self::OF_THE_MEDIUM, true);
    }

    /**
     * @param  int  $at  bytes from the start of the medium
     * @param  bool  $isThere  whether the medium still is
     */
    public static function writing(HostError $error, int $at, string $where, bool $isThere): CannotWrite|EndsRun
    {
        return match (true) {
            ! $isThere || $error->isGone() => MediumGone::from($where),
            $error->isFull() => CannotWrite::full($at, $where),
            self::isOfTheMedium($error->errno) => CannotWrite::at($at, $where, $error->getMessage()),
            default => HostRefused::on($where, $error),
        };
    }

    public static function reading(HostError $error, int $at, int $length, string $where, bool $isThere): CannotRead|EndsRun
    {
        return match (true) {
            ! $isThere || $error->isGone() => MediumGone::from($where),
            self::isOfTheMedium($error->errno) => CannotRead::at($at, $length, $where, $error->getMessage()),
            default => HostRefused::on($where, $error),
        };
    }

    public static function settling(HostError $error, int $at, string $where, bool $isThere): CannotWrite|CannotSettle|EndsRun
    {
        return match (true) {
            ! $isThere || $error->isGone() => MediumGone::from($where),
            $error->isFull() => CannotWrite::full($at, $where),
            self::isOfTheMedium($error->errno) => CannotSettle::on($where, $error->getMessage()),
            default => HostRefused::on($where, $error),
        };
    }
}
