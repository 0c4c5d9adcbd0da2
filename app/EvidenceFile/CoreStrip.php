<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use App\Evidence\ProofWords;
use App\Print\Paper;
use Tally\Pattern\BlockClass;
use Tally\Pattern\Patch;
use Tally\Quantity\Bytes;
use Tally\Record\ProofRecord;

/** The core sample as a strip on paper: told apart by texture, since not every printer has colours. */
final readonly class CoreStrip
{
    private const HEIGHT = 9.0;

    public static function draw(Paper $paper, ProofRecord $record, Bytes $label): void
    {
        $pdf = $paper->pdf;
        $whole = max($record->size->count, $label->count);
        $x = fn (int $at): float => Paper::LEFT + (Paper::WIDTH * $at) / $whole;
        $y = $paper->y + 5;
        $pdf->setLineStyle(['width' => 0.2, 'color' => [94, 99, 92], 'dash' => '1,1']);
        $pdf->Rect(Paper::LEFT, $y, $x($record->size->count) - Paper::LEFT, self::HEIGHT);
        $good = array_filter($record->patches, fn (Patch $patch): bool => $patch->class === BlockClass::Holds);
        $bad = array_filter($record->patches, fn (Patch $patch): bool => $patch->class !== BlockClass::Holds);
        // The bad ones last, and never narrower than can be seen.
        foreach ([...$good, ...$bad] as $patch) {
            $width = max($x($patch->end()) - $x($patch->offset), $patch->class === BlockClass::Holds ? 0.15 : 0.6);
            self::piece($paper, $patch->class, $x($patch->offset), $y, width: $width);
        }
        $pdf->setLineStyle(['width' => 0.2, 'color' => [30, 35, 32], 'dash' => 0]);
        self::peg($paper, $x($label->count), $y, "label {$label->decimal()}", colour: [168, 68, 28], foot: -1.0);
        if (! $record->hasLooseCapacity()) {
            self::peg(
                $paper,
                $x($record->diagnosis->capacity->count),
                $y,
                ProofWords::peg($record),
                colour: [30, 35, 32],
                foot: self::HEIGHT + 5.2,
            );
        }
        $paper->y = $y + self::HEIGHT + 6.0;
        $legend = [];
        foreach (BlockClass::cases() as $class) {
            $bytes = $record->classes[$class->value] ?? 0;
            if ($bytes > 0) {
                $legend[] = "{$class->value} ".Bytes::of($bytes)->decimal().' ('.self::texture($class).')';
            }
        }
        $paper->line('Bytes by what came back: '.implode(', ', $legend).'. What is left white was not looked at.', 7.2, isPencil: true);
    }

    /** @param  array{int, int, int}  $colour */
    private static function peg(Paper $paper, float $x, float $y, string $words, array $colour, float $foot): void
    {
        $paper->pdf->setLineStyle(['width' => 0.5, 'color' => $colour, 'dash' => 0]);
        $paper->pdf->Line($x, $y - 1.5, $x, $y + self::HEIGHT + 1.5);
        $paper->pdf->setFont('dejavusanscondensed', 'B', 7.2);
        $paper->pdf->setTextColor(...$colour);
        $width = $paper->pdf->GetStringWidth($words);
        $paper->pdf->Text(max(Paper::LEFT, min($x - $width / 2, Paper::LEFT + Paper::WIDTH - $width)), $y + $foot - 3.2, $words);
    }

    private static function piece(Paper $paper, BlockClass $class, float $x, float $y, float $width): void
    {
        $fill = match ($class) {
            BlockClass::Holds => [29, 100, 103],
            BlockClass::Echoes => [240, 214, 202],
            BlockClass::Scrambled => [106, 63, 115],
            BlockClass::Unreadable => [30, 35, 32],
            BlockClass::Stale => [226, 205, 160],
            BlockClass::Blank => [255, 255, 255],
        };
        $paper->pdf->setLineStyle(['width' => 0.1, 'color' => $fill, 'dash' => 0]);
        $paper->pdf->Rect($x, $y, $width, self::HEIGHT, 'F', [], $fill);
        if ($class === BlockClass::Blank && $width > 1) {
            $paper->pdf->setLineStyle(['width' => 0.15, 'color' => [94, 99, 92]]);
            $paper->pdf->Rect($x, $y, $width, self::HEIGHT);
        }
        if ($class === BlockClass::Echoes || $class === BlockClass::Stale) {
            $paper->pdf->setLineStyle(['width' => 0.25, 'color' => $class === BlockClass::Echoes ? [168, 68, 28] : [154, 106, 11]]);
            for ($at = 1.2; $at < $width - 0.4; $at += 2.4) {
                $paper->pdf->Line($x + $at, $y + self::HEIGHT, $x + min($width, $at + 1.2), $y);
            }
        }
    }

    private static function texture(BlockClass $class): string
    {
        return match ($class) {
            BlockClass::Holds => 'solid',
            BlockClass::Echoes, BlockClass::Stale => 'hatched',
            BlockClass::Blank => 'outlined',
            BlockClass::Scrambled => 'dark',
            BlockClass::Unreadable => 'black',
        };
    }
}
