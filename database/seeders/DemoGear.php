<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Drive;
use App\Models\Host;
use App\Models\Port;
use App\Models\Reader;
use App\Models\Slot;
use App\Models\SlotKind;
use App\Models\Station;
use Illuminate\Database\Seeder;
use Tally\Chain\HostLink;
use Tally\Label\Bus;

/** Three hosts, six readers, six drives, and the bench with its slots. */
final class DemoGear extends Seeder
{
    public function run(): void
    {
        $this->hosts();
        $this->readers();
        $this->drives();
        $this->bench();
    }

    private function hosts(): void
    {
        $hosts = [
            'Cart tower' => ['port 1' => HostLink::UsbGen2x2, 'port 2' => HostLink::UsbGen2, 'port 3' => HostLink::UsbGen1, 'port 4' => HostLink::Usb4],
            'Skiff laptop' => ['left port' => HostLink::Thunderbolt, 'right port' => HostLink::UsbGen1],
            'Archive desk' => ['front port' => HostLink::UsbGen1, 'rear port' => HostLink::UsbGen2, 'wall port' => HostLink::TenGigabit],
        ];
        foreach ($hosts as $name => $ports) {
            $host = Host::query()->create(['name' => $name, 'recorded_by' => 'demo']);
            foreach ($ports as $port => $link) {
                Port::query()->create(['host_id' => $host->id, 'name' => $port, 'link' => $link]);
            }
        }
    }

    private function readers(): void
    {
        $readers = [
            ['R1', 'Ferrule twin-slot', [Bus::UhsII], HostLink::UsbGen1],
            ['R2', 'Ferrule twin-slot, 10 Gb/s', [Bus::UhsII], HostLink::UsbGen2],
            ['R3', 'pocket reader, one contact row', [Bus::UhsI], HostLink::UsbGen1],
            ['R4', 'Tindle matching reader', [Bus::UhsIDouble], HostLink::UsbGen1],
            ['R5', 'Osker Type B block', [Bus::CFexpress2B], HostLink::UsbGen2x2],
            ['R6', 'Osker Type A and SD', [Bus::CFexpress2A, Bus::UhsII], HostLink::UsbGen2],
        ];
        foreach ($readers as [$tag, $name, $buses, $uplink]) {
            Reader::query()->create(['tag' => $tag, 'name' => $name, 'buses' => $buses, 'uplink' => $uplink, 'recorded_by' => 'demo']);
        }
    }

    private function drives(): void
    {
        $drives = [
            ['D1', 'fast field drive', HostLink::UsbGen2x2, 1700, 1900, 1_200, null],
            ['D2', 'field drive', HostLink::UsbGen2, 880, 960, 640, null],
            ['D3', 'spinning safe', HostLink::UsbGen1, 212, 215, 3_100, null],
            ['D4', 'built-in disk', HostLink::Thunderbolt, 2100, 2600, 410, 'Skiff laptop'],
            ['D5', 'archive array', HostLink::TenGigabit, 640, 720, 18_000, null],
            ['D6', 'old pocket drive', HostLink::Usb2, 34, 36, 90, null],
        ];
        foreach ($drives as [$tag, $name, $link, $write, $read, $free, $inside]) {
            Drive::query()->create([
                'tag' => $tag, 'name' => $name, 'link' => $link, 'write' => $write * 1e6, 'read' => $read * 1e6, 'free' => $free * 1_000_000_000,
                'host_id' => $inside === null ? null : Host::query()->where('name', $inside)->value('id'), 'recorded_by' => 'demo',
            ]);
        }
    }

    private function bench(): void
    {
        $host = Host::query()->with('ports')->where('name', 'Cart tower')->firstOrFail();
        $name = config('tally.station');
        $station = Station::query()->create(['name' => is_string($name) ? $name : 'Bench A', 'host_id' => $host->id]);
        $slots = [
            ['Tray 1', SlotKind::StandIn, 'R1', 'port 3', null],
            ['Tray 2', SlotKind::StandIn, 'R2', 'port 2', null],
            ['Tray 3', SlotKind::StandIn, 'R3', 'port 3', null],
            ['Tray 4', SlotKind::StandIn, 'R4', 'port 2', null],
            ['Tray 5', SlotKind::StandIn, 'R5', 'port 1', null],
            ['Tray 6', SlotKind::StandIn, 'R6', 'port 2', null],
            ['Bay 1', SlotKind::Folder, 'R1', 'port 3', base_path('.run/cards/bay-1')],
            ['Bay 2', SlotKind::Folder, 'R3', 'port 3', base_path('.run/cards/bay-2')],
        ];
        foreach ($slots as [$slot, $kind, $reader, $port, $path]) {
            Slot::query()->create([
                'station_id' => $station->id, 'name' => $slot, 'kind' => $kind, 'path' => $path,
                'reader_id' => Reader::query()->where('tag', $reader)->value('id'),
                'port_id' => $host->ports->firstOrFail('name', $port)->id,
            ]);
        }
    }
}
