<?php

declare(strict_types=1);

namespace Tally\Practice;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\CaseFile\CaseReader;
use Tally\CaseFile\WrittenRun;
use Tally\Chain\HostLink;
use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Label\Bus;
use Tally\Value\Values;

/** A made-up card on a made-up bench, with a first figure and all that can be done next. The same seed always gives the same one. */
final class Exercise
{
    /** @var array<string, SpeedEvidence|ProofEvidence|LongWriteEvidence> by move and place in the order, as they were read before */
    private array $runs = [];

    /** @var array<int, Evidence> with the first figure alone, and with a look at the card besides */
    private array $bases = [];

    private ?Answer $answer = null;

    /**
     * @param  array<string, Move>  $moves  by id, in the order in which they are offered
     * @param  array<string, mixed>  $look  the first figure, as a case tells it
     */
    private function __construct(
        public readonly Level $level,
        public readonly int $seed,
        public readonly MadeUpCard $card,
        public readonly MadeUpReader $first,
        public readonly array $moves,
        private readonly array $look,
    ) {}

    public static function seeded(Level $level, int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar(10 * $seed + $level->value));
        $trick = $level->trick($seed);
        $card = MadeUpCard::drawn($trick, $chance);
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
        $bench = new Bench($card, $isOld ? $old : $good, $chance);
        $moves = [];
        foreach ($bench->moves(array_values($readers)) as $move) {
            $moves[$move->id] = $move;
        }

        return new self($level, $seed, $card, $first, moves: $moves, look: $bench->firstLook($first));
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
        $base = $this->base(array_values(array_filter($done, fn (Move $move): bool => $move->kind === MoveKind::Inspect)));
        $runs = $base->speeds;
        foreach ($done as $at => $move) {
            if ($move->run !== null) {
                $runs[] = $this->runs["{$move->id} {$at}"] ??= self::run($move->run, $at)->evidence('practice', $base->label->form);
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

    /** @param  list<Move>  $looks  the look at it, or none */
    private function base(array $looks): Evidence
    {
        return $this->bases[count($looks)] ??= CaseReader::read($this->case($looks))->evidence;
    }

    /**
     * @param  list<Move>  $done
     * @return array<string, mixed> in the open format of a case
     */
    public function case(array $done): array
    {
        $runs = [['on' => '2026-01-01T08:00:00Z', ...$this->look]];
        foreach ($done as $at => $move) {
            if ($move->run !== null) {
                $runs[] = ['on' => self::moment($at), ...$move->run];
            }
        }
        $isSeen = array_filter($done, fn (Move $move): bool => $move->kind === MoveKind::Inspect) !== [];

        return [
            'format' => CaseReader::FORMAT,
            'version' => CaseReader::VERSION,
            'name' => "practice, level {$this->level->value}, seed {$this->seed}",
            'label' => $this->card->label,
            ...$isSeen ? ['seen' => ['contact_rows' => $this->card->rows, 'seats' => 'well']] : [],
            ...$this->card->trick === Trick::Cheap ? Bench::CHEAP : [],
            'runs' => $runs,
        ];
    }

    /** @param  array<string, mixed>  $run */
    private static function run(array $run, int $at): WrittenRun
    {
        return Values::read(WrittenRun::class, ['on' => self::moment($at), ...$run], 'practice');
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
