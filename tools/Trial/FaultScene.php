<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Models\Stations\Slot;
use Database\Seeders\DemoGear;
use Illuminate\Support\Facades\DB;
use Random\Randomizer;

/** Cards, drives and a raw medium on loop devices, a station with a disk of its own and its books; and all that can go wrong with them. */
final class FaultScene
{
    /** Megabytes: so large that a run takes a second or two. */
    public const CARD = 640;

    public const RAW = 320;

    private const DRIVE = 640;

    public readonly TrialStation $station;

    /** Of the same name, in another folder. */
    private readonly TrialStation $second;

    private readonly ScratchDatabase $database;

    private readonly Place $bay;

    private readonly Place $drive;

    private readonly Place $raw;

    private readonly Place $decoy;

    /** @var array<string, string> what must stay as it is: path → checksum */
    private array $kept = [];

    public function __construct(private readonly string $folder, private readonly Randomizer $chance, private readonly float $away)
    {
        $this->database = new ScratchDatabase("{$folder}/books");
        $this->database->begin();
        (new DemoGear())->run();
        $this->bay = new Place("{$folder}/bay.img", self::CARD, "{$folder}/bay");
        $this->drive = new Place("{$folder}/drive.img", self::DRIVE, "{$folder}/drive");
        $this->raw = new Place("{$folder}/raw.img", self::RAW, null);
        $this->decoy = new Place("{$folder}/decoy.img", self::RAW, null);
        symlink($this->raw->loop, "{$folder}/slot");
        $this->lay();
        config(['tally.folders' => [$folder], 'tally.plain_folders' => []]);
        Slot::query()
            ->where('name', 'Bay 1')
            ->update(['path' => "{$folder}/bay"]);
        Slot::query()
            ->where('name', 'Raw 1')
            ->update(['path' => "{$folder}/slot"]);
        // A disk of its own, that can be filled up.
        Shell::must("mkdir {$folder}/storage && mount -t tmpfs -o size=32m none {$folder}/storage");
        app()->useStoragePath("{$folder}/storage");
        $this->station = $this->stationIn('storage');
        $this->second = $this->stationIn('second');
        $this->station->keep();
    }

    public function befall(Fault $fault, string $what): void
    {
        $place = $what === 'copy' && $this->chance->getInt(0, 1) === 1 ? $this->drive : $this->bay;
        match ($fault) {
            Fault::None => null,
            Fault::Killed => $this->station->kill(),
            Fault::Unmounted => $place->pull(),
            Fault::Filled => $place->fill(),
            Fault::ReadOnly => $place->turnReadOnly(),
            Fault::Repointed => $this->point($this->decoy),
            Fault::DatabaseAway => $this->takeDatabaseAway(),
            Fault::ReadErrors => $place->turnBad(),
            Fault::StationDiskFull => $this->fillStationDisk(),
            Fault::SameName => $this->openSecond(),
        };
        if (in_array($fault, [Fault::Unmounted, Fault::Filled, Fault::ReadOnly, Fault::Repointed, Fault::ReadErrors], true)) {
            $this->wait(1.5);
        }
    }

    private function takeDatabaseAway(): void
    {
        $this->database->stop();
        $this->wait($this->away);
        $this->database->start();
    }

    private function fillStationDisk(): void
    {
        Shell::may("dd if=/dev/zero of={$this->folder}/storage/taken bs=4k");
        $this->wait($this->chance->getInt(500, 4000) / 1000);
        Shell::must("rm {$this->folder}/storage/taken");
    }

    /** Begun again and again, as the supervisor of that folder does. */
    private function openSecond(): void
    {
        for ($end = hrtime(true) + 4e9; hrtime(true) < $end; $this->wait(0.2)) {
            $this->second->keep();
        }
        $this->second->stop();
    }

    private function point(Place $place): void
    {
        // In one step, so that the link is never missing.
        @unlink("{$this->folder}/slot.new");
        symlink($place->loop, "{$this->folder}/slot.new");
        rename("{$this->folder}/slot.new", "{$this->folder}/slot");
    }

    /** All is well again. */
    public function restore(): void
    {
        DB::disconnect();
        $this->point($this->raw);
        $this->drive->makeGood();
        if ($this->bay->makeGood()) {
            $this->lay();
        }
        foreach ([$this->bay, $this->drive] as $place) {
            $place->makeRoom();
            if (
                ! $place->isMounted() ||
                ! is_writable((string) $place->point) ||
                str_contains(Shell::must("findmnt -no OPTIONS {$place->point}"), 'ro,') ||
                str_starts_with(Shell::must("findmnt -no OPTIONS {$place->point}"), 'ro')
            ) {
                $place->restore();
            }
        }
    }

    /** @return list<string> */
    public function untouched(): array
    {
        $faults = [];
        foreach ($this->kept as $file => $sum) {
            if (! is_file($file) || hash_file('xxh128', $file) !== $sum) {
                $faults[] = 'erased: '.basename($file);
            }
        }
        // Under a card that was pulled lies the host's own disk.
        foreach ([$this->bay, $this->drive] as $place) {
            $place->pull();
            $left = scandir((string) $place->point);
            if ($left === false || count($left) > 2) {
                $faults[] = 'written to the host: '.implode(', ', array_slice($left === false ? [] : $left, 2));
            }
            $place->mount();
        }

        return $faults;
    }

    /** Meanwhile the station goes on. */
    public function wait(float $seconds): void
    {
        for ($end = hrtime(true) + $seconds * 1e9; hrtime(true) < $end; usleep(50_000)) {
            $this->station->keep();
        }
    }

    public function end(): void
    {
        $this->second->stop();
        $this->database->start();
        foreach ([$this->bay, $this->drive, $this->raw, $this->decoy] as $place) {
            $place->remove();
        }
        Shell::may("umount -l {$this->folder}/storage");
        $this->database->end();
    }

    private function stationIn(string $storage): TrialStation
    {
        $path = "{$this->folder}/{$storage}";
        Shell::must("mkdir -p {$path} && cd {$path} && mkdir -p app/private framework/cache/data framework/views logs");

        return new TrialStation([
            ...$this->database->env(),
            'TALLY_FOLDERS' => $this->folder,
            'TALLY_PLAIN_FOLDERS' => '',
            'LARAVEL_STORAGE_PATH' => $path,
        ]);
    }

    /** What nobody may touch: a file on the card, files to be copied, and a medium that a link may be made to lead to. */
    private function lay(): void
    {
        @mkdir("{$this->folder}/bay/DCIM");
        for ($i = 1; $i <= 12; $i++) {
            file_put_contents($file = "{$this->folder}/bay/DCIM/clip{$i}.mov", random_bytes(16_000_000 + $i));
            $this->kept[$file] = (string) hash_file('xxh128', $file);
        }
        file_put_contents($this->decoy->image, str_repeat('footage!', self::RAW << 17));
        $this->kept[$this->decoy->image] = (string) hash_file('xxh128', $this->decoy->image);
    }
}
