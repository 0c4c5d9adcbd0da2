<?php

declare(strict_types=1);

namespace Tests\Core\Shoot;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tally\Shoot\FitFile;
use Tally\Shoot\Whole\Evening;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\PackingFile;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Written\WrittenFit;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** A whole shoot as an open file asks for it: read, refused with a sentence, and read back as it was. */
final class ShootFileTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $shoot
     * @return array<string, mixed>
     */
    private static function file(array $shoot): array
    {
        return [
            'format' => 'gritty-tally-fit',
            'version' => 1,
            'criterion' => 'mark',
            'cameras' => [
                [
                    'tag' => 'C1',
                    'slots' => [['name' => 'A', 'buses' => ['UHS-II']], ['name' => 'B', 'buses' => ['UHS-I']]],
                    'modes' => [
                        ['name' => '4K', 'writes' => '200 Mb/s'],
                        ['name' => 'relay', 'writes' => '200 Mb/s', 'records' => 'relay'],
                        ['name' => 'with proxies', 'writes' => '200 Mb/s', 'records' => 'proxies', 'proxies' => '16 Mb/s'],
                        ['name' => 'stills', 'shot' => '24.6 MB', 'frames' => 0.5],
                    ],
                ],
            ],
            'cards' => [
                ['tag' => 'A', 'label' => '128GB SDXC II U3 V60 250MB/s'],
                ['tag' => 'B', 'label' => '64GB SDXC I U3 V30 95MB/s'],
            ],
            'shoot' => $shoot,
        ];
    }

    /** @param  array<string, mixed>  $shoot */
    private static function question(array $shoot): Question
    {
        $question = FitFile::read(self::file($shoot))->question();
        self::assertNotNull($question);

        return $question;
    }

    public function test_what_is_not_said_is_as_the_house_does_it(): void
    {
        $question = self::question(['days' => 3, 'wanted' => [
            ['camera' => 'C1', 'mode' => '4K', 'daily' => '1 h 30 min'],
            ['camera' => 'C1', 'mode' => 'relay', 'daily' => '45 min', 'days' => [2, 2, 3]],
            ['camera' => 'C1', 'mode' => 'stills', 'shots' => 400],
        ]]);
        self::assertSame([3, 3, Question::EXTRA], [$question->days, $question->home, $question->extra]);
        [$first, $relay, $stills] = $question->wanted;
        self::assertSame([5400, [1, 2, 3], false], [$first->daily, $first->days, $first->hasSpare]);
        self::assertSame([2700, [2, 3], true], [$relay->daily, $relay->days, $relay->hasSpare]);
        self::assertSame(400, $stills->daily);
        // Three days of 90 minutes and a tenth on top, until they come home at the end.
        self::assertSame(60 * 297, $question->places()[0]->need);
    }

    public function test_stills_may_be_asked_for_by_time_as_well(): void
    {
        $question = self::question(['days' => 1, 'wanted' => [['camera' => 'C1', 'mode' => 'stills', 'daily' => '10 min']]]);
        self::assertSame(300, $question->wanted[0]->daily);
        self::assertSame('330 shots', $question->places()[0]->needs());
    }

    public function test_proxies_have_the_second_slot_and_their_own_rate(): void
    {
        $wanted = [['camera' => 'C1', 'mode' => 'with proxies', 'daily' => '30 min']];
        $places = self::question(['days' => 1, 'wanted' => $wanted])->places();
        self::assertSame(['C1 with proxies', 'C1 with proxies, proxies'], [$places[0]->name(), $places[1]->name()]);
        self::assertEqualsWithDelta(2.0, $places[1]->rate()->megabytes(), 1e-9);
        self::assertSame(['B'], array_map(fn ($slot): string => $slot->name, $places[1]->slots));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> the part of the file, what is said of it */
    public static function bad(): iterable
    {
        $one = ['camera' => 'C1', 'mode' => '4K', 'daily' => '1 h'];
        yield 'no days' => [['days' => 0, 'wanted' => [$one]], 'from 1 to 60'];
        yield 'too many days' => [['days' => 61, 'wanted' => [$one]], 'from 1 to 60'];
        yield 'days in words' => [['days' => 'three', 'wanted' => [$one]], 'days'];
        yield 'never home' => [['days' => 2, 'home' => 0, 'wanted' => [$one]], '1 or more'];
        yield 'more than twice' => [['days' => 2, 'extra' => 1.5, 'wanted' => [$one]], 'from 0 to 1'];
        yield 'nothing wanted' => [['days' => 2, 'wanted' => []], 'from 1 to 30 recordings'];
        yield 'no such mode' => [['days' => 2, 'wanted' => [[...$one, 'mode' => '8K']]], 'no camera of this file has it'];
        yield 'no such camera' => [['days' => 2, 'wanted' => [[...$one, 'camera' => 'C9']]], 'no camera of this file has it'];
        yield 'a day that is none' => [['days' => 2, 'wanted' => [[...$one, 'days' => [3]]]], 'numbered from 1 to 2'];
        yield 'a length that is none' => [['days' => 2, 'wanted' => [[...$one, 'daily' => 'long']]], '“long” is not a length of time'];
        yield 'no length' => [['days' => 2, 'wanted' => [[...$one, 'daily' => '0 min']]], 'above nothing'];
        yield 'no shots' => [['days' => 2, 'wanted' => [['camera' => 'C1', 'mode' => 'stills', 'shots' => 0]]], 'above nothing'];
        yield 'a slip of the pen' => [['days' => 2, 'hom' => 1, 'wanted' => [$one]], 'perhaps “home” is meant'];
        yield 'another one' => [['days' => 2, 'wanted' => [[...$one, 'spares' => true]]], 'perhaps “spare” is meant'];
    }

    /** @param  array<string, mixed>  $shoot */
    #[DataProvider('bad')]
    public function test_what_cannot_be_is_refused_with_a_sentence(array $shoot, string $said): void
    {
        try {
            self::question($shoot);
            self::fail('it was taken');
        } catch (NotUsable $fault) {
            self::assertStringContainsString($said, $fault->getMessage());
        }
    }

    public function test_a_question_is_read_back_as_it_was_packed(): void
    {
        $question = self::question(['days' => 4, 'home' => 2, 'extra' => 0.25, 'wanted' => [
            ['camera' => 'C1', 'mode' => 'relay', 'daily' => '50 min', 'days' => [1, 3], 'spare' => false],
            ['camera' => 'C1', 'mode' => 'with proxies', 'daily' => '20 min'],
            ['camera' => 'C1', 'mode' => 'stills', 'shots' => 700, 'days' => [4]],
        ]]);
        $again = FitFile::read(Values::write(WrittenFit::of($question)))->question();
        self::assertNotNull($again);
        self::assertSame(Values::write(WrittenFit::of($question)), Values::write(WrittenFit::of($again)));
        $needs = fn (Question $of): array => array_map(fn ($place): string => "{$place->name()} {$place->needs()}", $of->places());
        self::assertSame($needs($question), $needs($again));
    }

    public function test_what_is_kept_is_shown_as_it_was_decided(): void
    {
        $wanted = [['camera' => 'C1', 'mode' => '4K', 'daily' => '60 min', 'spare' => true]];
        $packing = Packing::of(self::question(['days' => 2, 'home' => 1, 'wanted' => $wanted]));
        $cards = array_map(fn ($one): array => $one->cards, $packing->places);
        $kept = Packing::kept($packing->question, $cards);
        self::assertSame(Values::plain(PackingFile::of($packing)['places']), Values::plain(PackingFile::of($kept)['places']));
        self::assertEquals(Evening::of($packing), Evening::of($kept));
        self::assertSame('No other way misses less or spends less on it.', $packing->words());
    }
}
