<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Cards\Card;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Verdict\VerdictKind;
use Tests\Support\JudgesCases;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** The second opinion in the terminal, and all verdicts of the house anew. */
final class JudgeCommandTest extends TestCase
{
    use JudgesCases;
    use TemporaryFolder;

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function caseOf(array $with = []): array
    {
        return [
            'format' => 'gritty-tally-case',
            'version' => 1,
            'name' => 'from a note',
            'label' => self::V60,
            'runs' => [self::proof(), self::speed(124, 238)],
            ...$with,
        ];
    }

    private function file(mixed $content): string
    {
        file_put_contents($file = $this->folder().'/case.json', is_string($content) ? $content : (string) json_encode($content));

        return $file;
    }

    /** @return array<mixed> */
    private function answer(mixed $content, int $code = 0): array
    {
        self::assertSame($code, Artisan::call('tally:judge', ['file' => $this->file($content), '--json' => true]));
        $answer = json_decode(Artisan::output(), true);
        self::assertIsArray($answer);

        return $answer;
    }

    public function test_a_case_is_answered_with_the_word_the_next_step_and_every_reason(): void
    {
        $answer = $this->answer($this->caseOf());
        self::assertSame(['Sound', 'See its fastest offload'], [$answer['verdict'], $answer['next']]);
        self::assertIsArray($answer['reasons']);
        self::assertNotEmpty($answer['reasons']);
        foreach ($answer['reasons'] as $reason) {
            self::assertIsArray($reason);
            foreach (['id', 'topic', 'bearing', 'says', 'evidence'] as $field) {
                self::assertIsString($reason[$field] ?? null, $field);
                self::assertNotSame('', $reason[$field], $field);
            }
        }
    }

    public function test_a_list_is_answered_with_a_list(): void
    {
        $slow = $this->caseOf(['runs' => [self::proof(write: 40)]]);
        self::assertSame(['Sound', 'Slow'], array_column($this->answer([$this->caseOf(), $slow]), 'verdict'));
        self::assertCount(1, $this->answer([$slow]));
    }

    public function test_words_say_the_same_as_the_data(): void
    {
        $says = array_column((array) $this->answer($this->caseOf())['reasons'], 'says');
        Artisan::call('tally:judge', ['file' => $this->file($this->caseOf())]);
        $words = Artisan::output();
        self::assertStringStartsWith('from a note: Sound. Next: ', $words);
        foreach ($says as $one) {
            self::assertIsString($one);
            self::assertStringContainsString($one, $words);
        }
    }

    public function test_a_case_that_differs_from_what_is_expected_gets_a_line_and_ends_in_one(): void
    {
        $as = fn (array $expect, string $name): array => $this->caseOf(['name' => $name, 'because' => 'it says so', 'expect' => $expect]);
        $file = $this->file([
            $as(['verdict' => 'Sound', 'topics' => ['capacity' => 'Sound']], 'the first'),
            $as(['verdict' => 'Sham'], 'the second'),
            $as(['verdict' => 'Sound', 'topics' => ['class' => 'Slow', 'price' => 'Unproven']], 'the third'),
        ]);
        self::assertSame(1, Artisan::call('tally:judge', ['file' => $file]));
        self::assertSame(
            [
                'the second: verdict Sound, expected Sham (it says so)',
                'the third: class Sound, expected Slow; price not spoken of, expected Unproven (it says so)',
                '1 of 3 as expected.',
            ],
            explode("\n", trim(Artisan::output())),
        );
        $this->command('tally:judge', ['file' => $this->file([$as(['verdict' => 'Sound'], 'the first')])])
            ->expectsOutputToContain('1 of 1 as expected')
            ->assertExitCode(0);
    }

    public function test_the_worked_cases_are_as_expected(): void
    {
        self::assertSame(0, Artisan::call('tally:judge', ['file' => base_path('tests/cases/verdicts.json')]), Artisan::output());
    }

    /** @return iterable<string, array{mixed, list<string>}> */
    public static function bad(): iterable
    {
        yield 'no JSON' => ['{', ['it is no JSON', 'Give a case, a list of cases, or a result file']];
        yield 'nothing' => ['[]', ['there is nothing in it']];
        yield 'a word' => ['"x"', ['there is nothing in it']];
        yield 'another format' => [['format' => 'other'], ['“format” is “other”', '“gritty-tally-case” would do']];
        yield 'no object in a list' => [[7], ['“[0]” is no object']];
        yield 'a field of the second' => [
            [
                ['format' => 'gritty-tally-case', 'version' => 1, 'label' => self::V60],
                ['format' => 'gritty-tally-case', 'version' => 1, 'label' => 'x'],
            ],
            ['“[1].label” is “x”', 'such as “128GB SDXC'],
        ];
        yield 'a result file that was changed' => [
            ['format' => 'gritty-tally-result', 'version' => 1, 'hash' => str_repeat('0', 64)],
            ['its hash does not fit'],
        ];
    }

    /** @param  list<string>  $words */
    #[DataProvider('bad')]
    public function test_bad_input_is_answered_with_a_sentence(mixed $content, array $words): void
    {
        self::assertSame(2, Artisan::call('tally:judge', ['file' => $this->file($content), '--json' => true]));
        $said = Artisan::output();
        foreach (['This file cannot be judged: ', ...$words] as $word) {
            self::assertStringContainsString($word, $said);
        }
    }

    public function test_what_to_judge_must_be_said(): void
    {
        $this->command('tally:judge')->expectsOutputToContain('Give a file: a case, a list of cases, or a result file')->assertExitCode(2);
        $this->command('tally:judge', ['file' => 'x', '--all' => true])
            ->expectsOutputToContain('leave the file out, or --all')
            ->assertExitCode(2);
        $this->command('tally:judge', ['file' => '/nowhere'])
            ->expectsOutputToContain('“/nowhere” is no file that can be read')
            ->assertExitCode(2);
    }

    public function test_a_result_file_is_judged_as_its_house_judged_it(): void
    {
        $card = $this->card(['stand_in' => 'wraps,size=32GB,true=8GB']);
        $this->conduct($card, 'speed', 'Tray 3');
        $this->conduct($card, 'proof', 'Tray 3');
        $json = $this->get("/prove/{$card->tag}/result.json")
            ->assertOk()
            ->getContent();
        $file = json_decode((string) $json, true);
        self::assertIsArray($file);
        $answer = $this->answer($json);
        self::assertSame('Sham', $answer['verdict']);
        self::assertIsArray($file['verdict']);
        self::assertSame(array_column((array) $file['verdict']['reasons'], 'says'), array_column((array) $answer['reasons'], 'says'));
    }

    public function test_no_database_is_asked_for_an_opinion(): void
    {
        $process = new Process(['php', 'artisan', 'tally:judge', base_path('docs/examples/case.json'), '--json'], base_path(), [
            'DB_SOCKET' => '/nowhere',
            'DB_CONNECTION' => 'mariadb',
        ]);
        $process->run();
        self::assertSame('', $process->getErrorOutput());
        self::assertIsArray(json_decode($process->getOutput(), true));
        $process = new Process(['php', 'artisan', 'tally:judge', '--all'], base_path(), [
            'DB_SOCKET' => '/nowhere',
            'DB_CONNECTION' => 'mariadb',
        ]);
        self::assertSame(2, $process->run());
        self::assertStringContainsString('--all needs the database, which does not answer', $process->getErrorOutput());
    }

    public function test_the_verdicts_of_the_house_are_derived_anew_and_what_changed_is_said(): void
    {
        $sham = $this->card(['stand_in' => 'wraps,size=32GB,true=8GB']);
        $this->conduct($sham, 'proof', 'Tray 3');
        $this->card(['tag' => 'T-2']);
        $sham
            ->refresh()
            ->forceFill(['verdict' => VerdictKind::Slow])
            ->save();
        self::assertSame(0, Artisan::call('tally:judge', ['--all' => true]));
        $said = Artisan::output();
        self::assertStringContainsString('T-1  Slow → Sham: Keeps 8 GB of the 32 GB on its label.', $said);
        self::assertStringContainsString('2 cards judged, 1 changed.', $said);
        self::assertSame(VerdictKind::Sham, Card::query()->findOrFail($sham->id)->verdict);
        Artisan::call('tally:judge', ['--all' => true, '--json' => true]);
        self::assertSame(['cards' => 2, 'changed' => []], json_decode(Artisan::output(), true));
    }
}
