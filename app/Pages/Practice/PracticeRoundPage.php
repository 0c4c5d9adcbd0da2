<?php

declare(strict_types=1);

namespace App\Pages\Practice;

use App\Models\Practice\PracticeRound;
use App\Pages\Card\ClaimPicture;
use App\Pages\Card\CorePicture;
use App\Pages\Card\Margin;
use App\Pages\Page;
use App\Practice\Findings;
use App\Shoot\ReasonProps;
use Tally\Evidence\Evidence;
use Tally\Practice\Answer;
use Tally\Practice\Exercise;
use Tally\Practice\MadeUpReader;
use Tally\Practice\Mistake;
use Tally\Practice\Move;
use Tally\Practice\Trick;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use Tally\Verdict\VerdictKind;

/**
 * A made-up card on the bench: what is known so far, in the pictures of the work itself, and what can be done next.
 *
 * @phpstan-import-type ClaimLineProps from ClaimPicture
 * @phpstan-import-type CoreProps from CorePicture
 *
 * @phpstan-type PracticeAnswerProps array{ // What all evidence says, beside what was called.
 *     verdict: VerdictKind,
 *     holds: string,
 *     keeps: string,
 *     was: string,
 *     called: string,
 *     mistakes: list<string>, // empty where all was right
 *     reasons: list<ReasonProps>, // the evidence that decides
 *     way: list<PracticeMoveProps>, // the shortest way to know it
 *     shortest: string,
 *     took: string, // what was used
 * }
 * @phpstan-type PracticeMoveProps array{ // Something that can be done next, and how long it takes.
 *     id: string,
 *     words: string,
 *     takes: string,
 *     isDone: bool,
 * }
 * @phpstan-type PracticeDoneProps array{ // Something that was done, and what came of it.
 *     clock: string,
 *     what: string,
 *     finds: string,
 * }
 */
final readonly class PracticeRoundPage extends Page
{
    private const CHEAP = ' It cost 9.90 where such cards cost 66, and its number is on another card too.';

    /**
     * @param  list<string>  $readers
     * @param  list<PracticeDoneProps>  $done
     * @param  list<PracticeMoveProps>  $moves
     * @param  PracticeAnswerProps|null  $answer  null until it was called
     * @param  ClaimLineProps  $claimLine
     * @param  CoreProps|null  $core
     */
    public function __construct(
        public int $id,
        public int $level,
        public string $levelWords,
        public int $seed,
        public string $label,
        public string $first,
        public string $asks,
        public array $readers,
        public string $clock,
        public array $done,
        public array $moves,
        public array $claimLine,
        public ?array $core,
        public ?array $answer,
        public string $person,
    ) {}

    public static function of(PracticeRound $round): self
    {
        $exercise = $round->exercise();
        $done = $round->done($exercise);
        $evidence = $exercise->evidence($done);
        $move = fn (Move $move): array => self::move($move, $done);

        return new self(
            $round->id,
            $round->level->value,
            $round->level->words(),
            $round->seed,
            label: $exercise->card->label,
            first: "It reads {$exercise->firstFigure()} MB/s over {$exercise->first->name}.".
                ($exercise->card->trick === Trick::Cheap ? self::CHEAP : ''),
            asks: "What holds {$exercise->firstFigure()} MB/s over {$exercise->first->name}?",
            readers: array_map(fn (MadeUpReader $reader): string => $reader->describe(), $exercise->readers()),
            clock: self::clock(Answer::time($done)),
            done: self::done($exercise, $done),
            moves: array_map($move, array_values($exercise->moves)),
            claimLine: self::claimLine($evidence),
            core: self::core($evidence),
            answer: $round->called_at === null ? null : self::answer($round, $exercise, $done),
            person: $round->person,
        );
    }

    /**
     * @param  list<Move>  $done
     * @return list<PracticeDoneProps>
     */
    private static function done(Exercise $exercise, array $done): array
    {
        $rows = [
            [
                'clock' => '0:00',
                'what' => "First look over {$exercise->first->name}",
                'finds' => Findings::speeds($exercise->evidence([])->speeds[0]),
            ],
        ];
        $seconds = 0;
        foreach ($done as $move) {
            $seconds += $move->seconds;
            $rows[] = [
                'clock' => self::clock($seconds),
                'what' => $move->words(),
                'finds' => Findings::of($exercise, $move),
            ];
        }

        return $rows;
    }

    /**
     * @param  list<Move>  $done
     * @return PracticeMoveProps
     */
    private static function move(Move $move, array $done): array
    {
        return [
            'id' => $move->id,
            'words' => $move->words(),
            'takes' => Span::seconds($move->seconds)->print(),
            'isDone' => in_array($move, $done, true),
        ];
    }

    /**
     * The newest speed run.
     *
     * @return ClaimLineProps
     */
    private static function claimLine(Evidence $evidence): array
    {
        $run = $evidence->speeds[count($evidence->speeds) - 1];

        $caption = "{$run->record->covers()}, {$run->chain->describe()}";

        return ClaimPicture::of($evidence->label, $run->reading($evidence->label), $run->record, $caption);
    }

    /** @return CoreProps|null */
    private static function core(Evidence $evidence): ?array
    {
        $proof = $evidence->proofs === [] ? null : $evidence->proofs[count($evidence->proofs) - 1];

        return $proof === null || $proof->record->patches === []
            ? null
            : CorePicture::of($proof->record, $evidence->label->capacity, $proof->chain->describe());
    }

    /**
     * @param  list<Move>  $done
     * @return PracticeAnswerProps
     */
    private static function answer(PracticeRound $round, Exercise $exercise, array $done): array
    {
        $answer = $exercise->answer();
        $call = $round->call();

        return [
            'verdict' => $answer->called->verdict->kind,
            'holds' => $answer->called->holds?->words() ?? 'nothing that could be told',
            'keeps' => self::size($answer->called->capacity, $answer->called->verdict->kind),
            'was' => $exercise->card->trick->words(),
            'called' => $call === null
                ? ''
                : "{$call->verdict->value}, held by {$call->holds->words()}, ".self::size($call->capacity, $call->verdict),
            'mistakes' => array_map(fn (Mistake $one): string => $one->words(), $round->mistaken()),
            'reasons' => array_map(Margin::reason(...), $answer->called->verdict->reasons),
            'way' => array_map(fn (Move $move): array => self::move($move, $done), $answer->way),
            'shortest' => self::clock($answer->seconds()),
            'took' => self::clock(Answer::time($done)),
        ];
    }

    private static function size(?Bytes $size, VerdictKind $kind): string
    {
        return match (true) {
            $size !== null => "keeps {$size->decimal()}",
            $kind === VerdictKind::Unproven => 'how much it keeps not known',
            default => 'how much it keeps makes no difference any more',
        };
    }

    /** `28:10`: minutes and seconds on the clock. */
    private static function clock(int $seconds): string
    {
        return sprintf('%d:%02d', intdiv($seconds, 60), $seconds % 60);
    }
}
