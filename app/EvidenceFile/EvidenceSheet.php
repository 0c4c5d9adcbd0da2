<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Runs\Run;
use App\Models\When;
use App\Print\Paper;
use Illuminate\Support\Collection;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;
use Tally\Record\RunSource;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;
use TCPDF;

/** One page for whoever sold the card: what its label says, what was found, how, and how that can be checked. */
final class EvidenceSheet
{
    private const MOST_REASONS = 6;

    private const MOST_RUNS = 8;

    private readonly Paper $paper;

    /** @param  Collection<int, Run>  $runs  of the card, in order */
    private function __construct(private readonly Card $card, private readonly Collection $runs)
    {
        $this->paper = new Paper(new TCPDF('P', 'mm', 'A4'), "Evidence sheet of {$card->tag}");
    }

    /** @return string the bytes of a PDF */
    public static function pdf(Card $card): string
    {
        $sheet = new self($card, CardEvidence::runs($card)->reject(fn (Run $run): bool => $run->state->isGoing())->values());
        $sheet->write();

        return $sheet->paper->pdf->Output("evidence-{$card->tag}.pdf", 'S');
    }

    private function write(): void
    {
        $file = ResultFile::of($this->card);
        $verdict = Judge::judge(CardEvidence::of($this->card, $this->runs));
        $this->paper->line('Evidence sheet', 8.5, isPencil: true);
        $this->paper->line("{$this->card->tag}  {$this->card->name}", 15.0, 'B');
        $this->paper->line(
            self::shape($verdict->kind).' '.strtoupper($verdict->kind->value).'   '.$verdict->reasons[0]->sentence(),
            10.5,
            'B',
        );
        $this->label();
        $this->inspection();
        $proof = $this->runs->last(fn (Run $run): bool => $run->kind->isProof() && $run->counts());
        $record = $proof?->proof();
        if ($proof !== null && $record !== null) {
            $this->core($proof, $record);
        }
        $this->paper->heading('Verdict: '.$verdict->kind->value);
        $overrule = $this->card->overrules()->whereNull('withdrawn')->first();
        if ($overrule !== null) {
            $this->paper->line(
                "Overruled by {$overrule->recorded_by} on {$overrule->created_at->format(
                    'j M Y',
                )}: {$overrule->verdict->value}. {$overrule->reason}",
                indent: 2,
            );
        }
        foreach (array_slice($verdict->reasons, 0, self::MOST_REASONS) as $reason) {
            $this->paper->line("{$reason->sentence()} ({$reason->evidence})", indent: 2);
        }
        if (count($verdict->reasons) > self::MOST_REASONS) {
            $this->paper->line('Further reasons are in the result file.', 7.2, isPencil: true, indent: 2);
        }
        if ($record !== null) {
            $this->paper->heading('What this does not prove');
            $this->paper->line(
                implode(' ', $record->leavesOpen()).' No speed says anything of other readers than those named.',
                indent: 2,
            );
        }
        $this->runs();
        $this->paper->foot(
            'Made by Gritty Tally on '.
                now()->utc()->format(When::MOMENT).
                ' UTC. The result file that goes with this sheet holds every raw result. Its SHA-256 (of its JSON with keys in '.
                'order, without “hash” and “made_at”) is '.
                (is_string($file['hash']) ? $file['hash'] : '').
                ' until something is added; a run’s hash above is that of its raw result alone, and never changes. To check both: '.
                'php artisan tally:result FILE.',
        );
    }

    private function label(): void
    {
        $card = $this->card;
        $this->paper->heading('What its label says');
        $this->paper->pair('Label', $card->line.' ('.$card->capacity->decimal().')');
        $claims = array_filter(
            [
                $card->read === null ? null : 'read '.round($card->read->megabytes()).' MB/s',
                $card->write === null ? null : 'write '.round($card->write->megabytes()).' MB/s',
                $card->sustained === null ? null : 'sustained '.round($card->sustained->megabytes()).' MB/s',
            ],
            fn (?string $claim): bool => $claim !== null,
        );
        $this->paper->pair('Claims', implode(', ', $claims));
        $this->paper->pair(
            'Codes',
            implode(
                ', ',
                array_filter(
                    [
                        $card->serial === null ? null : "serial {$card->serial}",
                        $card->back_code === null ? null : "back {$card->back_code}",
                        $card->lot === null ? null : "lot {$card->lot}",
                    ],
                    fn (?string $code): bool => $code !== null,
                ),
            ),
        );
        $this->paper->pair(
            'Bought',
            implode(
                ', ',
                array_filter(
                    [
                        $card->seller,
                        $card->order_no === null ? null : "order {$card->order_no}",
                        $card->bought_on?->format(When::DAY),
                        $card->origin()->price?->print(),
                    ],
                    fn (?string $part): bool => $part !== null && $part !== '',
                ),
            ),
        );
    }

    private function inspection(): void
    {
        $seen = $this->card->inspections()->whereNull('withdrawn')->get();
        if ($seen->isEmpty()) {
            return;
        }
        $this->paper->heading('What was seen on it');
        $this->paper->line(
            $seen->map(fn (Inspection $one): string => $one->question->asks().' '.$one->said()->words)->implode(' · '),
            7.4,
            indent: 2,
        );
    }

    private function core(Run $run, ProofRecord $record): void
    {
        $this->paper->heading("Core sample: {$run->kind->label()}, {$run->name()}");
        CoreStrip::draw($this->paper, $record, $this->card->capacity);
        $lap = $record->diagnosis->wrap;
        $over =
            $lap === null
                ? ''
                : 'It starts over every '.
                    Bytes::of($lap)->decimal().
                    " ({$lap} bytes), from byte ".
                    ($record->diagnosis->wrapFrom ?? 0).
                    ' on.';
        $this->paper->line(trim(implode(' ', [$over, $record->diagnosis->condition->because(), ...$record->diagnosis->also])), indent: 2);
        $this->paper->heading('How it was measured');
        $how = [
            "{$record->write->bytes->decimal()} written with data that names its run and its address (pattern {$record->imprint}) ".
            "in {$record->write->span->print()}, flushed; the read pass took {$record->read->span->print()}.",
            $record->forgot
                ? 'The host’s cache was cleared before the data was read.'
                : 'The host’s cache could not be cleared before the data was read.',
            $record->how === null ? '' : "The medium was reached {$record->how}.",
            "Chain: {$run->chain->describe()}.",
            $record->alarmAt === null
                ? ''
                : 'The write pass was ended after '.
                    Bytes::of($record->alarmAt)->decimal().
                    ', when data written before was found changed.',
            "Proves: {$record->proves()}",
        ];
        $this->paper->line(trim(implode(' ', array_filter($how, fn (string $part): bool => $part !== ''))), indent: 2);
    }

    private function runs(): void
    {
        $this->paper->heading('Runs, by whom, and the SHA-256 of each raw result');
        $counting = $this->runs->filter(fn (Run $run): bool => $run->result !== null && $run->counts())->reverse()->take(self::MOST_RUNS);
        foreach ($counting as $run) {
            if (! $this->paper->hasRoom(7)) {
                break;
            }
            $on = $run->ended_at?->utc()->format(When::MOMENT) ?? '';
            $how = $run->source === RunSource::Device ? '' : ", {$run->source->words()}";
            $this->paper->line("{$run->name()}: {$run->kind->label()}{$how}, {$on} UTC, {$run->recorded_by}", 7.4, indent: 2);
            $this->paper->mono('   '.Canonical::hash($run->rawResult() ?? []), 6.4);
        }
    }

    private static function shape(VerdictKind $kind): string
    {
        return match ($kind) {
            VerdictKind::Sound => '●',
            VerdictKind::Slow => '◐',
            VerdictKind::Shaky => '≈',
            VerdictKind::Sham => '◆',
            VerdictKind::Unproven => '○',
        };
    }
}
