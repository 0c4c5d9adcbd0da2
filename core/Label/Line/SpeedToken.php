<?php

declare(strict_types=1);

namespace Tally\Label\Line;

/** A piece of what a label says of speed: a figure, or a word that tells which figure it is. */
final readonly class SpeedToken
{
    /**
     * @param  string  $kind  figure, read, write, sustained or both
     * @param  int  $at  where it begins, in bytes
     * @param  string  $text  as printed, with the little words around it
     * @param  bool  $joined  whether nothing but marks of separation stands between it and the one before
     * @param  bool  $paired  whether a stroke ties it to the one before, as in 95/90
     * @param  bool  $parted  whether a comma, a bracket or the like parts it from the one before
     * @param  string  $before  what stands in front of the number itself
     */
    public function __construct(
        public string $kind,
        public int $at,
        public string $text,
        public string $number,
        public string $unit,
        public bool $joined,
        public bool $paired,
        public bool $parted = false,
        public string $before = '',
    ) {}

    public function isFigure(): bool
    {
        return $this->kind === 'figure';
    }

    /** A number without a unit is a speed only beside a word or another speed. */
    public function isBare(): bool
    {
        return $this->isFigure() && $this->unit === '';
    }

    /** What the number comes to, its thousands grouped or not. */
    public function amount(): float
    {
        return (float) str_replace(',', '.', (string) preg_replace('~(?<=\d)[ .,\x{202F}\x{A0}](?=\d{3}(?!\d))~u', '', $this->number));
    }

    /** @return array{int, int} */
    public function stretch(): array
    {
        return [$this->at, strlen($this->text)];
    }
}
