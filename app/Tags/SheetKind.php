<?php

declare(strict_types=1);

namespace App\Tags;

/** A sheet of sticky labels on A4, as they are sold everywhere: by columns and rows. */
enum SheetKind: string
{
    case Small = '4x10';
    case Middle = '3x8';
    case Large = '2x4';

    public function words(): string
    {
        return match ($this) {
            self::Small => '52.5 × 29.7 mm, 40 on a sheet: for the card’s own case',
            self::Middle => '70 × 37 mm, 24 on a sheet: for pouches',
            self::Large => '105 × 74 mm, 8 on a sheet: for boxes of cards',
        };
    }

    /** Tags side by side. */
    public function columns(): int
    {
        return (int) explode('x', $this->value)[0];
    }

    /** Tags one below the other. */
    public function rows(): int
    {
        return (int) explode('x', $this->value)[1];
    }

    /** Tags on a whole sheet. */
    public function perSheet(): int
    {
        return $this->columns() * $this->rows();
    }

    /** Millimetres. */
    public function width(): float
    {
        return 210 / $this->columns();
    }

    /** Millimetres. What the rows leave over is shared between the upper and the lower edge. */
    public function height(): float
    {
        return match ($this) {
            self::Small => 29.7,
            self::Middle => 37,
            self::Large => 74,
        };
    }

    /** Millimetres of unused paper above the first row. */
    public function top(): float
    {
        return (297 - $this->rows() * $this->height()) / 2;
    }
}
