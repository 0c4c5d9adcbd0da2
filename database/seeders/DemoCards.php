<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Gear\ChainBuilder;
use App\Intake\FootageBook;
use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Runs\RunState;
use App\Models\Stations\Slot;
use App\Models\Stations\Station;
use App\Runs\Conducting\RunConductor;
use Illuminate\Database\Seeder;
use LogicException;
use Tally\Buying\Price;
use Tally\Device\AllowedFolders;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Origin\Provenance;
use Tally\Probe\SpeedPlan;
use Tally\Quantity\Bytes;
use Tally\Record\FilesParameters;
use Tally\Record\ProofParameters;
use Tally\Record\RunKind;
use Tally\Record\SizeParameters;
use Tally\Record\SpeedParameters;

/** The survey's cards. Their runs are carried out for real, on made-up media; no result is written by hand. */
final class DemoCards extends Seeder
{
    private const GB = 1_000_000_000;

    public function run(): void
    {
        foreach ([...self::own(), ...self::bought()] as $tag => $card) {
            $this->card($tag, $card);
        }
    }

    /** @return array<string, array<string, mixed>> what the survey has worked with for a while */
    private static function own(): array
    {
        $tideline = [
            'name' => 'Marrowick Tideline',
            'gb' => 128,
            'bus' => Bus::UhsII,
            'marks' => [Mark::U3, Mark::V60],
            'read' => 250,
            'write' => 130,
            'lot' => 'MT-2208',
            'seller' => 'Quay Street Photo',
            'price' => '108.00 EUR',
        ];
        $seaWall = [
            'name' => 'Hallbeck Sea Wall',
            'bus' => Bus::UhsI,
            'marks' => [Mark::U3, Mark::V30],
            'read' => 95,
            'write' => 90,
            'seller' => 'Quay Street Photo',
        ];
        $classic = [
            'name' => 'Tindle Classic',
            'form' => Form::MicroSd,
            'gb' => 32,
            'family' => Family::Sdhc,
            'marks' => [Mark::C10],
            'lot' => 'TC-0426',
            'seller' => 'market stall, pier',
            'price' => '9.50 EUR',
            'provenance' => Provenance::Marketplace,
        ];

        return [
            'QS-014' => [
                ...$tideline,
                'footage' => 96,
                'files' => 212,
                'serial' => 'MT22-70141',
                'back_code' => 'K4 1182',
                'rows' => 2,
                'medium' => 'honest,size=127865454592B,write=41.2MB/s,read=233MB/s,cache=31GB,fast=118MB/s,seed=14',
                'runs' => ['speed:Tray 3', 'speed:Tray 2', 'proof:Tray 2', 'sustained:Tray 2', 'speed:Tray 6'],
            ],
            'QS-015' => [
                ...$tideline,
                'footage' => 88,
                'files' => 187,
                'serial' => 'MT22-70158',
                'back_code' => 'K4 1190',
                'rows' => 2,
                'medium' => 'honest,size=127865454592B,write=121MB/s,read=238MB/s,seed=15',
                'runs' => ['speed:Tray 1', 'speed:Tray 2', 'proof:Tray 2', 'speed:Tray 6', 'speed:Tray 3'],
            ],
            'QS-021' => [
                'name' => 'Gullane Prime',
                'gb' => 1000,
                'bus' => Bus::UhsII,
                'marks' => [Mark::U3, Mark::V60],
                'read' => 280,
                'write' => 150,
                'price' => '139.00 EUR',
                'seller' => 'boot sale, harbour',
                'provenance' => Provenance::Marketplace,
                'medium' => 'drops,size=1TB,true=60.1GB,write=71MB/s,read=90MB/s,seed=21',
                'runs' => ['speed:Tray 1', 'proof:Tray 1:look-back'],
            ],
            'QS-022' => [
                ...$seaWall,
                'gb' => 64,
                'footage' => 41,
                'files' => 1630,
                'rows' => 1,
                'price' => '21.50 EUR',
                'serial' => 'HS-411-0221',
                'back_code' => 'P9 0077',
                'medium' => 'honest,size=63864569856B,write=86.4MB/s,read=93MB/s,seed=22',
                'runs' => ['speed:Tray 3', 'proof:Tray 3', 'speed:Tray 2', 'speed:Tray 6', 'speed:Tray 1'],
            ],
            'QS-023' => [
                'name' => 'Pellworth Drift',
                'form' => Form::MicroSd,
                'gb' => 64,
                'bus' => Bus::UhsI,
                'marks' => [Mark::U3],
                'read' => 100,
                'price' => '17.90 EUR',
                'seller' => 'Quay Street Photo',
                'medium' => 'honest,size=63864569856B,write=44MB/s,read=91MB/s,seed=23',
            ],
            'QS-024' => [
                'name' => 'Osker Halyard',
                'form' => Form::CFexpressB,
                'gb' => 325,
                'family' => null,
                'bus' => Bus::CFexpress2B,
                'marks' => [Mark::Vpg400],
                'read' => 1700,
                'write' => 1400,
                'footage' => 120,
                'files' => 48,
                'price' => '610 EUR',
                'serial' => 'OH-B-90024',
                'seller' => 'Rigging & Lens',
                'medium' => 'honest,size=325GB,write=1290MB/s,read=1520MB/s,fade=0.3,seed=24',
                'runs' => ['speed:Tray 5', 'proof:Tray 5', 'sustained:Tray 5'],
            ],
            'QS-025' => [
                ...$classic,
                'medium' => 'patchy,size=31914983424B,write=18.6MB/s,read=84MB/s,patches=9,seed=25',
                'runs' => ['speed:Tray 3', 'proof:Tray 3'],
            ],
            'QS-026' => [
                ...$classic,
                'medium' => 'wraps,size=31914983424B,true=7977041920B,write=20.1MB/s,read=84.1MB/s,seed=26',
                'runs' => ['speed:Tray 3', 'proof:Tray 3'],
            ],
            'QS-027' => [
                'name' => 'Osker Lanyard',
                'form' => Form::CFexpressA,
                'gb' => 160,
                'family' => null,
                'bus' => Bus::CFexpress2A,
                'marks' => [Mark::Vpg400],
                'read' => 800,
                'write' => 700,
                'footage' => 67,
                'files' => 39,
                'price' => '400 EUR',
                'serial' => 'OL-A-30027',
                'seller' => 'Rigging & Lens',
                'medium' => 'honest,size=160GB,write=655MB/s,read=745MB/s,seed=27',
                'runs' => ['speed:Tray 6', 'proof:Tray 6'],
            ],
            'QS-028' => [
                'name' => 'Tindle Rush',
                'gb' => 256,
                'bus' => Bus::UhsI,
                'marks' => [Mark::U3, Mark::V30],
                'read' => 170,
                'write' => 90,
                'rows' => 1,
                'footage' => 110,
                'files' => 914,
                'price' => '74.00 EUR',
                'seller' => 'Quay Street Photo',
                'medium' => 'honest,size=256GB,write=84MB/s,read=164MB/s,seed=28',
                'runs' => ['speed:Tray 3', 'speed:Tray 4', 'proof:Tray 4'],
            ],
            'QS-031' => [
                'name' => 'Corvane Glide',
                'gb' => 128,
                'bus' => Bus::UhsII,
                'marks' => [Mark::V90],
                'read' => 300,
                'write' => 260,
                'rows' => 1,
                'price' => '119.00 EUR',
                'seller' => 'market stall, pier',
                'provenance' => Provenance::Marketplace,
            ],
            'QS-032' => [
                ...$seaWall,
                'gb' => 256,
                'price' => '82.00 EUR',
                'medium' => 'honest,size=256GB,write=12.1MB/s,read=21MB/s,seed=32',
                'runs' => ['speed:Tray 3', 'screen:Tray 3'],
            ],
            'QS-033' => [
                'name' => 'Gullane Prime',
                'gb' => 32,
                'family' => Family::Sdhc,
                'bus' => Bus::UhsI,
                'marks' => [Mark::C10, Mark::U1],
                'read' => 90,
                'provenance' => null,
            ],
            'QS-034' => [
                ...$classic,
                'medium' => 'wraps,size=31914983424B,true=7977041920B,write=19.7MB/s,read=83MB/s,seed=34',
                'runs' => ['proof:Tray 3'],
            ],
            'QS-035' => [...$classic],
            // It fails on everything from an address on: that convicts nobody, and asks for another proof.
            'QS-036' => [
                ...$classic,
                'medium' => 'refuses,size=31914983424B,true=18.2GB,write=19.2MB/s,read=84MB/s,seed=36',
                'runs' => ['proof:Tray 3'],
            ],
        ];
    }

    /** @return array<string, array<string, mixed>> what came in lately */
    private static function bought(): array
    {
        $twin = [
            'gb' => 64,
            'bus' => Bus::UhsI,
            'marks' => [Mark::U3, Mark::V30],
            'read' => 95,
            'write' => 60,
            'back_code' => 'J2 5510 TW',
            'provenance' => Provenance::Marketplace,
        ];
        $summit = [
            'name' => 'Ormsay Summit',
            'gb' => 128,
            'bus' => Bus::UhsII,
            'marks' => [Mark::U3, Mark::V90],
            'read' => 300,
            'write' => 260,
            'rows' => 2,
            'price' => '209.00 EUR',
            'seller' => 'Rigging & Lens',
        ];
        $copy = [
            'name' => 'Hallbeck Sea Wall',
            'gb' => 128,
            'bus' => Bus::UhsI,
            'marks' => [Mark::U3, Mark::V30],
            'read' => 95,
            'write' => 90,
            'serial' => 'HS-411-0300',
            'seller' => 'boot sale, harbour',
            'price' => '29.00 EUR',
            'provenance' => Provenance::Marketplace,
        ];

        return [
            'QS-037' => [
                ...$twin,
                'name' => 'Brindle Harbour',
                'price' => '16.40 EUR',
                'seller' => 'Fathom Goods',
                'medium' => 'honest,size=63864569856B,write=57MB/s,read=83MB/s,seed=37',
                'runs' => ['speed:Tray 3'],
            ],
            'QS-038' => [
                ...$twin,
                'name' => 'Ormsay Reach',
                'price' => '24.90 EUR',
                'seller' => 'Pier Electrics',
                'medium' => 'honest,size=63864569856B,write=57.4MB/s,read=83MB/s,seed=38',
                'runs' => ['speed:Tray 3'],
            ],
            'QS-039' => $copy,
            'QS-040' => $copy,
            'QS-041' => [
                'name' => 'Pellworth Drift',
                'form' => Form::MicroSd,
                'gb' => 128,
                'bus' => Bus::UhsI,
                'marks' => [Mark::U3, Mark::A2],
                'read' => 100,
                'write' => 60,
                'price' => '31.00 EUR',
                'seller' => 'Quay Street Photo',
                'medium' => 'honest,size=128GB,write=52MB/s,read=88MB/s,seed=41',
                'runs' => ['speed:Tray 3', 'files:Tray 3'],
            ],
            'QS-042' => [
                'name' => 'Marrowick Tideline',
                'gb' => 256,
                'bus' => Bus::UhsII,
                'marks' => [Mark::U3, Mark::V60],
                'read' => 250,
                'write' => 130,
                'price' => '38.00 EUR',
                'seller' => 'Fathom Goods',
                'provenance' => Provenance::Marketplace,
            ],
            'QS-043' => [
                'name' => 'Osker Halyard, sample',
                'form' => Form::CFexpressB,
                'gb' => 512,
                'family' => null,
                'bus' => Bus::CFexpress4B,
                'marks' => [],
                'read' => 3400,
                'write' => 2800,
                'provenance' => Provenance::Sample,
            ],
            // Small enough to try raw runs on: its slot holds an image, and erasing it hurts nobody.
            'QS-045' => [
                'name' => 'Pellworth Primer',
                'mb' => 512,
                'family' => Family::Sd,
                'bus' => null,
                'marks' => [],
                'price' => '4.00 EUR',
                'provenance' => Provenance::Lent,
            ],
            // Four of a kind: in a reader of one contact row; slower than another in the same reader; once at half its speed;
            // that other one.
            'QS-046' => [
                ...$summit,
                'serial' => 'OS-9-0046',
                'medium' => 'honest,size=128GB,write=243MB/s,read=276MB/s,seed=46',
                'runs' => ['speed:Tray 3'],
            ],
            'QS-047' => [
                ...$summit,
                'serial' => 'OS-9-0047',
                'medium' => 'honest,size=128GB,write=178MB/s,read=212MB/s,seed=47',
                'runs' => ['speed:Tray 2', 'proof:Tray 2'],
            ],
            'QS-048' => [
                ...$summit,
                'serial' => 'OS-9-0048',
                'medium' => 'honest,size=128GB,write=244MB/s,read=271MB/s,seed=48',
                'runs' => ['speed:Tray 2'],
                'later' => 'honest,size=128GB,write=131MB/s,read=148MB/s,seed=49',
                'runs later' => ['speed:Tray 2'],
            ],
            'QS-049' => [...$summit, 'serial' => 'OS-9-0049'],
            'QS-044' => [
                'name' => 'Osker Bollard',
                'form' => Form::Xqd,
                'gb' => 120,
                'family' => null,
                'bus' => Bus::Xqd2,
                'marks' => [],
                'read' => 440,
                'write' => 400,
                'provenance' => Provenance::Lent,
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $of  gb and claims in GB and MB/s; medium is what it is in truth; runs are kind and slot;
     * later it may be another
     */
    private function card(string $tag, array $of): void
    {
        $bytes = fn (string $field): int => is_int($of[$field] ?? null) ? $of[$field] * self::GB : 0;
        $rate = fn (string $field): ?float => is_int($of[$field] ?? null) ? $of[$field] * 1e6 : null;
        $price = is_string($of['price'] ?? null) ? Price::parse($of['price'], 'EUR') : null;
        $card = Card::query()->create([
            'tag' => $tag,
            'name' => $of['name'],
            'form' => $of['form'] ?? Form::Sd,
            'capacity' => $bytes('gb') + (is_int($of['mb'] ?? null) ? $of['mb'] * 1_000_000 : 0),
            'family' => array_key_exists('family', $of) ? $of['family'] : Family::Sdxc,
            'bus' => $of['bus'] ?? null,
            'marks' => $of['marks'],
            'read' => $rate('read'),
            'write' => $rate('write'),
            'contact_rows' => $of['rows'] ?? null,
            'footage' => $bytes('footage'),
            'footage_files' => $of['files'] ?? 0,
            'stand_in' => $of['medium'] ?? null,
            'serial' => $of['serial'] ?? null,
            'back_code' => $of['back_code'] ?? null,
            'lot' => $of['lot'] ?? null,
            'seller' => $of['seller'] ?? null,
            'price' => $price?->minor,
            'currency' => $price?->currency,
            'bought_on' => $price === null ? null : '2026-10-14',
            'provenance' => array_key_exists('provenance', $of) ? $of['provenance'] : Provenance::Retail,
            'recorded_by' => 'demo',
        ]);
        if (! $card->refresh()->footage->isZero()) {
            FootageBook::carries($card, $card->footage, 'demo', is_int($of['files'] ?? null) ? $of['files'] : 0);
        }
        $this->conductAll($card, $of['runs'] ?? []);
        if (isset($of['later'])) {
            $card->refresh()->update(['stand_in' => $of['later']]);
            $this->conductAll($card, $of['runs later'] ?? []);
        }
    }

    /** @param  mixed  $runs  kind and slot of each */
    private function conductAll(Card $card, mixed $runs): void
    {
        foreach (is_array($runs) ? $runs : [] as $run) {
            [$kind, $slot, $way] = [...explode(':', is_string($run) ? $run : '', 3), '', ''];
            $this->conduct($card->refresh(), RunKind::from($kind), $slot, $way === 'look-back');
        }
    }

    /** @param  bool  $lookBack  whether a proof may end early; most here make the whole map, so that there is something to see */
    private function conduct(Card $card, RunKind $kind, string $slotName, bool $lookBack): void
    {
        $slot = Slot::query()
            ->with(['reader.slots', 'reader.cable', 'port.host'])
            ->where('name', $slotName)
            ->firstOrFail();
        $chain = ChainBuilder::chain($card->label(), $slot) ?? throw new LogicException("{$card->tag} does not fit {$slotName}.");
        $run = Run::query()->create([
            'card_id' => $card->id,
            'station_id' => Station::here()?->id,
            'slot_id' => $slot->id,
            'kind' => $kind,
            'state' => RunState::Waiting,
            'chain' => $chain,
            'reader_id' => $slot->reader->id,
            'cable_id' => $slot->reader->cable_id,
            'port_id' => $slot->port->id,
            'parameters' => match ($kind) {
                RunKind::Speed => new SpeedParameters(SpeedPlan::plain(Bytes::gigabytes(1))),
                RunKind::Files => new FilesParameters(),
                RunKind::Proof, RunKind::Screen => new ProofParameters(wholeMap: ! $lookBack),
                default => new SizeParameters(),
            },
            'recorded_by' => 'demo',
        ]);
        $conductor = new RunConductor(new AllowedFolders([]), 0);
        $conductor->conduct(
            Run::query()
                ->with(['card', 'slot', 'station'])
                ->findOrFail($run->id),
        );
    }
}
