<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Randomizer;

/** What comes of each thing that can be done with a made-up card, and how long it takes. */
final readonly class Bench
{
    /** What is known of the price and the number of a card that looks suspicious: made up. */
    public const CHEAP = [
        'serial' => 'PX-0042',
        'price' => '9.90 EUR',
        'house' => [
            'cards' => [['tag' => 'PX-1', 'serial' => 'PX-0042']],
            'prices' => [
                ['label' => '128GB SDXC II V60', 'price' => '62 EUR'],
                ['label' => '128GB SDXC II V60', 'price' => '66 EUR'],
                ['label' => '128GB SDXC II V60', 'price' => '70 EUR'],
            ],
        ],
    ];

    /** Seconds to insert a card and have it mounted, to take it out besides, and to look at it: common practice, no source. */
    private const INSERT = 20;

    private const TAKE_OUT = 15;

    private const LOOK = 45;

    private const SCREEN = 40;

    private const READINGS = 5;

    /** The other reader that a card is proven in again. */
    private const TWIN = 'P4';

    /** GB. */
    private const LONG = 12.0;

    private const PART = 8.0;

    /** Errors that come at another place each time: shares of where they begin. */
    private const WANDERS = ['screen' => 1.0, 'whole' => 1.07, 'screen-again' => 0.93, 'whole-again' => 1.15];

    public function __construct(private MadeUpCard $card, private MadeUpReader $good, private Randomizer $chance) {}

    /**
     * @param  list<MadeUpReader>  $readers
     * @return list<Move>
     */
    public function moves(array $readers): array
    {
        return [
            new Move(MoveKind::Inspect->value, MoveKind::Inspect, null, self::LOOK, run: null),
            ...array_map($this->measure(...), $readers),
            $this->longWrite(),
            $this->screen(MoveKind::Screen),
            $this->part(),
            $this->whole(MoveKind::Whole),
            $this->screen(MoveKind::ScreenAgain),
            $this->whole(MoveKind::WholeAgain),
        ];
    }

    /** @return array<string, mixed> three readings; of a card that changes its mind, the slow ones */
    public function firstLook(MadeUpReader $reader): array
    {
        return $this->speed($reader, 3, $this->card->trick === Trick::ChangesItsMind ? 0.45 : 1.0);
    }

    private function measure(MadeUpReader $reader): Move
    {
        [$write, $read] = [$reader->of($this->card->burst), $reader->of($this->card->read)];

        return new Move(
            MoveKind::Measure->value.":{$reader->name}",
            MoveKind::Measure,
            $reader,
            self::INSERT + (int) ceil(self::READINGS * (1000 / $write + 1000 / $read)),
            run: $this->speed($reader, self::READINGS, 1.0),
        );
    }

    /** @return array<string, mixed> */
    private function speed(MadeUpReader $reader, int $readings, float $share): array
    {
        $around = fn (float $rate): array => array_map(
            fn (): string => round($share * $rate * (1 - $this->chance->getInt(0, 12) / 1000), 1).' MB/s',
            range(1, $readings),
        );

        return [
            'kind' => 'speed',
            'chain' => $reader->inCase(),
            'bytes' => '1 GB',
            'write' => $around($reader->of($this->card->burst)),
            'read' => $around($reader->of($this->card->read)),
        ];
    }

    private function longWrite(): Move
    {
        $gives = $this->good->of(INF);

        return new Move(
            MoveKind::LongWrite->value,
            MoveKind::LongWrite,
            $this->good,
            self::INSERT + (int) ceil($this->card->writing(self::LONG, $gives)),
            run: ['kind' => 'sustained', 'chain' => $this->good->inCase(), 'course' => $this->card->course(self::LONG, $gives)],
        );
    }

    private function screen(MoveKind $kind): Move
    {
        $isAnswered = $this->card->trick === Trick::CacheAnswers && ! $kind->isAgain();

        return new Move($kind->value, $kind, $this->good, self::SCREEN + $this->seating($kind), run: [
            'kind' => 'screen',
            'chain' => $this->good->inCase(),
            'shows' => "{$this->card->shown} GB",
            'points' => 64,
            'bad' => $isAnswered ? [] : $this->fake(),
            'reinserted' => $kind->isAgain(),
            ...$this->refused($kind),
        ]);
    }

    private function part(): Move
    {
        return new Move(
            MoveKind::Part->value,
            MoveKind::Part,
            $this->good,
            self::INSERT + $this->passes(self::PART),
            run: $this->proof(self::PART, []),
        );
    }

    private function whole(MoveKind $kind): Move
    {
        $isEnded = $this->card->trick->hasErrors();
        $refused = $this->refused($kind);
        $much = $isEnded ? $this->end($kind) : $this->card->shown;
        $spot = $this->card->trick === Trick::BadSpots ? [['scrambled', round($this->card->shown * 0.6, 2).' GB', '20 MB']] : [];

        $reader = $kind->isAgain() ? $this->good->twin(self::TWIN) : $this->good;

        return new Move($kind->value, $kind, $reader, $this->passes($much) + $this->seating($kind), run: [
            ...$this->proof($much, [...$this->fake(), ...$spot]),
            'chain' => $reader->inCase(),
            'reinserted' => $kind->isAgain(),
            ...$refused,
        ]);
    }

    /**
     * @param  list<list<string>>  $bad
     * @return array<string, mixed>
     */
    private function proof(float $gb, array $bad): array
    {
        $read = $this->good->of($this->card->read);

        return [
            'kind' => 'proof',
            'chain' => $this->good->inCase(),
            'mode' => 'raw',
            'shows' => "{$this->card->shown} GB",
            'written' => "{$gb} GB",
            'read_back' => "{$gb} GB",
            'course' => $this->card->course($gb, $this->good->of(INF)),
            'bad' => $bad,
            'read' => round($read, 1).' MB/s',
        ];
    }

    private function seating(MoveKind $kind): int
    {
        return self::INSERT + ($kind->isAgain() ? self::TAKE_OUT : 0);
    }

    private function passes(float $gb): int
    {
        return (int) ceil($this->card->writing($gb, $this->good->of(INF)) + (1000 * $gb) / $this->good->of($this->card->read));
    }

    /** @return list<list<string>> what comes back wrong of a fake */
    private function fake(): array
    {
        [$end, $rest] = ["{$this->card->end} GB", round($this->card->shown - $this->card->end, 2).' GB'];

        return match ($this->card->trick) {
            Trick::StartsOver => [['echoes', '0 GB', $rest, $end]],
            Trick::Drops, Trick::CacheAnswers => [['blank', $end, $rest]],
            Trick::Spoils => [['scrambled', $end, $rest]],
            default => [],
        };
    }

    /** @return array{refused?: array{string, string}} */
    private function refused(MoveKind $kind): array
    {
        return $this->card->trick->hasErrors() ? ['refused' => ['write', $this->end($kind).' GB']] : [];
    }

    private function end(MoveKind $kind): float
    {
        return round($this->card->end * ($this->card->trick === Trick::EndsInErrors ? self::WANDERS[$kind->value] ?? 1.0 : 1.0), 2);
    }
}
