<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Inertia\Testing\AssertableInertia;
use Tests\Support\JudgesCases;
use Tests\TestCase;

/** The second opinion on its page: a file is judged, and nothing is entered. */
final class OpinionTest extends TestCase
{
    use JudgesCases;

    private static function upload(mixed $content): UploadedFile
    {
        return UploadedFile::fake()->createWithContent('figures.json', is_string($content) ? $content : (string) json_encode($content));
    }

    /**
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private static function caseOf(array $with = []): array
    {
        return [
            'format' => 'gritty-tally-case',
            'version' => 1,
            'name' => 'from a note',
            'label' => self::V60,
            'runs' => [self::proof(write: 40)],
            ...$with,
        ];
    }

    public function test_a_case_is_shown_with_its_verdict_and_reasons(): void
    {
        $this->get('/opinion')->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->component('Opinion', false)->where('opinions', null),
        );
        $this->post('/opinion', ['file' => self::upload(self::caseOf())])->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('opinions.file', 'figures.json')
                ->where('opinions.count', 1)
                ->where('opinions.expected', null)
                ->where('opinions.cases.0.name', 'from a note')
                ->where('opinions.cases.0.label', '128 GB · SDXC UHS-II · V60')
                ->where('opinions.cases.0.verdict', 'Slow')
                ->where('opinions.cases.0.reasons.0.bearing', 'Slow')
                ->where('opinions.cases.0.differs', []),
        );
        foreach (['cards', 'runs', 'inspections', 'price_quotes'] as $table) {
            $this->assertDatabaseCount($table, 0);
        }
    }

    public function test_of_a_list_those_that_differ_come_first(): void
    {
        $list = [
            self::caseOf(['expect' => ['verdict' => 'Slow']]),
            self::caseOf(['name' => '', 'because' => 'somebody said so', 'expect' => ['verdict' => 'Sound']]),
        ];
        $this->post('/opinion', ['file' => self::upload($list)])->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('opinions.count', 2)
                ->where('opinions.expected', 2)
                ->where('opinions.differing', 1)
                ->where('opinions.cases.0.name', 'case 2')
                ->where('opinions.cases.0.differs', ['verdict Slow, expected Sound'])
                ->where('opinions.cases.0.because', 'somebody said so')
                ->where('opinions.cases.1.differs', []),
        );
    }

    public function test_what_cannot_be_judged_gets_a_sentence(): void
    {
        $this->post('/opinion')->assertSessionHasErrors([
            'file' => 'No file was given. Choose a case, a list of cases, or a result file (.json).',
        ]);
        $this->post('/opinion', ['file' => self::upload(self::caseOf(['label' => '128GB']))])->assertSessionHasErrors([
            'file' => 'This file cannot be judged: “label” is “128GB”: the line as printed, with the form of the card in it, such '.
            'as “128GB SDXC II U3 V60 250MB/s read”.',
        ]);
        $this->post('/opinion', ['file' => self::upload("\x89PNG\r\n")])->assertSessionHasErrors('file');
    }

    public function test_no_more_than_can_be_read_is_shown_of_a_long_list(): void
    {
        $list = array_map(fn (int $i): array => self::caseOf(['name' => "card {$i}", 'runs' => []]), range(1, 130));
        $this->post('/opinion', ['file' => self::upload($list)])->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('opinions.count', 130)->has('opinions.cases', 100),
        );
        $this->post('/opinion', ['file' => self::upload(array_fill(0, 2001, self::caseOf()))])->assertSessionHasErrors([
            'file' => 'This file cannot be judged: it holds 2001 cases; 2000 at once would do.',
        ]);
    }

    public function test_the_format_is_handed_out_with_an_example_that_can_be_judged(): void
    {
        $example = $this->get('/opinion/example')->assertOk()->streamedContent();
        $this->post('/opinion', ['file' => self::upload($example)])->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->has('opinions.cases.0.reasons'),
        );
        $this->get('/opinion/schema')->assertOk();
        $this->get('/opinion/other')->assertNotFound();
    }
}
