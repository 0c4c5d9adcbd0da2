<?php

declare(strict_types=1);

namespace Tests\Core\Offload;

use InvalidArgumentException;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Offload\Missing;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Verify;
use Tally\Value\NotUsable;

/** The open file that a plan is asked with: what may be left out, what is refused, and what cannot be planned. */
final class PlanFileTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function file(array $with = []): array
    {
        return [
            'format' => 'gritty-tally-offload',
            'version' => 1,
            'hosts' => [['name' => 'Cart', 'controllers' => ['A' => '2100 MB/s'], 'ports' => [
                ['name' => 'p1', 'controller' => 'A', 'link' => '1050 MB/s'],
                ['name' => 'p2', 'controller' => 'A', 'link' => '60 MB/s', 'half' => true],
            ]]],
            'readers' => [['name' => 'R1', 'uplink' => '450 MB/s', 'cable' => '400 MB/s', 'lanes' => ['A' => '290 MB/s'], 'slots' => [
                ['name' => 'left', 'buses' => ['UHS-II' => '290 MB/s', 'UHS-I' => '98 MB/s'], 'lane' => 'A'],
            ]]],
            'drives' => [
                ['name' => 'D1', 'write' => '1700 MB/s', 'read' => '1900 MB/s', 'free' => '1200 GB', 'link' => '2100 MB/s'],
                ['name' => 'D3', 'write' => '190 MB/s', 'read' => '210 MB/s', 'inside' => 'Cart'],
            ],
            'cards' => [['tag' => 'QS-014', 'bytes' => '96 GB', 'read' => '233 MB/s', 'buses' => ['UHS-II', 'UHS-I']]],
            ...$with,
        ];
    }

    public function test_what_is_left_out_is_the_houses_default(): void
    {
        $file = PlanFile::read((string) json_encode(self::file(['rules' => ['goal' => 'free']])));
        $rules = $file->question->rules;
        self::assertSame([2, Verify::ReadBack, null, 25.0, 10.0, 0.01, 1], [
            $rules->copies,
            $rules->verify,
            $rules->scheme,
            $rules->swap,
            $rules->first,
            $rules->overhead,
            $rules->hands,
        ]);
        self::assertSame(Goal::Free, $file->goal);
        self::assertSame(400e6, $file->question->readers[0]->uplink, 'the lower of uplink and cable');
        $drive = $file->question->drives[1];
        self::assertSame([0, INF, 190e6], [$file->question->cards[0]->files, $drive->free, $drive->fast]);
        $plan = Plan::of($file->question);
        self::assertSame(['D1', 'R1'], array_keys($plan->decision->links), 'the planner found ports for both');
        self::assertContains($plan->decision->links['R1'], ['Cart p1', 'Cart p2']);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> change, words of the sentence */
    public static function mistakes(): iterable
    {
        yield 'another format' => [['format' => 'x'], '“format” is “x”'];
        yield 'another version' => [['version' => 2], '“version” is 2'];
        yield 'a card without a speed' => [['cards' => [['tag' => 'a', 'bytes' => '1 GB', 'buses' => []]]], '“cards[0].read” is missing'];
        yield 'a speed that is none' => [
            ['drives' => [['name' => 'D1', 'write' => 'fast', 'read' => '1 MB/s']]],
            '“drives[0].write” is “fast”',
        ];
        yield 'two cards of one tag' => [
            ['cards' => array_fill(0, 2, ['tag' => 'QS-014', 'bytes' => '1 GB', 'read' => '90 MB/s', 'buses' => ['UHS-I']])],
            'Two of the cards read “QS-014”',
        ];
        yield 'a port that is not there' => [['links' => ['R1' => 'Cart p9']], 'which is no port here'];
        yield 'two in one port' => [['links' => ['R1' => 'Cart p1', 'D1' => 'Cart p1']], 'cannot be in one port'];
        yield 'a drive that is inside already' => [['links' => ['D3' => 'Cart p1']], '“D3” is no reader'];
        yield 'inside nothing' => [['drives' => [['name' => 'D1', 'write' => 1, 'read' => 1, 'inside' => 'Box']]], 'no host here'];
        yield 'a ring of hubs' => [
            ['hosts' => [['name' => 'Cart', 'controllers' => [
                'A' => ['ceiling' => '1 GB/s', 'behind' => 'B'],
                'B' => ['ceiling' => '1 GB/s', 'behind' => 'A'],
            ], 'ports' => []]]],
            'in a ring',
        ];
        yield 'four copies' => [['rules' => ['copies' => 4]], '“rules.copies” is 4: give 1, 2 or 3.'];
        yield 'a scheme nobody knows' => [['rules' => ['scheme' => 'sideways']], '“rules.scheme” is “sideways”'];
        yield 'time that runs back' => [['rules' => ['swap' => -1]], '“rules.swap” is -1'];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('mistakes')]
    public function test_a_mistake_gets_a_sentence(array $with, string $words): void
    {
        try {
            PlanFile::read((string) json_encode(self::file($with)));
            self::fail('It was read.');
        } catch (NotUsable|InvalidArgumentException $fault) {
            self::assertStringContainsString($words, $fault->getMessage());
        }
    }

    /** @return iterable<string, array{array<string, mixed>, Missing, string, int}> change, what is missing, words, cards planned */
    public static function impossible(): iterable
    {
        $card = fn (string $tag, string $bytes, string $bus): array => [
            'tag' => $tag,
            'bytes' => $bytes,
            'read' => '200 MB/s',
            'buses' => [$bus],
        ];
        yield 'a card that fits nowhere' => [
            ['cards' => [$card('a', '9 GB', 'UHS-II'), $card('b', '9 GB', 'CFexpress 2.0')]],
            Missing::Slot,
            'b fits no slot here',
            1,
        ];
        yield 'more copies than drives' => [
            ['rules' => ['copies' => 3]],
            Missing::Drives,
            '3 copies of QS-014 need 3 drives, and there are 2',
            0,
        ];
        yield 'a drive too full' => [
            ['cards' => [$card('a', '900 GB', 'UHS-II'), $card('b', '500 GB', 'UHS-II')]],
            Missing::Room,
            'There is no room for 2 copies of a (900 GB)',
            1,
        ];
        yield 'no port is left' => [
            ['hosts' => [['name' => 'Cart', 'ports' => [['name' => 'p1']]]], 'links' => ['D1' => 'Cart p1']],
            Missing::Port,
            'no port is left',
            0,
        ];
    }

    /** @param  array<string, mixed>  $with */
    #[DataProvider('impossible')]
    public function test_what_cannot_be_is_named_and_the_rest_planned(array $with, Missing $missing, string $words, int $planned): void
    {
        $plan = Plan::of(PlanFile::read((string) json_encode(self::file($with)))->question);
        self::assertCount($planned, $plan->decision->cards);
        self::assertSame($missing, $plan->leftOut[0]->missing ?? null);
        self::assertStringContainsString($words, $plan->leftOut[0]->sentence);
    }
}
