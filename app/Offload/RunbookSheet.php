<?php

declare(strict_types=1);

namespace App\Offload;

use App\Print\Paper;
use Tally\Offload\LeftOut;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Quantity\Bytes;
use Tally\Quantity\Span;
use TCPDF;

/** A plan on one page, to have beside the cart: what goes into which port, and what hands do, with boxes to tick. */
final readonly class RunbookSheet
{
    private function __construct(private Paper $paper, private Plan $plan) {}

    /**
     * @param  list<LeftOut>  $leftOut
     * @param  string  $name  of a plan that was kept
     * @return string the bytes of a PDF
     */
    public static function pdf(Plan $plan, array $leftOut, string $name = ''): string
    {
        $sheet = new self(new Paper(new TCPDF('P', 'mm', 'A4'), 'Runbook'), $plan);
        $sheet->write($leftOut, $name);

        return $sheet->paper->pdf->Output('runbook.pdf', 'S');
    }

    /** @param  list<LeftOut>  $leftOut */
    private function write(array $leftOut, string $name): void
    {
        $course = $this->plan->course;
        $this->paper->line($name === '' ? 'Runbook' : "Runbook: {$name}", 8.5, isPencil: true);
        $count = count($this->plan->decision->cards);
        $copies = $this->plan->question->rules->copies;
        $this->paper->line("{$count} cards, {$copies} ".($copies === 1 ? 'copy' : 'copies').' each', 15.0, 'B');
        $safe = $this->plan->question->rules->readsBack() ? 'all safe' : 'all copied';
        $this->paper->line("{$safe} after {$this->time($course->done)}, cards free after {$this->time($course->allFree())}", 10.5, 'B');
        $this->paper->line('Times count from the first card. Begun at ____ : ____', 8.5);
        $this->paper->heading('Plug in');
        $cables = PlanCables::byReader();
        foreach ($this->plan->plugged() as $thing => $port) {
            $on = isset($cables[$thing]) ? " with cable {$cables[$thing]}" : '';
            $this->paper->line("\u{2610}  {$thing}{$on} into {$port}", 9.0, indent: 2.0);
        }
        $this->paper->heading('By hand');
        foreach (array_merge(...$course->handsAtWork()) as $stretch) {
            $card = $this->plan->decision->cards[$stretch->placement];
            $act = $card->order === 1 ? 'put' : 'swap';
            $this->paper->line("\u{2610}  {$this->time($stretch->since)}   {$act} {$card->tag} into {$card->slot}", 9.0, indent: 2.0);
        }
        $this->paper->heading('Cards');
        foreach ($this->plan->decision->cards as $at => $card) {
            $this->paper->pair($card->tag, $this->card($card, $at));
        }
        if ($leftOut !== []) {
            $this->paper->heading('Left out');
            foreach ($leftOut as $one) {
                $this->paper->line($one->sentence);
            }
        }
        $this->paper->foot(
            'Clear a card only when two copies of it, on two drives, have been read back. Hot cards cool before they are handled; none '.
            'is forced into a slot. Local rules and the instructions of makers come first.',
        );
    }

    private function card(PlacedCard $card, int $at): string
    {
        $clear = $this->plan->course->clear[$at] ?? null;
        $bytes = 0;
        foreach ($this->plan->question->cards as $one) {
            $bytes = $one->tag === $card->tag ? (int) $one->bytes : $bytes;
        }

        return Bytes::of($bytes)->decimal()." in {$card->slot}, {$card->scheme->value} onto ".
            implode(' and ', $card->drives).
            "; free after {$this->time($this->plan->course->free[$at] ?? 0.0)}, ".
            ($clear === null ? 'not to be cleared' : "may be cleared after {$this->time($clear)}");
    }

    private function time(float $seconds): string
    {
        return Span::seconds(round($seconds))->print();
    }
}
