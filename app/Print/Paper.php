<?php

declare(strict_types=1);

namespace App\Print;

use TCPDF;

/** A4 in the house's look, written from top to bottom: one page, or as many as it takes. Millimetres and points. */
final class Paper
{
    public const LEFT = 16.0;

    public const WIDTH = 178.0;

    private const BOTTOM = 283.0;

    private const INK = [30, 35, 32];

    private const PENCIL = [94, 99, 92];

    private const TOP = 14.0;

    public float $y = self::TOP;

    private bool $isFull = false;

    /** @param  bool  $goesOn  whether it may have further pages */
    public function __construct(public readonly TCPDF $pdf, string $title, private readonly bool $goesOn = false)
    {
        $pdf->setPrintHeader(false);
        $pdf->setPrintFooter(false);
        $pdf->setMargins(0, 0, 0);
        $pdf->setAutoPageBreak(false);
        $pdf->setCellPadding(0);
        $pdf->setCellHeightRatio(1.18);
        $pdf->setCreator('Gritty Tally');
        $pdf->setTitle($title);
        $pdf->AddPage();
    }

    public function heading(string $words): void
    {
        $this->y += 2.6;
        $this->pdf->setLineStyle(['width' => 0.2, 'color' => [216, 209, 192]]);
        $this->pdf->Line(self::LEFT, $this->y, self::LEFT + self::WIDTH, $this->y);
        $this->y += 1.2;
        $this->line($words, 9.2, 'B');
    }

    public function line(string $words, float $points = 8.0, string $style = '', bool $isPencil = false, float $indent = 0.0): void
    {
        $this->text(
            $words,
            self::LEFT + $indent,
            self::WIDTH - $indent,
            $points,
            style: $style,
            colour: $isPencil ? self::PENCIL : self::INK,
        );
    }

    /** A name and what it is, side by side. */
    public function pair(string $name, string $value): void
    {
        if ($value === '') {
            return;
        }
        $y = $this->y;
        $this->text($name, self::LEFT, 30, 8.0, style: '', colour: self::PENCIL);
        $after = $this->y;
        $this->y = $y;
        $this->text($value, self::LEFT + 31, self::WIDTH - 31, 8.0, style: '', colour: self::INK);
        $this->y = max($this->y, $after);
    }

    public function mono(string $words, float $points = 6.6): void
    {
        $this->text($words, self::LEFT, self::WIDTH, $points, style: '', colour: self::INK, font: 'dejavusansmono');
    }

    /** @param  array{int, int, int}  $colour */
    public function text(
        string $words,
        float $x,
        float $width,
        float $points,
        string $style,
        array $colour,
        string $font = 'dejavusanscondensed',
    ): void {
        $this->pdf->setFont($font, $style, $points);
        $height = $this->pdf->getStringHeight($width, $words);
        if ($this->goesOn && $this->y + $height > self::BOTTOM) {
            $this->pdf->AddPage();
            $this->y = self::TOP;
            $this->pdf->setFont($font, $style, $points);
        }
        // One page, whatever is known: what does not fit is in the result file.
        if ($this->isFull || $this->y + $height > self::BOTTOM) {
            $this->isFull = true;

            return;
        }
        $this->pdf->setTextColor(...$colour);
        $this->pdf->MultiCell($width, 0, $words, 0, 'L', false, 1, $x, $this->y);
        $this->y += $height + 0.25;
    }

    public function hasRoom(float $millimetres): bool
    {
        return ! $this->isFull && $this->y + $millimetres < self::BOTTOM;
    }

    /** What stands at the foot of the page, whatever came before. */
    public function foot(string $words): void
    {
        $this->pdf->setFont('dejavusanscondensed', '', 6.8);
        $this->pdf->setTextColor(...self::PENCIL);
        $this->pdf->MultiCell(self::WIDTH, 0, $words, 0, 'L', false, 1, self::LEFT, self::BOTTOM + 1);
    }
}
