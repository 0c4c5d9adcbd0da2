<?php

declare(strict_types=1);

namespace Tests\Core\Label;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Label\Line\LabelReader;
use Tally\Label\Line\LabelReading;
use Tally\Label\Mark;
use Tally\Quantity\Rate;

/** Label lines with invented makers and real standards; whatever is not listed for a line must be empty. */
final class LabelReaderTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>}> line, what is printed on it (speeds in MB/s, capacity in GB) */
    public static function lines(): iterable
    {
        $lines = [
            '128GB SDXC II U3 V60 250MB/s' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'U3 V60',
                'read' => 250,
            ],
            'Marrowick Tideline 128 GB SDXC UHS-II U3 V60 R 250MB/s W 130MB/s' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'U3 V60',
                'read' => 250,
                'write' => 130,
                'unknown' => 'Marrowick Tideline',
            ],
            'Hallbeck 64GB microSDXC UHS-I U3 A2 V30 up to 170MB/s read, 90 MB/s write' => [
                'form' => 'microsd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'U3 V30 A2',
                'read' => 170,
                'write' => 90,
                'unknown' => 'Hallbeck',
            ],
            'Tindle Classic microSDHC 32GB Class 10' => [
                'form' => 'microsd',
                'capacity' => 32,
                'family' => 'SDHC',
                'marks' => 'C10',
                'unknown' => 'Tindle Classic',
            ],
            'Tindle 32GB SDHC I C10 U1 95/90 MB/s' => [
                'form' => 'sd',
                'capacity' => 32,
                'family' => 'SDHC',
                'bus' => 'uhs-i',
                'marks' => 'C10 U1',
                'read' => 95,
                'write' => 90,
                'unknown' => 'Tindle',
            ],
            'Osker CFexpress Type B 512GB R1700MB/s W1400MB/s VPG400' => [
                'form' => 'cfexpress-b',
                'capacity' => 512,
                'marks' => 'VPG400',
                'read' => 1700,
                'write' => 1400,
                'unknown' => 'Osker',
            ],
            'Osker CFexpress 4.0 Type B 1TB 3600MB/s / 3000MB/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 1000,
                'bus' => 'cfexpress-4-b',
                'read' => 3600,
                'write' => 3000,
                'unknown' => 'Osker',
            ],
            'CFexpress 2.0 Type A 160GB Read 800MB/s Write 700MB/s sustained 400MB/s' => [
                'form' => 'cfexpress-a',
                'capacity' => 160,
                'bus' => 'cfexpress-2-a',
                'read' => 800,
                'write' => 700,
                'sustained' => 400,
            ],
            '2TB CFexpress Type B 4.0 3700 MB/s read, 3400 MB/s write, min. sustained write 850 MB/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 2000,
                'bus' => 'cfexpress-4-b',
                'read' => 3700,
                'write' => 3400,
                'sustained' => 850,
            ],
            'CFexpress Type C 2TB' => ['form' => 'cfexpress-c', 'capacity' => 2000],
            '1 700 MB/s read 1 400 MB/s write CFexpress B 256 GB' => [
                'form' => 'cfexpress-b',
                'capacity' => 256,
                'read' => 1700,
                'write' => 1400,
            ],
            'Corvane CompactFlash 64GB UDMA 7 1066x 160MB/s VPG-65' => [
                'form' => 'cf',
                'capacity' => 64,
                'bus' => 'udma-7',
                'marks' => 'VPG65',
                'read' => 160,
                'times' => 1066,
                'unknown' => 'Corvane',
            ],
            'CF 16GB 400x' => ['form' => 'cf', 'capacity' => 16, 'times' => 400],
            'Osker 64 GB CF UDMA7 1000x R150 W140' => [
                'form' => 'cf',
                'capacity' => 64,
                'bus' => 'udma-7',
                'times' => 1000,
                'read' => 150,
                'write' => 140,
                'unknown' => 'Osker',
            ],
            'CFast 2.0 256GB 3500x read 525MB/s write 450 MB/s' => [
                'form' => 'cfast',
                'capacity' => 256,
                'bus' => 'cfast-2',
                'times' => 3500,
                'read' => 525,
                'write' => 450,
            ],
            'Gullane CFexpress Type B 325GB VPG400 1700 R 1500 W' => [
                'form' => 'cfexpress-b',
                'capacity' => 325,
                'marks' => 'VPG400',
                'read' => 1700,
                'write' => 1500,
                'unknown' => 'Gullane',
            ],
            'Corvane Glide 64GB SDXC UHS-II V60 270MB/s(R) 150MB/s(W)' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V60',
                'read' => 270,
                'write' => 150,
                'unknown' => 'Corvane Glide',
            ],
            'Osker 128GB SDXC/UHS-II/V60/U3/C10 280/100MB/s' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'C10 U3 V60',
                'read' => 280,
                'write' => 100,
                'unknown' => 'Osker',
            ],
            'XQD 120GB R440 W400' => ['form' => 'xqd', 'capacity' => 120, 'read' => 440, 'write' => 400],
            'SDUC 4TB SD Express 985MB/s E300' => [
                'form' => 'sd',
                'capacity' => 4000,
                'family' => 'SDUC',
                'bus' => 'sd-express-985',
                'marks' => 'E300',
                'read' => 985,
            ],
            'microSD Express 128GB SDXC PCIe Gen3x1 880MB/s' => [
                'form' => 'microsd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'sd-express-985',
                'read' => 880,
            ],
            'SD Express Gen4x2 1TB 3900MB/s' => ['form' => 'sd', 'capacity' => 1000, 'bus' => 'sd-express-3938', 'read' => 3900],
            'microSD 2GB' => ['form' => 'microsd', 'capacity' => 2],
            'SD 2GB Class 4' => ['form' => 'sd', 'capacity' => 2, 'marks' => 'C4'],
            'SDHC 16GB C4' => ['form' => 'sd', 'capacity' => 16, 'family' => 'SDHC', 'marks' => 'C4'],
            '256gb microsdxc uhs-i u3 v30 a2 190MB/s read 130MB/s write' => [
                'form' => 'microsd',
                'capacity' => 256,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'U3 V30 A2',
                'read' => 190,
                'write' => 130,
            ],
            'SDXC 512G V90 300MB/s R 299MB/s W' => [
                'form' => 'sd',
                'capacity' => 512,
                'family' => 'SDXC',
                'marks' => 'V90',
                'read' => 300,
                'write' => 299,
            ],
            '1TB SDXC UHS-II V60 280MB/s read 150MB/s write' => [
                'form' => 'sd',
                'capacity' => 1000,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V60',
                'read' => 280,
                'write' => 150,
            ],
            'Gullane Prime 1 TB microSDXC UHS-I Class 10 U1 A1 2400 Mb/s' => [
                'form' => 'microsd',
                'capacity' => 1000,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'C10 U1 A1',
                'read' => 300,
                'unknown' => 'Gullane Prime',
            ],
            '64GB SDXC 633x' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'times' => 633],
            '128GB SDXC UHS-I U3 V30 4K Read up to 170 MB/s Write up to 90MB/s' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'U3 V30',
                'read' => 170,
                'write' => 90,
                'unknown' => '4K',
            ],
            'SDHC 32 GB UHS Speed Class 3 Video Speed Class 30' => [
                'form' => 'sd',
                'capacity' => 32,
                'family' => 'SDHC',
                'marks' => 'U3 V30',
            ],
            'Pellworth Drift 64GB microSDXC Read: 100MB/s' => [
                'form' => 'microsd',
                'capacity' => 64,
                'family' => 'SDXC',
                'read' => 100,
                'unknown' => 'Pellworth Drift',
            ],
            'R/W: 300/260MB/s SDXC-II 128GB V90' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V90',
                'read' => 300,
                'write' => 260,
            ],
            'Portable SSD 1TB 1050MB/s' => ['form' => 'ssd', 'capacity' => 1000, 'read' => 1050],
            'SDXC 256GB 250 MB/s 120 MB/s V60' => [
                'form' => 'sd',
                'capacity' => 256,
                'family' => 'SDXC',
                'marks' => 'V60',
                'read' => 250,
                'write' => 120,
            ],
            '128 GB SDXC UHS-III 624MB/s' => ['form' => 'sd', 'capacity' => 128, 'family' => 'SDXC', 'bus' => 'uhs-iii', 'read' => 624],
            'memory card 32 GB SDHC UHS-1 U1 90MBps' => [
                'form' => 'sd',
                'capacity' => 32,
                'family' => 'SDHC',
                'bus' => 'uhs-i',
                'marks' => 'U1',
                'read' => 90,
            ],
            'SDXC 128GB (200 MB/s)' => ['form' => 'sd', 'capacity' => 128, 'family' => 'SDXC', 'read' => 200],
            "microSDHC\u{2122} UHS-I 16GB \u{2469}" => [
                'form' => 'microsd',
                'capacity' => 16,
                'family' => 'SDHC',
                'bus' => 'uhs-i',
                'marks' => 'C10',
            ],
            'SDXC 64 GB write 80 MB/s' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'write' => 80],
            'W 80MB/s R 95MB/s SDXC 64GB' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'write' => 80, 'read' => 95],
            'SDXC I 400GB 0.2GB/s' => ['form' => 'sd', 'capacity' => 400, 'family' => 'SDXC', 'bus' => 'uhs-i', 'read' => 200],
            'SDXC 128 Gb V30' => ['form' => 'sd', 'family' => 'SDXC', 'marks' => 'V30', 'unknown' => '128 Gb'],
            'SDXC 1.5TB V30' => ['form' => 'sd', 'capacity' => 1500, 'family' => 'SDXC', 'marks' => 'V30'],
            'V30 V30 U3' => ['marks' => 'U3 V30'],
            'TF card 32GB class10' => ['form' => 'microsd', 'capacity' => 32, 'marks' => 'C10'],
            'CFe Type B 512GB 1700/1200MB/s' => ['form' => 'cfexpress-b', 'capacity' => 512, 'read' => 1700, 'write' => 1200],
            'Type A CFexpress 80GB VPG400 R800 W700' => [
                'form' => 'cfexpress-a',
                'capacity' => 80,
                'marks' => 'VPG400',
                'read' => 800,
                'write' => 700,
            ],
            '512 GB CFexpress B 1785 MB/s read 1500 MB/s write 1300 MB/s sustained' => [
                'form' => 'cfexpress-b',
                'capacity' => 512,
                'read' => 1785,
                'write' => 1500,
                'sustained' => 1300,
            ],
            '325 GB CFexpress 2.0 Type B VPG 400 max read 1700 MB/s min write 850 MB/s sustained' => [
                'form' => 'cfexpress-b',
                'capacity' => 325,
                'bus' => 'cfexpress-2-b',
                'marks' => 'VPG400',
                'read' => 1700,
                'sustained' => 850,
            ],
            'CFexpress Type B 128GB sustained 400MB/s write read 1700MB/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 128,
                'read' => 1700,
                'sustained' => 400,
            ],
            'CFexpress 2 Type C 2TB 3500MB/s' => ['form' => 'cfexpress-c', 'capacity' => 2000, 'bus' => 'cfexpress-2-c', 'read' => 3500],
            'min. sustained write speed 400 MB/s 160GB CFexpress type A' => [
                'form' => 'cfexpress-a',
                'capacity' => 160,
                'sustained' => 400,
            ],
            'SDXC 64GB Max. 95MB/s min. 30MB/s' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'read' => 95, 'sustained' => 30],
            '64GB SDXC 95MB/s read, 60MB/s write, 30MB/s min' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'read' => 95,
                'write' => 60,
                'sustained' => 30,
            ],
            '64GB SDXC 300R/260W' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'read' => 300, 'write' => 260],
            '64GB SDXC UHS-II R300/W260 V90' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V90',
                'read' => 300,
                'write' => 260,
            ],
            '128GB SDXC read/write 300/260 MB/s' => ['form' => 'sd', 'capacity' => 128, 'family' => 'SDXC', 'read' => 300, 'write' => 260],
            '300 MB/s read & 299 MB/s write 128 GB SDXC II' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'read' => 300,
                'write' => 299,
            ],
            'U3V30 64GB microSDXC UHS-I 100MB/s' => [
                'form' => 'microsd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'U3 V30',
                'read' => 100,
            ],
            'SDXC V60 128GB 280/150' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'marks' => 'V60',
                'read' => 280,
                'write' => 150,
            ],
            'card from 2024/12 64GB SDXC' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'unknown' => 'from 2024/12'],
            'Brindle W5 pro 64 GB SDXC 95MB/s' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'read' => 95,
                'unknown' => 'Brindle W5 pro',
            ],
            '64GB SDXC II V60 280MB/s 150MB/s W' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V60',
                'read' => 280,
                'write' => 150,
            ],
            '64GB SDXC II 250MB/s W 130MB/s' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'read' => 250,
                'write' => 130,
            ],
            '128GB SDXC 2240Mb/s read 1200Mb/s write' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'read' => 280,
                'write' => 150,
            ],
            'SDSC 2GB Class 6' => ['form' => 'sd', 'capacity' => 2, 'family' => 'SD', 'marks' => 'C6'],
            'SDXC 64GB UHS-I Class 3' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'bus' => 'uhs-i', 'marks' => 'U3'],
            '16 GB SDHC Class 10 UHS-I 45 MB/s*' => [
                'form' => 'sd',
                'capacity' => 16,
                'family' => 'SDHC',
                'bus' => 'uhs-i',
                'marks' => 'C10',
                'read' => 45,
            ],
            'SSD 250GB SATA III 560MB/s' => ['form' => 'ssd', 'capacity' => 250, 'bus' => 'sata-3', 'read' => 560],
            '1 TB CFexpress 4.0 Type B: 3,650 MB/s read' => [
                'form' => 'cfexpress-b',
                'capacity' => 1000,
                'bus' => 'cfexpress-4-b',
                'read' => 3650,
            ],
            '1 TB CFexpress Type B 3.650 MB/s' => ['form' => 'cfexpress-b', 'capacity' => 1000, 'read' => 3650],
            'SDXC 64GB 12,500 MB/s write' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'write' => 12.5],
            'CFexpress B 512GB 1,700 GB/s' => ['form' => 'cfexpress-b', 'capacity' => 512, 'read' => 1700],
            'CF 32GB 12,500 GB/s' => ['form' => 'cf', 'capacity' => 32, 'unknown' => '12,500 GB/s'],
            'SDXC 1,024 GB V30' => ['form' => 'sd', 'capacity' => 1024, 'family' => 'SDXC', 'marks' => 'V30'],
            'SDXC 1.024 TB V30' => ['form' => 'sd', 'capacity' => 1024, 'family' => 'SDXC', 'marks' => 'V30'],
            'CF 64GB 1,066x' => ['form' => 'cf', 'capacity' => 64, 'times' => 1066],
            '64GB SDXC 760 mbps' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'read' => 95],
            'SDXC 12,345 TB' => ['form' => 'sd', 'family' => 'SDXC', 'unknown' => '12,345 TB'],
            '880MB/s 650MB/s CFexpress A 160GB' => ['form' => 'cfexpress-a', 'capacity' => 160, 'read' => 880, 'write' => 650],
            '880MB/s 650MB/s 400MB/s CFexpress A 160GB' => [
                'form' => 'cfexpress-a',
                'capacity' => 160,
                'read' => 880,
                'unknown' => '650MB/s 400MB/s',
            ],
            '650 MB per second, 880 MBps CFexpress A' => ['form' => 'cfexpress-a', 'read' => 650, 'unknown' => '880 MBps'],
            '64GB SDXC write 90 read 95 MB/s' => ['form' => 'sd', 'capacity' => 64, 'family' => 'SDXC', 'read' => 95, 'write' => 90],
            '256gb sdxc uhs-ii v60 250mb/s' => [
                'form' => 'sd',
                'capacity' => 256,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V60',
                'read' => 250,
            ],
            // In other languages, invented makers as everywhere.
            'Carte mémoire Tindle microSDXC 128 Go UHS-I U3 V30 lecture jusqu’à 170 Mo/s, écriture 90 Mo/s' => [
                'form' => 'microsd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-i',
                'marks' => 'U3 V30',
                'read' => 170,
                'write' => 90,
                'unknown' => 'Tindle',
            ],
            'CFexpress de type B 1 To, vitesse de lecture : 1 700 Mo/s, écriture soutenue 400 Mo/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 1000,
                'read' => 1700,
                'sustained' => 400,
            ],
            'SDXC 64 Go Classe 10 95 Mo/s en lecture, 60 Mo/s en écriture' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'marks' => 'C10',
                'read' => 95,
                'write' => 60,
            ],
            'Speicherkarte Osker SDXC 128 GB UHS-II V60 Lesen bis zu 280 MB/s, Schreiben bis zu 150 MB/s' => [
                'form' => 'sd',
                'capacity' => 128,
                'family' => 'SDXC',
                'bus' => 'uhs-ii',
                'marks' => 'V60',
                'read' => 280,
                'write' => 150,
                'unknown' => 'Osker',
            ],
            'CFexpress Typ B 512 GB Lesegeschwindigkeit 1.700 MB/s Schreibgeschwindigkeit 1.400 MB/s dauerhaft 850 MB/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 512,
                'read' => 1700,
                'write' => 1400,
                'sustained' => 850,
            ],
            'SDHC 32 GB Klasse 10 Lesen/Schreiben 95/60 MB/s' => [
                'form' => 'sd',
                'capacity' => 32,
                'family' => 'SDHC',
                'marks' => 'C10',
                'read' => 95,
                'write' => 60,
            ],
            'Tarjeta de memoria microSDXC 256 GB lectura hasta 190 MB/s y escritura hasta 130 MB/s' => [
                'form' => 'microsd',
                'capacity' => 256,
                'family' => 'SDXC',
                'read' => 190,
                'write' => 130,
            ],
            'CFexpress tipo B 325 GB escritura sostenida 400 MB/s lectura 1700 MB/s' => [
                'form' => 'cfexpress-b',
                'capacity' => 325,
                'read' => 1700,
                'sustained' => 400,
            ],
            'Scheda di memoria SDXC 64 GB classe 10 lettura fino a 95 MB/s, scrittura fino a 90 MB/s' => [
                'form' => 'sd',
                'capacity' => 64,
                'family' => 'SDXC',
                'marks' => 'C10',
                'read' => 95,
                'write' => 90,
            ],
            'CFexpress tipo A 160 GB velocità di lettura 800 MB/s velocità di scrittura 700 MB/s scrittura sostenuta 400 MB/s' => [
                'form' => 'cfexpress-a',
                'capacity' => 160,
                'read' => 800,
                'write' => 700,
                'sustained' => 400,
            ],
            'a blue one from the drawer' => ['unknown' => 'a blue one from the drawer'],
            '' => [],
        ];
        foreach ($lines as $line => $printed) {
            yield $line === '' ? 'nothing' : $line => [$line, $printed];
        }
    }

    /** @param  array<string, mixed>  $printed */
    #[DataProvider('lines')]
    public function test_a_line_is_read_with_no_wrong_field(string $line, array $printed): void
    {
        $reading = LabelReader::read($line);
        $expected = [
            'form' => null,
            'capacity' => null,
            'family' => null,
            'bus' => null,
            'marks' => '',
            'read' => null,
            'write' => null,
            'sustained' => null,
            'times' => null,
            'unknown' => '',
            ...$printed,
        ];
        self::assertEquals($expected, self::fields($reading));
    }

    public function test_enough_lines_are_tried(): void
    {
        self::assertGreaterThanOrEqual(40, count(iterator_to_array(self::lines())));
    }

    public function test_each_field_says_what_it_was_read_from(): void
    {
        $reading = LabelReader::read('128GB SDXC II U3 V60 250MB/s');
        self::assertSame(
            ['128GB', 'SDXC II', 'SDXC II', '250MB/s'],
            [$reading->from['capacity'], $reading->from['bus'], $reading->from['family'], $reading->from['read']],
        );
    }

    public function test_a_lone_speed_is_taken_as_the_read_claim_and_that_is_said(): void
    {
        self::assertStringContainsString('taken as the read claim', implode(' ', LabelReader::read('64GB SDXC 95MB/s')->notes));
        self::assertSame([], LabelReader::read('64GB SDXC read 95MB/s')->notes);
    }

    public function test_small_letters_mean_megabytes_on_a_label_and_that_is_said(): void
    {
        $reading = LabelReader::read('64GB SDXC read 95mb/s');
        self::assertSame(95.0, $reading->read?->megabytes());
        self::assertStringContainsString('taken as megabytes', implode(' ', $reading->notes));
        self::assertEqualsWithDelta(11.875, LabelReader::read('64GB SDXC read 95Mb/s')->read?->megabytes(), 1e-9);
    }

    public function test_what_a_mark_of_thousands_was_taken_for_is_said(): void
    {
        self::assertStringContainsString(
            '“3,650” is taken as 3650',
            implode(' ', LabelReader::read('CFexpress B 1TB read 3,650 MB/s')->notes),
        );
        self::assertStringContainsString(
            'no card of this kind has 12500',
            implode(' ', LabelReader::read('SDXC 64GB read 12,500 MB/s')->notes),
        );
    }

    public function test_it_can_be_judged_once_form_and_capacity_are_known(): void
    {
        self::assertNull(LabelReader::read('V30 95MB/s')->label());
        self::assertSame(Mark::V30, LabelReader::read('SDXC 64GB V30')->label()?->topMark());
    }

    /** @return array<string, mixed> */
    private static function fields(LabelReading $reading): array
    {
        $rate = fn (?Rate $rate): ?float => $rate === null ? null : round($rate->megabytes(), 3);

        return [
            'form' => $reading->form?->value,
            'capacity' => $reading->capacity === null ? null : $reading->capacity->count / 1e9,
            'family' => $reading->family?->value,
            'bus' => $reading->bus?->value,
            'marks' => implode(' ', array_map(fn (Mark $mark): string => $mark->value, $reading->marks)),
            'read' => $rate($reading->read),
            'write' => $rate($reading->write),
            'sustained' => $rate($reading->sustained),
            'times' => $reading->times,
            'unknown' => implode(' ', $reading->unknown),
        ];
    }
}
