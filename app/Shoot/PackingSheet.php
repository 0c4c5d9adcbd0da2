<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Print\Paper;
use Illuminate\Support\Carbon;
use Tally\Quantity\Bytes;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\PackedCard;
use Tally\Shoot\Whole\PackedPlace;
use Tally\Shoot\Whole\Packing;
use TCPDF;

/** The packing list of a shoot: for the bag, with boxes to tick; and after it a small copy to cut out for the lid of the case. */
final readonly class PackingSheet
{
    private const BOX = "\u{2610}";

    private function __construct(private Paper $paper, private Packing $packing) {}

    /** @return string the bytes of a PDF */
    public static function pdf(Packing $packing, string $name, ?Carbon $begins): string
    {
        $sheet = new self(new Paper(new TCPDF('P', 'mm', 'A4'), 'Packing list', true), $packing);
        $sheet->write($name, $begins);
        $sheet->lid($name);

        return $sheet->paper->pdf->Output('packing.pdf', 'S');
    }

    private function write(string $name, ?Carbon $begins): void
    {
        $question = $this->packing->question;
        $days = $question->days === 1 ? '1 day' : "{$question->days} days";
        $this->paper->line('Packing list', 8.5, isPencil: true);
        $this->paper->line($name, 15.0, 'B');
        $this->paper->line($days.($begins === null ? '' : " from {$begins->format('D j M Y')}").
            match (true) {
                $question->home >= $question->days => '; cards come home at the end',
                $question->home === 1 => '; cards come home every evening',
                default => "; cards come home every {$question->home} days",
            }.
            '; '.round(100 * $question->extra).' % on top of what is planned', 9.0);
        foreach ($this->packing->places as $one) {
            $this->paper->heading("{$one->place->name()}: needs {$one->place->needs()}");
            foreach ($one->cards as $turn => $card) {
                $this->paper->line(self::BOX.'  '.($turn + 1).".  {$this->card($one, $card)}", 9.0, indent: 2.0);
            }
            if ($one->missing() > 0) {
                $this->paper->line("Missing: {$one->misses()}", 9.0, 'B', indent: 2.0);
            }
        }
        if ($this->packing->buys !== []) {
            $this->paper->heading('To buy at the least');
            foreach ($this->packing->buys as $buy) {
                $this->paper->line(self::BOX."  {$buy->words()}", 9.0, indent: 2.0);
            }
        }
        $this->paper->heading('On the cards in the evenings, as planned');
        foreach (Evening::of($this->packing) as $evening) {
            $words = fn (int|string $tag, Bytes $size): string => "{$tag} {$size->decimal()}";
            $on = array_map($words, array_keys($evening->cards), $evening->cards);
            $this->paper->pair("Day {$evening->day}".($evening->comesHome ? ', home' : ''), implode(', ', $on));
        }
        $this->paper->foot(
            'Clear a card only when two copies of it, on two drives, have been read back. Force no card into a slot; let hot ones cool. '.
            'Local rules and the instructions of makers come first.',
        );
    }

    private function card(PackedPlace $one, PackedCard $card): string
    {
        $about = $card->isProven ? '' : 'about ';

        return "{$card->tag}   {$this->slot($card->slot)}   {$about}{$one->place->count->words($card->count)}".
            ($card->words === '' ? '' : "   ({$card->words})");
    }

    private function slot(string $name): string
    {
        return str_starts_with(strtolower($name), 'slot') ? $name : "slot {$name}";
    }

    /** A hand wide: what a glance into the case should tell. */
    private function lid(string $name): void
    {
        $paper = $this->paper;
        $paper->pdf->AddPage();
        $paper->y = 16.0;
        $paper->line('For the lid of the case: cut out', 8.0, isPencil: true);
        $from = $paper->y;
        $paper->y += 2.0;
        $paper->line($name, 11.0, 'B', indent: 3.0);
        foreach ($this->packing->places as $one) {
            $tags = array_map(fn (PackedCard $card): string => $card->tag, $one->cards);
            $cards = $tags === [] ? 'none' : implode(' > ', $tags);
            $paper->line("{$one->place->name()}:  {$cards}", 8.5, indent: 3.0);
        }
        $paper->pdf->setLineStyle(['width' => 0.25, 'dash' => '2,2', 'color' => [94, 99, 92]]);
        $paper->pdf->Rect(Paper::LEFT, $from, 120.0, $paper->y - $from + 2.0);
    }
}
