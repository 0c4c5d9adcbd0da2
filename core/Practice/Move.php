<?php

declare(strict_types=1);

namespace Tally\Practice;

use Tally\Probe\Forecast;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/** One thing to do next, and how long it takes. */
final readonly class Move
{
    /** Seconds to insert a card and have it mounted, to take it out besides, and to look at it: common practice, no source. */
    private const INSERT = 30;

    private const TAKE_OUT = 15;

    private const LOOK = 30;

    /** @param  string  $id  unlike that of any other move of its exercise */
    private function __construct(public string $id, public MoveKind $kind, public ?MadeUpReader $reader, public int $seconds) {}

    public static function look(): self
    {
        return new self(MoveKind::Inspect->value, MoveKind::Inspect, null, self::LOOK);
    }

    public static function with(PracticeCard $card, MoveKind $kind, MadeUpReader $reader): self
    {
        $id = $kind === MoveKind::Measure ? "{$kind->value}:{$reader->name}" : $kind->value;
        $hands = self::INSERT + ($kind->isAgain() ? self::TAKE_OUT : 0);

        return new self($id, $kind, $reader, $hands + (int) ceil(self::work($card, $kind, $reader)));
    }

    /** Seconds. */
    private static function work(PracticeCard $card, MoveKind $kind, MadeUpReader $reader): float
    {
        $medium = $card->inserted($kind);
        $through = fn (Rate $rate): Rate => Rate::megabytesPerSecond($reader->of($rate->megabytes()));
        $read = $through($medium->read);
        $forecast = new Forecast($through($medium->fast ?? $medium->write), $read);
        $fast = min($medium->cache->count ?? 0, $kind->bytes($medium)->count);
        $slow = Bytes::of($kind->bytes($medium)->count - $fast);
        $writing = $forecast->ofWriting(Bytes::of($fast))->seconds + $through($medium->write)->timeFor($slow)->seconds;

        return match (true) {
            $kind === MoveKind::Measure => $forecast->for(Bytes::gigabytes(1), Conduct::READINGS)->seconds,
            $kind->isScreen() => $forecast->ofScreen(new ScreenPlan($medium->shown, Conduct::POINTS))->seconds,
            $kind === MoveKind::LongWrite => $writing,
            default => $writing + $read->timeFor($kind->bytes($medium))->seconds,
        };
    }

    public function words(): string
    {
        return $this->kind->words().($this->reader === null ? '' : ", over {$this->reader->name}");
    }
}
