<?php

declare(strict_types=1);

namespace App\Tags;

use App\Evidence\HouseKnowledge;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\When;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Date;
use Tally\Verdict\VerdictKind;
use TCPDF;

/** Labels to stick on: the tag, what the card is, and a QR code that opens it. Made on this machine alone. */
final class TagSheet
{
    private const PAD = 3.5;

    private readonly TCPDF $pdf;

    /** @param  string  $address  of this house, such as http://127.0.0.1:8470 */
    private function __construct(private readonly SheetKind $kind, private readonly string $address)
    {
        $this->pdf = new TCPDF('P', 'mm', 'A4');
        $this->pdf->setPrintHeader(false);
        $this->pdf->setPrintFooter(false);
        $this->pdf->setMargins(0, 0, 0);
        $this->pdf->setAutoPageBreak(false);
        $this->pdf->setCellPadding(0);
        $this->pdf->setCellHeightRatio(1.15);
        $this->pdf->setCreator('Gritty Tally');
        $this->pdf->setTitle('Tags');
    }

    /**
     * @param  Collection<int, Card>  $cards
     * @param  int  $begin  the first free label of the sheet, from 1: a sheet that was begun can be used up
     * @return string the bytes of a PDF
     */
    public static function pdf(Collection $cards, SheetKind $kind, int $begin, string $address): string
    {
        $sheet = new self($kind, $address);
        foreach ($cards->values() as $i => $card) {
            $sheet->label($card, $begin - 1 + $i, $i === 0);
        }

        return $sheet->pdf->Output('tags.pdf', 'S');
    }

    public static function address(string $house, Card $card): string
    {
        return "{$house}/c/{$card->tag}";
    }

    private function label(Card $card, int $place, bool $isFirst): void
    {
        $on = $place % $this->kind->perSheet();
        if ($isFirst || $on === 0) {
            $this->pdf->AddPage();
        }
        $x = ($on % $this->kind->columns()) * $this->kind->width() + self::PAD;
        $y = $this->kind->top() + intdiv($on, $this->kind->columns()) * $this->kind->height() + self::PAD;
        $height = $this->kind->height() - 2 * self::PAD;
        $code = min($height, $this->kind->width() * 0.37);
        $this->pdf->write2DBarcode(self::address($this->address, $card), 'QRCODE,M', $x, $y, $code, $code, [
            'border' => false,
            'padding' => 0,
        ]);
        $this->words($card, $x + $code + self::PAD, $y, $this->kind->width() - $code - 3 * self::PAD, height: $height);
    }

    /** Millimetres throughout; the letters grow with the label. */
    private function words(Card $card, float $x, float $y, float $width, float $height): void
    {
        $large = $this->kind === SheetKind::Large;
        $text = match ($this->kind) {
            SheetKind::Small => 5.6,
            SheetKind::Middle => 7.2,
            SheetKind::Large => 11.0,
        };
        $y = $this->line($card->tag, 'dejavusansmono', 'B', $text * ($large ? 2.4 : 1.8), x: $x, y: $y, width: $width, most: 1);
        $y = $this->line($card->name, 'dejavusanscondensed', 'B', $text, x: $x, y: $y + 0.6, width: $width, most: $large ? 2 : 1);
        $y = $this->line(str_replace('-', "\u{2011}", $card->line), 'dejavusanscondensed', '', $text, x: $x, y: $y, width: $width, most: 2);
        foreach ($this->remarks($card) as $remark) {
            $y = $this->line($remark, 'dejavusanscondensed', '', $text * 0.92, x: $x, y: $y + 0.3, width: $width, most: 2);
        }
    }

    /** @return list<string> */
    private function remarks(Card $card): array
    {
        $tested = Run::query()->where('card_id', $card->id)->doesntHave('void')->max('ended_at');
        $day = is_string($tested) ? ', tested '.Date::parse($tested)->format(When::DAY) : '';
        $sisters = HouseKnowledge::sisters($card);

        return array_values(
            array_filter(
                [
                    $card->serial === null ? null : "S/N {$card->serial}",
                    $card->verdict === VerdictKind::Unproven && $card->overruled === null
                        ? null
                        : "{$card->verdict->value}{$day}".($card->overruled === null ? '' : ", overruled: {$card->overruled->value}"),
                    $sisters->otherSham === 0 ? null : "lot {$card->lot}: {$sisters->others()} Sham",
                ],
                fn (?string $remark): bool => $remark !== null,
            ),
        );
    }

    /** @return float where the next line begins */
    private function line(string $words, string $font, string $style, float $points, float $x, float $y, float $width, int $most): float
    {
        $this->pdf->setFont($font, $style, $points);
        // A long word is drawn smaller rather than cut: a tag that is cut is another tag.
        $wide = $this->pdf->GetStringWidth($words);
        if ($most === 1 && $wide > $width) {
            $this->pdf->setFont($font, $style, ($points * $width) / $wide);
        }
        $step = $points * 0.3528 * 1.18;
        $this->pdf->setXY($x, $y);
        $lines = $this->pdf->MultiCell(
            $width,
            $step,
            $words,
            0,
            'L',
            false,
            1,
            $x,
            $y,
            true,
            0,
            false,
            true,
            $step * $most + 0.2,
            'T',
            $most > 1,
        );

        return $y + $step * min($lines, $most);
    }
}
