<?php

declare(strict_types=1);

namespace Tools\MadeUp;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;
use Tally\Chain\HostLink;
use Tally\Label\Bus;

/**
 * A made-up card as a case tells of it: a label as makers print them, what the card is in truth, and the figures that it
 * gives over made-up readers, ports and cables. The same seed always gives the same case.
 */
final readonly class CardOnPaper
{
    /** What a card can be in truth, and how often it is drawn. */
    public const KINDS = ['honest' => 5, 'slow' => 2, 'sham' => 2, 'ill' => 1];

    /**
     * @var list<array{string, Bus, int, int, int, int}> label before its claims, bus, claims to read and write in MB/s, floor
     * in MB/s, capacity in GB
     */
    private const LABELS = [
        ['SDXC I U3 V30', Bus::UhsI, 95, 90, 30, 128],
        ['SDXC I U3 V30', Bus::UhsI, 100, 60, 30, 64],
        ['SDHC I C10 U1', Bus::UhsI, 90, 30, 10, 32],
        ['SDXC I U3 V30', Bus::UhsIDouble, 170, 90, 30, 256],
        ['SDXC V30', Bus::UhsIDouble, 170, 90, 30, 128],
        ['SDXC II U3 V60', Bus::UhsII, 250, 130, 60, 128],
        ['SDXC II U3 V90', Bus::UhsII, 300, 260, 90, 128],
        ['SDXC II U3 V60', Bus::UhsII, 280, 150, 60, 256],
        ['microSDXC I U3 A2', Bus::UhsI, 100, 60, 30, 128],
        ['microSDHC C10', Bus::UhsI, 80, 20, 10, 32],
        ['CFexpress 2.0 Type A VPG400', Bus::CFexpress2A, 800, 700, 400, 160],
        ['CFexpress 2.0 Type B VPG400', Bus::CFexpress2B, 1700, 1400, 400, 325],
        ['CFexpress 4.0 Type B', Bus::CFexpress4B, 3700, 3200, 0, 512],
    ];

    /**
     * @param  string  $kind  of KINDS
     * @param  array<string, mixed>  $case  in the open format of a case
     * @param  bool  $isShown  of a slow card: whether a run over a chain that qualifies shows it
     */
    private function __construct(public string $kind, public array $case, public bool $isShown) {}

    public static function seeded(int $seed): self
    {
        $chance = new Randomizer(new Xoshiro256StarStar($seed));
        $kinds = array_merge(
            ...array_map(fn (string $kind, int $times): array => array_fill(0, $times, $kind), array_keys(self::KINDS), self::KINDS),
        );
        $kind = $kinds[$chance->getInt(0, count($kinds) - 1)];
        [$print, $bus, $read, $write, $floor, $gb] = self::LABELS[$chance->getInt(0, count(self::LABELS) - 1)];
        $nature = CardNature::drawn($kind, $chance, $bus, $read, write: $write, floor: $floor, gb: $gb);
        [$runs, $isShown] = (new PaperRuns($chance, $nature))->draw();
        $claims = $chance->getInt(0, 5) === 0 ? "{$read}MB/s read" : "{$read}MB/s read {$write}MB/s write";
        $seen = $nature->contactRows === null ? [] : ['seen' => ['contact_rows' => $nature->contactRows]];

        return new self(
            $kind,
            [
                'format' => 'gritty-tally-case',
                'version' => 1,
                'name' => "seed {$seed}, {$kind}",
                'label' => "{$gb}GB {$print} {$claims}",
                ...$seen,
                'runs' => $runs,
            ],
            $isShown,
        );
    }

    /** @return list<HostLink> what a reader hangs on */
    public static function links(): array
    {
        return [HostLink::Usb2, HostLink::UsbGen1, HostLink::UsbGen2, HostLink::UsbGen2x2, HostLink::Usb4, HostLink::Thunderbolt];
    }
}
