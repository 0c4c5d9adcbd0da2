<?php

declare(strict_types=1);

namespace Tools\Trial;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Offload\Question\Controller;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\DriveKind;
use Tally\Offload\Question\Host;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Port;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Reader;
use Tally\Offload\Question\ReaderSlot;

/** An evening's offload on the gear of a cart, made up from a seed: six slots in three readers, four drives, seven ports. */
final readonly class MadeUpOffload
{
    public static function of(int $seed, int $cards): Question
    {
        $chance = new Randomizer(new Mt19937($seed));
        $laden = [];
        for ($i = 1; $i <= $cards; $i++) {
            $isExpress = $chance->getInt(0, 3) === 0;
            $laden[] = new LadenCard(
                sprintf('C%02d', $i),
                1e9 * $chance->getInt(12, $isExpress ? 480 : 220),
                $chance->getInt(20, 3000),
                1e6 * ($isExpress ? $chance->getInt(700, 1500) : $chance->getInt(80, 265)),
                buses: $isExpress ? ['CFexpress 2.0'] : ['UHS-II', 'UHS-I'],
            );
        }
        $sd = ['UHS-II' => 290e6, 'UHS-I' => 98e6];

        return new Question(
            [
                new Host(
                    'Cart',
                    [new Controller('A', 2100e6), new Controller('B', 1050e6), new Controller('hub', 1050e6, false, 'A')],
                    [
                        new Port('p1', 'A', 2100e6),
                        new Port('p2', 'A', 1050e6),
                        new Port('p3', 'B', 1050e6),
                        new Port('p4', 'B', 450e6),
                        new Port('p5', 'hub', 450e6),
                        new Port('p6', 'hub', 450e6),
                        new Port('p7', 'B', 60e6, true),
                    ],
                    1800e6,
                ),
            ],
            [
                new Reader('R1', [new ReaderSlot('left', $sd, 'A'), new ReaderSlot('right', $sd, 'A')], ['A' => 454e6], 900e6),
                new Reader('R2', [new ReaderSlot('left', $sd), new ReaderSlot('right', $sd)], [], 430e6),
                new Reader('R3', [new ReaderSlot('express', ['CFexpress 2.0' => 1700e6]), new ReaderSlot('sd', $sd)], [], 1000e6),
            ],
            [
                new Drive('D1', 1e6 * $chance->getInt(900, 1700), 1900e6, link: 2100e6),
                new Drive('D2', 1e6 * $chance->getInt(350, 500), 520e6, link: 1050e6),
                new Drive('D3', 190e6, 210e6, kind: DriveKind::Spinning, inside: 'Cart'),
                new Drive('D4', 420e6, 900e6, cache: 1e9 * $chance->getInt(40, 120), fast: 900e6, link: 1050e6),
            ],
            $laden,
        );
    }
}
