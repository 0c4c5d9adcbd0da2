<?php

declare(strict_types=1);

namespace App\Practice;

use App\Print\Paper;
use Tally\Practice\Exercise;
use Tally\Practice\MadeUpReader;
use Tally\Practice\Move;
use Tally\Practice\PracticeSet;
use Tally\Quantity\Span;
use TCPDF;

/** A set of exercises on paper: what each asks and what can be done, and on pages of their own what came of it and the answers. */
final readonly class PracticeSheet
{
    private function __construct(private Paper $paper, private PracticeSet $set) {}

    /** @return string the bytes of a PDF */
    public static function pdf(PracticeSet $set): string
    {
        $sheet = new self(new Paper(new TCPDF('P', 'mm', 'A4'), 'Practice', true), $set);
        $sheet->ask();
        $sheet->paper->pdf->AddPage();
        $sheet->answer();

        return $sheet->paper->pdf->Output('practice.pdf', 'S');
    }

    private function ask(): void
    {
        $this->paper->line('Practice: cards that nobody has', 8.5, isPencil: true);
        $this->paper->line("Set {$this->set->seed}".($this->set->level === null ? '' : ", level {$this->set->level->value}"), 15.0, 'B');
        $this->paper->line('Call each: verdict, what holds the first figure, how much it really keeps. What was done costs time.', 9.0);
        foreach ($this->set->exercises as $at => $exercise) {
            $this->paper->heading($this->name($at, $exercise));
            $this->paper->line($exercise->card->label, 10.0, 'B');
            $this->paper->line("It reads {$exercise->firstFigure()} MB/s over {$exercise->first->name}.", 9.0, indent: 2.0);
            $readers = array_map(fn (MadeUpReader $one): string => $one->describe(), $exercise->readers());
            $this->paper->line('At hand: '.implode('; ', $readers).'.', 9.0, indent: 2.0);
            foreach ($exercise->moves as $move) {
                $this->paper->line("\u{2610}  {$move->words()}, ".self::time($move->seconds), 8.5, indent: 2.0);
            }
        }
    }

    private function answer(): void
    {
        $this->paper->line('What came of it, and the answers', 15.0, 'B');
        foreach ($this->set->exercises as $at => $exercise) {
            $answer = $exercise->answer();
            $this->paper->heading($this->name($at, $exercise));
            foreach ($exercise->moves as $move) {
                $this->paper->line("{$move->words()}: ".Findings::of($exercise, $move), 8.5, indent: 2.0);
            }
            $size = $answer->called->capacity;
            $this->paper->line(
                "{$answer->called->verdict->kind->value}; held by {$answer->called->holds?->words()}; ".
                    ($size === null ? 'how much it keeps makes no difference any more' : "keeps {$size->decimal()}").
                    ". It is {$exercise->card->trick->words()}.",
                9.0,
                'B',
                indent: 2.0,
            );
            $way = array_map(fn (Move $move): string => $move->words(), $answer->way);
            $this->paper->line('Shortest way, '.self::time($answer->seconds()).': '.implode('; then ', $way).'.', 9.0, indent: 2.0);
        }
    }

    private function name(int $at, Exercise $exercise): string
    {
        return ($at + 1).". Level {$exercise->level->value}, {$exercise->level->words()}, seed {$exercise->seed}";
    }

    private static function time(int $seconds): string
    {
        return Span::seconds($seconds)->print();
    }
}
