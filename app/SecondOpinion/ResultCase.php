<?php

declare(strict_types=1);

namespace App\SecondOpinion;

use App\EvidenceFile\FiledCard;
use App\EvidenceFile\FiledLook;
use App\EvidenceFile\FiledRun;
use App\EvidenceFile\ResultReader;
use Tally\CaseFile\CaseOfCard;
use Tally\Evidence\Evidence;
use Tally\Evidence\LongWriteEvidence;
use Tally\Evidence\ProofEvidence;
use Tally\Evidence\SpeedEvidence;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Label;
use Tally\Record\LongWrite;
use Tally\Record\ProofRecord;
use Tally\Record\SpeedRecord;
use Tally\Record\SustainedRecord;
use Tally\Value\NotUsable;

/** A result file as a case: what it tells of a card, without what another house knows of its readers and prices. */
final readonly class ResultCase
{
    /** @throws NotUsable */
    public static function of(ResultReader $result): CaseOfCard
    {
        [$speeds, $proofs, $sustained] = [[], [], []];
        $card = $result->file->card;
        foreach ($result->runs as $run) {
            [$said, $chain] = [$run->result(), $run->chain($card->printed->form)];
            if ($said instanceof ProofRecord) {
                $proofs[] = new ProofEvidence($run->asSource(), $chain, self::withCourse($run, $said), $run->beside === null);
            } elseif ($run->beside !== null) {
                continue; // what was measured beside another is a different measurement
            } elseif ($said instanceof SpeedRecord) {
                $speeds[] = new SpeedEvidence($run->asSource(), $chain, $said);
            } elseif ($said instanceof SustainedRecord) {
                $sustained[] = new LongWriteEvidence($run->asSource(), $chain, $said->course, $said->write->bytes);
            }
        }
        $seen = FiledLook::seen($result->file->inspection);

        return new CaseOfCard(
            trim("{$card->tag} {$card->label}"),
            '',
            new Evidence(self::label($card, $seen), $speeds, $proofs, $sustained, seen: $seen),
        );
    }

    private static function withCourse(FiledRun $run, ProofRecord $record): ProofRecord
    {
        return $record->course !== null || $record->screen !== null || $run->traces === null
            ? $record
            : $record->withCourse(LongWrite::traced($run->traces->write));
    }

    /** @param  list<Seen>  $seen */
    private static function label(FiledCard $card, array $seen): Label
    {
        $rows = $card->printed->contactRows;
        foreach ($seen as $one) {
            $rows = match ($one->question === Question::ContactRows ? $one->answer->key : '') {
                'one' => 1,
                'two' => 2,
                default => $rows,
            };
        }

        return $card->printed->withContactRows($rows);
    }
}
