<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Kit\Adapter;
use App\Models\Kit\Cable;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraSlot;
use App\Models\Kit\Drive;
use App\Models\Kit\Host;
use App\Models\Kit\Hub;
use App\Models\Kit\HubPort;
use App\Models\Kit\Port;
use App\Models\Kit\Reader;
use App\Models\Kit\ReaderSlot;
use App\Models\Stations\Slot;
use App\Models\Stations\SlotKind;
use App\Models\Stations\Station;
use Illuminate\Database\Seeder;
use Tally\Chain\HostLink;
use Tally\Label\Bus;
use Tally\Offload\Question\DriveKind;

/** Hosts with a dock, readers on cables, a camera as its own reader, an adapter, drives, cameras, and the bench with its slots. */
final class DemoGear extends Seeder
{
    public function run(): void
    {
        $this->hosts();
        $this->hub();
        Adapter::query()->create(['tag' => 'A1', 'name' => 'SD sleeve, one row', 'buses' => [Bus::UhsI], 'recorded_by' => 'demo']);
        $this->cables();
        $this->readers();
        $this->drives();
        $this->cameras();
        $this->bench();
    }

    private function hosts(): void
    {
        $hosts = [
            'Cart tower' => [
                'port 1' => [HostLink::UsbGen2x2, 'rear'],
                'port 2' => [HostLink::UsbGen2, 'rear'],
                'port 3' => [HostLink::UsbGen1, 'front'],
                'port 4' => [HostLink::Usb4, 'side'],
            ],
            'Skiff laptop' => ['left port' => [HostLink::Thunderbolt, 'left'], 'right port' => [HostLink::UsbGen1, 'right']],
            'Archive desk' => [
                'front port' => [HostLink::UsbGen1, 'board'],
                'rear port' => [HostLink::UsbGen2, 'board'],
                'wall port' => [HostLink::TenGigabit, 'network'],
            ],
        ];
        foreach ($hosts as $name => $ports) {
            $timed = $name === 'Cart tower' ? ['preview_files' => 552, 'preview_seconds' => 240, 'preview_how' => 'QS-014, 2 Nov'] : [];
            $host = Host::query()->create(['name' => $name, 'recorded_by' => 'demo', ...$timed]);
            foreach ($ports as $port => [$link, $controller]) {
                Port::query()->create(['host_id' => $host->id, 'name' => $port, 'link' => $link, 'controller' => $controller]);
            }
        }
    }

    private function hub(): void
    {
        $hub = Hub::query()->create([
            'tag' => 'H1',
            'name' => 'desk dock',
            'uplink' => HostLink::UsbGen1,
            'port_id' => Port::query()->where('name', 'front port')->value('id'),
            'recorded_by' => 'demo',
        ]);
        foreach (['1', '2', '3'] as $port) {
            HubPort::query()->create(['hub_id' => $hub->id, 'name' => $port, 'link' => HostLink::UsbGen1]);
        }
    }

    private function cables(): void
    {
        $cables = [
            ['K1', 'short flat one', HostLink::UsbGen2x2, null, null],
            ['K2', 'grey braided', HostLink::UsbGen2, null, null],
            ['K3', 'the long one from the drawer', HostLink::UsbGen1, null, null],
            ['K4', 'charging cable, data by mercy', HostLink::Usb2, 36e6, 'three copies over R2, 2 Nov'],
        ];
        foreach ($cables as [$tag, $name, $link, $measured, $how]) {
            Cable::query()->create([
                'tag' => $tag,
                'name' => $name,
                'link' => $link,
                'measured' => $measured,
                'measured_how' => $how,
                'recorded_by' => 'demo',
            ]);
        }
    }

    private function readers(): void
    {
        $sd = [Bus::UhsII];
        $readers = [
            ['R1', 'Ferrule twin-slot', HostLink::UsbGen1, null, ['left' => [$sd, 'A'], 'right' => [$sd, 'A']]],
            ['R2', 'Ferrule twin-slot, 10 Gb/s', HostLink::UsbGen2, 'K2', ['left' => [$sd, 'A'], 'right' => [$sd, 'B']]],
            ['R3', 'pocket reader, one contact row', HostLink::UsbGen1, null, ['SD' => [[Bus::UhsI], 'A'], 'micro' => [[Bus::UhsI], 'A']]],
            ['R4', 'Tindle matching reader', HostLink::UsbGen1, 'K3', ['slot' => [[Bus::UhsIDouble], 'A']]],
            ['R5', 'Osker Type B block', HostLink::UsbGen2x2, 'K1', ['slot' => [[Bus::CFexpress2B], 'A']]],
            ['R6', 'Osker Type A and SD', HostLink::UsbGen2, null, ['Type A' => [[Bus::CFexpress2A], 'A'], 'SD' => [$sd, 'B']]],
        ];
        foreach ($readers as [$tag, $name, $uplink, $cable, $slots]) {
            $reader = Reader::query()->create([
                'tag' => $tag,
                'name' => $name,
                'uplink' => $uplink,
                'recorded_by' => 'demo',
                'cable_id' => $cable === null ? null : Cable::query()->where('tag', $cable)->value('id'),
            ]);
            foreach ($slots as $slot => [$buses, $lane]) {
                ReaderSlot::query()->create(['reader_id' => $reader->id, 'name' => $slot, 'buses' => $buses, 'lane' => $lane]);
            }
        }
        $camera = Reader::query()->create([
            'tag' => 'RC',
            'name' => 'housing camera over its own cable',
            'uplink' => HostLink::UsbGen2,
            'camera' => true,
            'recorded_by' => 'demo',
        ]);
        ReaderSlot::query()->create(['reader_id' => $camera->id, 'name' => 'A', 'buses' => $sd, 'lane' => 'A']);
    }

    private function cameras(): void
    {
        $sd = [Bus::UhsII];
        $cameras = [
            ['C1', 'housing camera, port side', ['A' => $sd, 'B' => $sd]],
            ['C2', 'housing camera, starboard', ['A' => [Bus::CFexpress2A, Bus::UhsII], 'B' => [Bus::CFexpress2A, Bus::UhsII]]],
            ['C3', 'photogrammetry drone', ['slot' => [Bus::UhsI]]],
            ['C4', 'pan-and-scan rig', ['slot' => [Bus::CFexpress2B, Bus::Xqd2]]],
        ];
        foreach ($cameras as [$tag, $name, $slots]) {
            $camera = Camera::query()->create(['tag' => $tag, 'name' => $name, 'recorded_by' => 'demo']);
            foreach ($slots as $slot => $buses) {
                CameraSlot::query()->create(['camera_id' => $camera->id, 'name' => $slot, 'buses' => $buses]);
            }
        }
    }

    private function drives(): void
    {
        $gb = 1_000_000_000;
        $drives = [
            ['D1', 'fast field drive', HostLink::UsbGen2x2, 1700, 1900, 1_200, 2_000, null, null, null],
            ['D2', 'field drive', HostLink::UsbGen2, 880, 960, 640, 1_000, 40, 960, null],
            ['D3', 'spinning safe', HostLink::UsbGen1, 212, 215, 3_100, 8_000, null, null, null],
            ['D4', 'built-in disk', HostLink::Thunderbolt, 2100, 2600, 410, 1_000, 90, 2800, 'Skiff laptop'],
            ['D5', 'archive array', HostLink::TenGigabit, 640, 720, 18_000, 40_000, null, null, null],
            ['D6', 'old pocket drive', HostLink::Usb2, 34, 36, 90, 250, null, null, null],
        ];
        foreach ($drives as [$tag, $name, $link, $write, $read, $free, $capacity, $cache, $fast, $inside]) {
            Drive::query()->create([
                'tag' => $tag,
                'name' => $name,
                'link' => $link,
                'write' => $write * 1e6,
                'read' => $read * 1e6,
                'free' => $free * $gb,
                'capacity' => $capacity * $gb,
                'kind' => DriveKind::of(in_array($tag, ['D3', 'D6'], true) ? DriveKind::Spinning : DriveKind::Solid, $cache !== null),
                'cache' => $cache === null ? null : $cache * $gb,
                'cache_write' => $fast === null ? null : $fast * 1e6,
                'host_id' => $inside === null ? null : Host::query()->where('name', $inside)->value('id'),
                'recorded_by' => 'demo',
            ]);
        }
    }

    private function bench(): void
    {
        $host = Host::query()->with('ports')->where('name', 'Cart tower')->firstOrFail();
        $name = config('tally.station');
        $station = Station::query()->create(['name' => is_string($name) ? $name : 'Bench A', 'host_id' => $host->id]);
        $slots = [
            ['Tray 1', SlotKind::Simulated, 'R1', 'port 3', null],
            ['Tray 2', SlotKind::Simulated, 'R2', 'port 2', null],
            ['Tray 3', SlotKind::Simulated, 'R3', 'port 3', null],
            ['Tray 4', SlotKind::Simulated, 'R4', 'port 2', null],
            ['Tray 5', SlotKind::Simulated, 'R5', 'port 1', null],
            ['Tray 6', SlotKind::Simulated, 'R6', 'port 2', null],
            ['Bay 1', SlotKind::Folder, 'R1', 'port 3', base_path('.run/cards/bay-1')],
            ['Bay 2', SlotKind::Folder, 'R3', 'port 3', base_path('.run/cards/bay-2')],
            ['Raw 1', SlotKind::Raw, 'R3', 'port 3', base_path('.run/cards/raw-1.img')],
        ];
        foreach ($slots as [$slot, $kind, $reader, $port, $path]) {
            Slot::query()->create([
                'station_id' => $station->id,
                'name' => $slot,
                'kind' => $kind,
                'path' => $path,
                'reader_id' => Reader::query()->where('tag', $reader)->value('id'),
                'port_id' => $host->ports->firstOrFail('name', $port)->id,
            ]);
        }
    }
}
