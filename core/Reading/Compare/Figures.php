<?php

declare(strict_types=1);

namespace Tally\Reading\Compare;

use InvalidArgumentException;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\NumberText;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;

/** Two figures that were read off somewhere, held against each other: two times, two speeds, or two plain numbers. */
final readonly class Figures
{
    private function __construct(public string $from, public string $to, public Change $change, private FigureKind $kind) {}

    /** @throws InvalidArgumentException with a sentence, when they are not two of one kind, above zero */
    public static function of(string $from, string $to): self
    {
        [$from, $to] = [trim($from), trim($to)];
        foreach (FigureKind::cases() as $kind) {
            $a = self::read($kind, $from);
            $b = self::read($kind, $to);
            if ($a === null || $b === null) {
                continue;
            }
            if ($a <= 0 || $b <= 0) {
                throw new InvalidArgumentException('Both figures have to be above zero: “'.($a <= 0 ? $from : $to).'” is not.');
            }

            return new self($from, $to, $kind === FigureKind::Time ? Change::ofTimes($a, $b) : new Change($a, $b), $kind);
        }
        throw new InvalidArgumentException(
            "“{$from}” and “{$to}” are not two figures of one kind. Give two times (8.1 s, 4:21), two speeds (95 MB/s) or two ".
            'numbers (49, 59).',
        );
    }

    /** `49 → 59 is 20.4 % more, of 49` */
    public function there(): string
    {
        return self::words($this->from, $this->to, $this->change);
    }

    /** `4.04 times`: how many times as much, or as fast, the larger is; null where that is less than twice. */
    public function times(): ?string
    {
        $times = max($this->change->to / $this->change->from, $this->change->from / $this->change->to);

        return $times < 2 ? null : number_format($times, 2).' times as '.($this->kind === FigureKind::Number ? 'much' : 'fast');
    }

    /** The same the other way round: a percentage has another base there. */
    public function back(): string
    {
        return self::words($this->to, $this->from, $this->change->back());
    }

    private function words(string $from, string $to, Change $change): string
    {
        $percent = fn (float $share): string => number_format(abs(100 * $share), 1).' %';
        $up = $change->to >= $change->from;

        return match ($this->kind) {
            FigureKind::Number => "From {$from} to {$to} is {$percent($change->faster())} ".($up ? 'more' : 'less').", of {$from}.",
            default => "From {$from} to {$to} takes {$percent($change->lessTime())} ".
                ($up ? 'less' : 'more').
                " time and is {$percent($change->faster())} ".
                ($up ? 'faster' : 'slower').
                ", of {$from}.",
        };
    }

    private static function read(FigureKind $kind, string $text): ?float
    {
        try {
            $bare = NumberText::read($text);

            return match ($kind) {
                FigureKind::Number => $bare !== null && $bare->unit === '' && ! $bare->looksLikeThousands ? $bare->number->toFloat() : null,
                FigureKind::Speed => $bare !== null && $bare->unit === '' ? null : Rate::parse($text)->bytesPerSecond,
                FigureKind::Time => Span::parse($text)->seconds,
            };
        } catch (NotAQuantity) {
            return null;
        }
    }
}
