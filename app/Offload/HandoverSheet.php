<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Print\Paper;
use Tally\Quantity\Bytes;
use TCPDF;

/** What came home, for whoever is given the drive: from which cards, how much, where to, and how it was verified. */
final readonly class HandoverSheet
{
    /** @return string the bytes of a PDF */
    public static function pdf(Offload $offload): string
    {
        $offload->load('cards.copies', 'cards.card');
        $paper = new Paper(new TCPDF('P', 'mm', 'A4'), 'Handover', goesOn: true);
        $paper->line('Handover', 8.5, isPencil: true);
        $paper->line($offload->name, 15.0, 'B');
        $bytes = array_sum($offload->cards->map(fn (OffloadCard $card): int => $card->bytes)->all());
        $ended = $offload->ended_at === null ? 'not ended yet' : 'ended '.$offload->ended_at->format('j M Y, H:i');
        $paper->line(
            "{$offload->cards->count()} cards, ".Bytes::of($bytes)->decimal().", begun {$offload->began_at->format('j M Y, H:i')} by ".
                "{$offload->by}, {$ended}",
            10.0,
        );
        if ($offload->is_made_up) {
            $paper->line('Made-up cards and drives, to practise with: no footage was copied.', 10.0, 'B');
        }
        foreach ($offload->cards->sortBy('place') as $card) {
            $paper->heading($card->card->tag);
            $paper->pair('On it', Bytes::of($card->bytes)->decimal().($card->files === 0 ? '' : ", {$card->files} files"));
            $paper->pair('Folder', $card->folder);
            foreach ($card->copies as $copy) {
                $paper->pair("On {$copy->drive}", self::words($card, $copy));
            }
            $paper->pair(
                'May be cleared',
                $card->clear_at === null
                    ? 'no: two copies on two drives have not been read back'
                    : 'since '.$card->clear_at->format('j M Y, H:i'),
            );
        }
        $paper->heading('Checking it');
        $paper->line(
            'Beside each folder lie its lists: “.sha256” for sha256sum -c, “.xxh128” for xxhsum -c, and “.copy.json”, the record.',
        );
        $paper->line('Received by ______________________________   on ____________________', 10.0);
        $paper->foot(
            'Read back means: read from the drive after the host had been made to forget, and the same as what the card gave. It does not '.
            'say that a drive will last: keep two copies on two drives, in two places.',
        );

        return $paper->pdf->Output('handover.pdf', 'S');
    }

    private static function words(OffloadCard $card, OffloadCopy $copy): string
    {
        return match ($copy->state) {
            CopyState::Verified => 'read back the same, '.($copy->verified_at?->format('j M, H:i') ?? '').', '.
                "lists beside {$card->folder}",
            CopyState::Failed => 'NOT SECURED: '.($copy->message ?? 'it failed'),
            CopyState::Copied => 'copied, not read back',
            default => 'not yet whole',
        };
    }
}
