<?php

declare(strict_types=1);

namespace Tally\Reading\Copy;

use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/**
 * What a file costs besides its bytes, told by small files against large ones: each class took
 * files × overhead + bytes ÷ rate, and two classes make two equations.
 */
final readonly class FileOverhead
{
    /** Large files have to be so many times the size of small ones on average, or nothing is told. House rule. */
    private const APART = 4.0;

    /**
     * @param  Span  $perFile  nothing where large files were no faster a byte
     * @param  Rate  $rate  of the bytes alone
     */
    private function __construct(public Span $perFile, public Rate $rate, public int $small, public int $large) {}

    /**
     * @param  list<array{int, float}>  $files  bytes and seconds of each
     * @return self|null null when the files are of about one size, or too few
     */
    public static function of(array $files): ?self
    {
        if (count($files) < 2) {
            return null;
        }
        $middle = array_sum(array_column($files, 0)) / count($files);
        [$count, $bytes, $seconds] = [[0, 0], [0, 0], [0.0, 0.0]];
        foreach ($files as [$size, $took]) {
            $class = $size > $middle ? 1 : 0;
            $count[$class]++;
            $bytes[$class] += $size;
            $seconds[$class] += $took;
        }
        if ($count[0] === 0 || $count[1] === 0 || self::APART * max(1, $bytes[0] / $count[0]) > $bytes[1] / $count[1]) {
            return null;
        }
        $determinant = $count[0] * $bytes[1] - $count[1] * $bytes[0];
        $overhead = ($seconds[0] * $bytes[1] - $seconds[1] * $bytes[0]) / $determinant;
        $perByte = ($count[0] * $seconds[1] - $count[1] * $seconds[0]) / $determinant;

        return $perByte <= 0
            ? null
            : new self(
                Span::seconds(max(0.0, $overhead)),
                Rate::bytesPerSecond($overhead < 0 ? array_sum($bytes) / array_sum($seconds) : 1 / $perByte),
                $count[0],
                $count[1],
            );
    }

    public function words(): string
    {
        return $this->perFile->seconds <= 0
            ? 'small files cost nothing on top of their bytes'
            : 'each file costs '.
                    number_format(1000 * $this->perFile->seconds, 1).
                    " ms on top of its bytes, which go at {$this->rate->print()} (from {$this->small} smaller ".
                    "against {$this->large} larger files)";
    }
}
