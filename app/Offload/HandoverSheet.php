<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Cards\FootageAct;
use App\Models\Offload\CopyStanding;
use App\Models\Offload\CopyState;
use App\Models\Offload\Offload;
use App\Models\Offload\OffloadCard;
use App\Models\Offload\OffloadCopy;
use App\Models\When;
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
        // What is on the drives, and not what was planned.
        $bytes = array_sum($offload->cards->map(self::home(...))->all());
        $home = $offload->cards->filter(fn (OffloadCard $card): bool => self::home($card) > 0)->count();
        $ended = $offload->ended_at === null ? 'not ended yet' : 'ended '.$offload->ended_at->format(When::MOMENT);
        $paper->line(
            "{$home} of {$offload->cards->count()} cards, ".Bytes::of($bytes)->decimal().' copied and read back, begun '.
                "{$offload->began_at->format(When::MOMENT)} by {$offload->by}, {$ended}",
            10.0,
        );
        if ($offload->is_made_up) {
            $paper->line('Made-up cards and drives, to practise with: no footage was copied.', 10.0, 'B');
        }
        foreach ($offload->cards->sortBy('place') as $card) {
            $paper->heading($card->card->tag);
            $marked = FootageAct::query()->find($card->footage_act_id);
            if ($marked !== null) {
                $paper->pair('Marked', self::amount($marked->bytes, $marked->files));
            }
            $found = $card->found;
            $paper->pair(
                'Found on it',
                $found === null && ! $offload->is_made_up
                    ? 'it was not read'
                    : self::amount($found->bytes ?? $card->bytes, $found->files ?? $card->files),
            );
            if ($card->less_by !== null) {
                $paper->pair('Less than marked', "{$card->less_by} said that this is right: secured in part");
            }
            if ($found !== null && $found->leftOutCount > 0) {
                $paper->pair('Left out', implode(', ', $found->leftOut).($found->leftOutCount > count($found->leftOut) ? ' …' : ''));
            }
            $paper->pair('Folder', $card->folder);
            foreach ($card->copies as $copy) {
                $paper->pair("On {$copy->drive}", self::words($card, $copy));
            }
            $paper->pair(
                'May be cleared',
                match (true) {
                    $card->less_by !== null => 'no: it is secured in part only',
                    $card->clear_at === null => 'no: two copies on two drives do not stand',
                    default => 'since '.$card->clear_at->format(When::MOMENT).', as far as was looked at on this day',
                },
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

    /** @return int bytes that were read back, on the drive that has most */
    private static function home(OffloadCard $card): int
    {
        return max([0, ...$card->copies->map(fn (OffloadCopy $copy): int => $copy->verified)->all()]);
    }

    private static function amount(int $bytes, int $files): string
    {
        return Bytes::of($bytes)->decimal().($files === 0 ? '' : ", {$files} files");
    }

    private static function words(OffloadCard $card, OffloadCopy $copy): string
    {
        return match ($copy->state) {
            CopyState::Verified => ($copy->stands() ? '' : 'NOT SECURED: ').
                ($copy->standing ?? CopyStanding::ReadBack)
                    ->words(($copy->standing_at ?? $copy->verified_at)?->format(When::THESE_DAYS) ?? '').
                ", lists beside {$card->folder}",
            CopyState::Failed => 'NOT SECURED: '.($copy->message ?? 'it failed'),
            CopyState::Copied => 'copied, not read back',
            default => 'not yet whole',
        };
    }
}
