<?php

declare(strict_types=1);

namespace App\SecondOpinion;

use App\EvidenceFile\FiledRun;
use App\EvidenceFile\ResultReader;
use Tally\CaseFile\CaseOfCard;
use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Record\Fields;
use Tally\Record\LongWrite;
use Tally\Record\NotUsable;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;

/** A result file as a case: what it tells of a card, without what another house knows of its readers and prices. */
final readonly class ResultCase
{
    /** @throws NotUsable */
    public static function of(ResultReader $result): CaseOfCard
    {
        [$speeds, $proofs, $sustained] = [[], [], []];
        foreach ($result->runs as $run) {
            if ($run->result instanceof ProofRecord) {
                $proofs[] = new ProofEvidence($run->asSource(), $run->chain, self::withCourse($run, $run->result), $run->beside === null);
            } elseif ($run->beside !== null) {
                continue; // what was measured beside another is a different measurement
            } elseif ($run->result instanceof SpeedRecord) {
                $speeds[] = new SpeedEvidence($run->asSource(), $run->chain, $run->result);
            } elseif ($run->result instanceof SustainedRecord) {
                $sustained[] = new LongWriteEvidence($run->asSource(), $run->chain, $run->result->course, $run->result->write->bytes);
            }
        }
        $seen = self::seen($result->file);

        return new CaseOfCard(
            trim("{$result->tag} {$result->label}"),
            '',
            new Evidence(self::label($result->file->fields('card'), $seen), $speeds, $proofs, $sustained, $seen),
        );
    }

    private static function withCourse(FiledRun $run, ProofRecord $record): ProofRecord
    {
        return $record->course !== null || $record->screen !== null || $run->traces === null
            ? $record
            : $record->withCourse(LongWrite::traced($run->traces['write']));
    }

    /**
     * @param  list<Seen>  $seen
     *
     * @throws NotUsable
     */
    private static function label(Fields $card, array $seen): Label
    {
        $rows = $card->countOrNull('contact_rows');
        foreach ($seen as $one) {
            $rows = match ($one->question === Question::ContactRows ? $one->answer->key : '') {
                'one' => 1,
                'two' => 2,
                default => $rows,
            };
        }
        $rate = fn (string $key) => $card->has($key) ? $card->rate($key) : null;
        $marks = array_map(
            fn (string $mark): Mark => Mark::tryFrom($mark) ?? throw $card->wrong('marks', "“{$mark}” is no mark that is known here."),
            $card->texts('marks'),
        );

        return new Label(
            $card->choice('form', Form::class),
            $card->size('capacity'),
            $card->has('family') ? $card->choice('family', Family::class) : null,
            $card->has('bus') ? $card->choice('bus', Bus::class) : null,
            $marks,
            $rate('read'),
            $rate('write'),
            $card->numberOrNull('times'),
            $rows,
            $rate('sustained'),
        );
    }

    /**
     * @return list<Seen> of a question that was answered again the newest answer; trouble in a reader stays
     *
     * @throws NotUsable
     */
    private static function seen(Fields $file): array
    {
        [$newest, $inReader] = [[], []];
        foreach ($file->rows('inspection') as $row) {
            $question = $row->choice('question', Question::class);
            $answer = $question->answer($row->text('answer')) ?? throw $row->wrong('answer', 'an answer to that question would do.');
            if ($row->has('withdrawn')) {
                continue;
            }
            $seen = new Seen(
                $question,
                $answer,
                $row->text('by', 'nobody named'),
                $row->text('on', 'a day not told'),
                $row->textOrNull('reader'),
            );
            $question->isInReader() ? ($inReader[] = $seen) : ($newest[$question->value] = $seen);
        }

        return [...array_values($newest), ...$inReader];
    }
}
