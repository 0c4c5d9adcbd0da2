<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\CaseFile\CaseReader;
use Tally\CaseFile\RunInWords;
use Tally\Chain\HostLink;
use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\Source;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Bus;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;

/** A made-up card on a made-up bench, with a first figure and all that can be done next. The same seed always gives the same one. */
final class Exercise
{
    /** When the first look was: made up. */
    private const BEFORE = '2026-01-01T08:00:00Z';

    private const ON_THE_BEST = [MoveKind::LongWrite, MoveKind::Screen, MoveKind::Part, MoveKind::Whole, MoveKind::ScreenAgain];

    /** @var array<string, SpeedRecord|ProofRecord|SustainedRecord> by move: what comes of it */
    private array $results = [];

    /** @var array<int, Evidence> with the first figure alone, and with a look at the card besides */
    private array $bases = [];

    private ?Answer $answer = null;

    /** @param  array<string, Move>  $moves  by id, in the order in which they are offered */
    private function __construct(
        public readonly Level $level,
        public readonly int $seed,
        public readonly PracticeCard $card,
        public readonly MadeUpReader $first,
        public readonly array $moves,
    ) {}

    public static function seeded(Level $level, int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar(10 * $seed + $level->value));
        $trick = $level->trick($seed);
        $card = PracticeCard::drawn($trick, $chance);
        $names = $chance->shuffleArray(['P1', 'P2', 'P3']);
        $good = MadeUpReader::drawn($names[0], Bus::UhsII, HostLink::UsbGen2, $chance);
        $old = MadeUpReader::drawn($names[1], Bus::UhsI, HostLink::UsbGen1, $chance);
        $thin = MadeUpReader::drawn($names[2], Bus::UhsII, HostLink::Usb2, $chance);
        $first = match ($trick) {
            Trick::OldSlot => $old,
            Trick::SlowLink, Trick::SlowCard, Trick::OldBench => $thin,
            Trick::ChangesItsMind, Trick::OneRow => $good,
            default => $chance->getInt(0, 1) === 0 ? $old : $thin,
        };
        $isOld = $trick === Trick::OldBench;
        $readers = [...$isOld ? [] : [$names[0] => $good], $names[1] => $old, $names[2] => $thin];
        ksort($readers);
        $best = $isOld ? $old : $good;
        $over = fn (MoveKind $kind, MadeUpReader $reader): Move => Move::with($card, $kind, $reader);
        $offered = [
            Move::look(),
            ...array_map(fn (MadeUpReader $reader): Move => $over(MoveKind::Measure, $reader), array_values($readers)),
            ...array_map(fn (MoveKind $kind): Move => $over($kind, $best), self::ON_THE_BEST),
            // Another one of the same kind.
            $over(MoveKind::WholeAgain, $best->twin('P4')),
        ];

        return new self($level, $seed, $card, $first, moves: array_column($offered, null, 'id'));
    }

    /** What can be said of it, and the shortest way there. */
    public function answer(): Answer
    {
        return $this->answer ??= Answer::of($this);
    }

    /** @return list<MadeUpReader> by name */
    public function readers(): array
    {
        $readers = array_map(fn (Move $move): ?MadeUpReader => $move->reader, $this->of(MoveKind::Measure));

        return array_values(array_filter($readers, fn (?MadeUpReader $reader): bool => $reader !== null));
    }

    /** @return list<Move> */
    public function of(MoveKind $kind): array
    {
        return array_values(array_filter($this->moves, fn (Move $move): bool => $move->kind === $kind));
    }

    /**
     * What is known after some moves, in the order in which they were made. The first figure is always known.
     *
     * @param  list<Move>  $done
     */
    public function evidence(array $done): Evidence
    {
        $base = $this->base(self::isSeen($done));
        $runs = [$this->run(null, 0, 1)];
        foreach ($done as $at => $move) {
            if ($move->reader !== null) {
                $runs[] = $this->run($move, $at, count($runs) + 1);
            }
        }

        return new Evidence(
            $base->label,
            array_values(array_filter($runs, fn (object $run): bool => $run instanceof SpeedEvidence)),
            array_values(array_filter($runs, fn (object $run): bool => $run instanceof ProofEvidence)),
            array_values(array_filter($runs, fn (object $run): bool => $run instanceof LongWriteEvidence)),
            seen: $base->seen,
            looked: true,
            house: $base->house,
        );
    }

    /** @param  Move|null  $move  null for the first look */
    private function run(?Move $move, int $at, int $number): SpeedEvidence|ProofEvidence|LongWriteEvidence
    {
        $reader = $move->reader ?? $this->first;
        $result = $this->results[$move->id ?? ''] ??= Conduct::on($this->card, $reader, $move?->kind);
        [$source, $chain] = [new Source("run {$number}", $move === null ? self::BEFORE : self::moment($at)), $reader->chain()];

        return match (true) {
            $result instanceof SpeedRecord => new SpeedEvidence($source, $chain, $result),
            $result instanceof ProofRecord => new ProofEvidence($source, $chain, $result),
            default => new LongWriteEvidence($source, $chain, $result->course, $result->write->bytes),
        };
    }

    /** Label, look and where it comes from, without a run. */
    private function base(bool $isSeen): Evidence
    {
        return $this->bases[(int) $isSeen] ??= CaseReader::read($this->written($isSeen, []))->evidence;
    }

    /** @param  list<Move>  $done */
    private static function isSeen(array $done): bool
    {
        return array_filter($done, fn (Move $move): bool => $move->kind === MoveKind::Inspect) !== [];
    }

    /**
     * @param  list<Move>  $done
     * @return array<string, mixed> in the open format of a case
     */
    public function case(array $done): array
    {
        $runs = [['on' => self::BEFORE, 'chain' => $this->first->inCase(), ...RunInWords::of($this->run(null, 0, 1))]];
        foreach ($done as $at => $move) {
            if ($move->reader !== null) {
                $runs[] = ['on' => self::moment($at), 'chain' => $move->reader->inCase(), ...RunInWords::of($this->run($move, $at, 1))];
            }
        }

        return $this->written(self::isSeen($done), $runs);
    }

    /**
     * @param  list<array<string, mixed>>  $runs
     * @return array<string, mixed>
     */
    private function written(bool $isSeen, array $runs): array
    {
        return [
            'format' => CaseReader::FORMAT,
            'version' => CaseReader::VERSION,
            'name' => "practice, level {$this->level->value}, seed {$this->seed}",
            'label' => $this->card->label,
            ...$this->card->known($isSeen),
            'runs' => $runs,
        ];
    }

    /** Made up: a case tells its runs apart by their moments. */
    private static function moment(int $at): string
    {
        return sprintf('2026-01-01T%02d:%02d:00Z', 9 + intdiv($at, 60), $at % 60);
    }

    /** MB/s read over the first reader. */
    public function firstFigure(): float
    {
        return round($this->evidence([])->speeds[0]->record->reads[0] / 1e6, 1);
    }
}
