<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Process\Process;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Value\Values;

/** Plans against a second program that reckons them from what is printed, written apart from ours. */
final class OffloadReckoningTest extends TestCase
{
    public function test_a_second_program_comes_to_the_same_times(): void
    {
        $asked = $plans = [];
        for ($seed = 1; $seed <= 80; $seed++) {
            $file = self::file($seed);
            $plan = Plan::of(PlanFile::read((string) json_encode($file))->question, Goal::cases()[$seed % 3], 0.01);
            $plans[] = $plan;
            $asked[] = ['question' => $file, ...array_intersect_key((array) Values::plain($plan), ['links' => 1, 'cards' => 1])];
        }
        $process = new Process(['node', __DIR__.'/node/offload.cjs'], timeout: 60);
        $process->setInput(json_encode($asked, JSON_THROW_ON_ERROR));
        $process->mustRun();
        $others = (array) json_decode($process->getOutput(), true);
        self::assertCount(80, $others);
        foreach ($plans as $i => $plan) {
            $course = $plan->course;
            self::assertNotSame([], $plan->decision->cards);
            self::assertSame($course->hands, data_get($others[$i], 'hands'), "plan {$i}");
            $times = [$course->done, $course->allFree()];
            $theirs = [data_get($others[$i], 'done'), data_get($others[$i], 'free')];
            foreach (array_keys($plan->decision->cards) as $at) {
                array_push($times, $course->in[$at], $course->free[$at], $course->clear[$at] ?? 0.0);
                array_push($theirs, ...array_map(fn (mixed $time): mixed => $time ?? 0.0, (array) data_get($others[$i], "cards.{$at}")));
            }
            foreach ($times as $n => $time) {
                self::assertIsNumeric($theirs[$n] ?? null);
                self::assertEqualsWithDelta($time, (float) $theirs[$n], 1e-6 * max(1.0, $time), "plan {$i}");
            }
        }
    }

    /** @return array<string, mixed> a plan file with everything in it that the format knows */
    private static function file(int $seed): array
    {
        $chance = new Randomizer(new Mt19937($seed));
        $pick = fn (array $list): mixed => $list[$chance->getInt(0, count($list) - 1)];
        $ports = array_map(
            fn (int $i): array => [
                'name' => "p{$i}",
                'controller' => $pick(['A', 'B']),
                'link' => $pick(['450 MB/s', '1050 MB/s', '60 MB/s']),
                'half' => $chance->getInt(0, 4) === 0,
            ],
            range(1, 6),
        );
        $slot = fn (string $name): array => [
            'name' => $name,
            'buses' => ['UHS-II' => '290 MB/s', 'UHS-I' => '98 MB/s'],
            'lane' => $pick(['A', 'B']),
        ];
        $drives = [];
        foreach ([1, 2, 3] as $i) {
            $drives[] = [
                'name' => "D{$i}",
                'write' => $chance->getInt(100, 1500).' MB/s',
                'read' => $chance->getInt(100, 1500).' MB/s',
                ...$chance->getInt(0, 2) === 0 ? ['inside' => 'Cart'] : ['link' => '1050 MB/s'],
                ...$chance->getInt(0, 2) === 0 ? ['cache' => $chance->getInt(10, 90).' GB', 'fast' => '1800 MB/s'] : [],
                'spinning' => $chance->getInt(0, 2) === 0,
            ];
        }
        $card = fn (int $i): array => [
            'tag' => "C{$i}",
            'bytes' => $chance->getInt(5, 200).' GB',
            'files' => $chance->getInt(0, 4000),
            'read' => $chance->getInt(70, 260).' MB/s',
            'buses' => $pick([['UHS-I'], ['UHS-II', 'UHS-I']]),
        ];

        return [
            'format' => PlanFile::FORMAT,
            'version' => PlanFile::VERSION,
            'hosts' => [
                [
                    'name' => 'Cart',
                    'controllers' => ['A' => '1050 MB/s', 'B' => ['ceiling' => '450 MB/s', 'half' => $seed % 3 === 0, 'behind' => 'A']],
                    'ports' => $ports,
                    ...$seed % 2 === 0 ? ['hash' => '700 MB/s'] : [],
                ],
            ],
            'readers' => [
                [
                    'name' => 'R1',
                    'uplink' => '450 MB/s',
                    'cable' => '390 MB/s',
                    'lanes' => ['A' => '260 MB/s'],
                    'slots' => [$slot('a'), $slot('b')],
                ],
                ['name' => 'R2', 'uplink' => '920 MB/s', 'slots' => [$slot('a')]],
            ],
            'drives' => $drives,
            'cards' => array_map($card, range(1, $chance->getInt(2, 7))),
            'rules' => [
                'copies' => $chance->getInt(1, 3),
                'verify' => $pick(['read-back', 'read-back', 'none']),
                'scheme' => $pick(['any', 'straight', 'relay', 'fan-out']),
                'swap' => $chance->getInt(0, 40),
                'first' => $chance->getInt(0, 15),
                'overhead' => 0.01,
                'hands' => $chance->getInt(1, 2),
            ],
        ];
    }
}
