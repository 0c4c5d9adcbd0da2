<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Evidence\CardEvidence;
use App\Gear\Rig;
use App\Models\Card;
use App\Models\Run;
use App\Models\Slot;
use App\Models\Station;
use App\Runs\ChainRecord;
use App\Runs\RunConductor;
use App\Runs\RunKind;
use App\Runs\RunState;
use Illuminate\Database\Seeder;
use LogicException;
use Tally\Device\AllowedFolders;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;

/** The survey's cards. Their runs are carried out for real, on made-up media; no result is written by hand. */
final class DemoCards extends Seeder
{
    private const GB = 1_000_000_000;

    public function run(): void
    {
        $sd = Form::Sd;
        $micro = Form::MicroSd;
        $this->card('QS-014', 'Marrowick Tideline', $sd, 128, Family::Sdxc, Bus::UhsII, [Mark::U3, Mark::V60], 250, 130, null, 96,
            'honest,size=127865454592B,write=41.2MB/s,read=233MB/s,cache=31GB,fast=118MB/s,seed=14', ['speed:Tray 3', 'speed:Tray 2', 'proof:Tray 2']);
        $this->card('QS-015', 'Marrowick Tideline', $sd, 128, Family::Sdxc, Bus::UhsII, [Mark::U3, Mark::V60], 250, 130, 2, 88,
            'honest,size=127865454592B,write=121MB/s,read=238MB/s,seed=15', ['speed:Tray 1', 'speed:Tray 2', 'proof:Tray 2']);
        $this->card('QS-021', 'Gullane Prime', $sd, 1000, Family::Sdxc, Bus::UhsII, [Mark::U3, Mark::V60], 280, 150, null, 0,
            'drops,size=1TB,true=60.1GB,write=71MB/s,read=90MB/s,seed=21', ['speed:Tray 1', 'proof:Tray 1']);
        $this->card('QS-022', 'Hallbeck Sea Wall', $sd, 64, Family::Sdxc, Bus::UhsI, [Mark::U3, Mark::V30], 95, 90, 1, 41,
            'honest,size=63864569856B,write=86.4MB/s,read=93MB/s,seed=22', ['speed:Tray 3', 'proof:Tray 3', 'speed:Tray 1']);
        $this->card('QS-023', 'Pellworth Drift', $micro, 64, Family::Sdxc, Bus::UhsI, [Mark::U3], 100, null, null, 0,
            'honest,size=63864569856B,write=44MB/s,read=91MB/s,seed=23', []);
        $this->card('QS-024', 'Osker Halyard', Form::CFexpressB, 325, null, Bus::CFexpress2B, [Mark::Vpg400], 1700, 1400, null, 120,
            'honest,size=325GB,write=1290MB/s,read=1520MB/s,seed=24', ['speed:Tray 5', 'proof:Tray 5']);
        $this->card('QS-025', 'Tindle Classic', $micro, 32, Family::Sdhc, null, [Mark::C10], null, null, null, 0,
            'patchy,size=31914983424B,write=18.6MB/s,read=84MB/s,patches=9,seed=25', ['speed:Tray 3', 'proof:Tray 3']);
        $this->card('QS-026', 'Tindle Classic', $micro, 32, Family::Sdhc, null, [Mark::C10], null, null, null, 0,
            'wraps,size=31914983424B,true=7977041920B,write=20.1MB/s,read=84.1MB/s,seed=26', ['speed:Tray 3', 'proof:Tray 3']);
        $this->card('QS-027', 'Osker Lanyard', Form::CFexpressA, 160, null, Bus::CFexpress2A, [Mark::Vpg400], 800, 700, null, 67,
            'honest,size=160GB,write=655MB/s,read=745MB/s,seed=27', ['speed:Tray 6', 'proof:Tray 6']);
        $this->card('QS-028', 'Tindle Rush', $sd, 256, Family::Sdxc, Bus::UhsI, [Mark::U3, Mark::V30], 170, 90, 1, 110,
            'honest,size=256GB,write=84MB/s,read=164MB/s,seed=28', ['speed:Tray 3', 'speed:Tray 4', 'proof:Tray 4']);
        $this->card('QS-031', 'Corvane Glide', $sd, 128, Family::Sdxc, Bus::UhsII, [Mark::V90], 300, 260, 1, 0, null, []);
        $this->card('QS-032', 'Hallbeck Sea Wall', $sd, 256, Family::Sdxc, Bus::UhsI, [Mark::U3, Mark::V30], 95, 90, null, 0,
            'honest,size=256GB,write=12.1MB/s,read=21MB/s,seed=32', ['speed:Tray 3']);
        $this->card('QS-033', 'Gullane Prime', $sd, 32, Family::Sdhc, Bus::UhsI, [Mark::C10, Mark::U1], 90, null, null, 0, null, []);
    }

    /**
     * @param  int  $gigabytes  on the label
     * @param  list<Mark>  $marks
     * @param  int|null  $read  MB/s claimed
     * @param  int  $footage  GB on it
     * @param  string|null  $standIn  what it is in truth
     * @param  list<string>  $runs  kind and slot
     */
    private function card(
        string $tag, string $name, Form $form, int $gigabytes, ?Family $family, ?Bus $bus, array $marks,
        ?int $read, ?int $write, ?int $rows, int $footage, ?string $standIn, array $runs,
    ): void {
        $card = Card::query()->create([
            'tag' => $tag, 'name' => $name, 'form' => $form, 'capacity' => $gigabytes * self::GB, 'family' => $family, 'bus' => $bus, 'marks' => $marks,
            'read' => $read === null ? null : $read * 1e6, 'write' => $write === null ? null : $write * 1e6,
            'contact_rows' => $rows, 'footage' => $footage * self::GB, 'stand_in' => $standIn, 'recorded_by' => 'demo',
        ]);
        foreach ($runs as $run) {
            [$kind, $slot] = [...explode(':', $run, 2), ''];
            $this->conduct($card, RunKind::from($kind), $slot);
        }
        CardEvidence::refresh($card);
    }

    private function conduct(Card $card, RunKind $kind, string $slotName): void
    {
        $slot = Slot::query()->with(['reader', 'port.host'])->where('name', $slotName)->firstOrFail();
        $chain = Rig::chain($card, $slot) ?? throw new LogicException("{$card->tag} does not fit {$slotName}.");
        $run = Run::query()->create([
            'card_id' => $card->id, 'station_id' => Station::here()?->id, 'slot_id' => $slot->id, 'kind' => $kind, 'state' => RunState::Waiting,
            'chain' => ChainRecord::pack($chain),
            'parameters' => ['size' => $kind === RunKind::Speed ? Bytes::gigabytes(1)->count : 0, 'runs' => $kind === RunKind::Speed ? 5 : 1],
            'recorded_by' => 'demo',
        ]);
        $conductor = new RunConductor(new AllowedFolders([]), 0);
        $conductor->conduct(Run::query()->with(['card', 'slot', 'station'])->findOrFail($run->id));
    }
}
