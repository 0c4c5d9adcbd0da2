<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\Process;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;

/** The sheets are read back by poppler (text, picture) and by zbar (codes), neither of which had a hand in making them. */
final class TagsTest extends TestCase
{
    use TemporaryFolder;

    protected function setUp(): void
    {
        parent::setUp();
        foreach (['QS-001', 'QS-002', 'QS-003', 'QS-010', 'QS-011'] as $i => $tag) {
            $this->card([
                'tag' => $tag,
                'lot' => $i < 2 ? 'TC 04' : null,
                'verdict' => $tag === 'QS-002' ? 'Sham' : 'Unproven',
                'serial' => "S{$i}",
            ]);
        }
    }

    private function sheet(string $query): string
    {
        $path = $this->folder().'/tags.pdf';
        $response = $this->get("/tags/sheet.pdf?{$query}")
            ->assertOk()
            ->assertHeader('Content-Type', 'application/pdf');
        file_put_contents($path, $response->getContent());

        return $path;
    }

    /** @return list<string> */
    private static function codes(string $pdf, int $page = 1): array
    {
        $picture = dirname($pdf).'/page';
        Process::run(['pdftoppm', '-r', '150', '-png', '-singlefile', '-f', (string) $page, '-l', (string) $page, $pdf, $picture])->throw();
        $read = Process::run(['zbarimg', '--quiet', '--raw', "{$picture}.png"])->output();
        $codes = array_values(array_filter(explode("\n", $read), fn (string $line): bool => $line !== ''));
        sort($codes);

        return $codes;
    }

    /** @return iterable<string, array{string}> */
    public static function sheets(): iterable
    {
        yield 'small' => ['4x10'];
        yield 'middle' => ['3x8'];
        yield 'large' => ['2x4'];
    }

    #[DataProvider('sheets')]
    public function test_every_code_on_a_sheet_opens_its_card(string $sheet): void
    {
        $codes = self::codes($this->sheet("cards=all&sheet={$sheet}"));
        self::assertCount(5, $codes);
        foreach ($codes as $i => $code) {
            self::assertSame(url('/c/'.['QS-001', 'QS-002', 'QS-003', 'QS-010', 'QS-011'][$i]), $code);
        }
        $this->get('/c/QS-003')->assertRedirect('/measure/QS-003');
        $this->get('/c/QS-999')->assertNotFound();
    }

    public function test_a_tag_says_what_the_card_is_and_how_many_of_its_lot_are_sham(): void
    {
        $this->travelTo('2026-11-25 12:00:00');
        $text = Process::run(['pdftotext', '-layout', $this->sheet('cards=QS-001,QS-002'), '-'])
            ->throw()
            ->output();
        self::assertStringContainsString('QS-001', $text);
        self::assertStringContainsString('S/N S0', $text);
        self::assertStringContainsString('lot TC 04: 1 of 1 other Sham', $text);
        self::assertStringNotContainsString('25 Nov 2026', $text, 'nothing was tested on it today');
        $this->card(['tag' => 'X-1', 'serial' => 'X1', 'verdict' => 'Sham']);
        $alone = Process::run(['pdftotext', '-layout', $this->sheet('cards=X-1'), '-'])
            ->throw()
            ->output();
        self::assertStringContainsString('Sham', $alone);
        self::assertStringNotContainsString('lot', $alone);
    }

    public function test_a_begun_sheet_is_used_up_and_the_rest_goes_on_the_next(): void
    {
        $path = $this->sheet('cards=all&sheet=2x4&begin=6');
        self::assertCount(3, self::codes($path, 1));
        self::assertCount(2, self::codes($path, 2));
    }

    /** @return iterable<string, array{string, list<string>, list<string>}> typed, tags, words that picked nothing */
    public static function picks(): iterable
    {
        yield 'tags' => ['qs-003, QS-001', ['QS-003', 'QS-001'], []];
        yield 'a run of tags' => ['QS-002..QS-010', ['QS-002', 'QS-003', 'QS-010'], []];
        yield 'a run, short' => ['QS-002..010', ['QS-002', 'QS-003', 'QS-010'], []];
        yield 'a lot' => ['lot tc-04', ['QS-001', 'QS-002'], []];
        yield 'a lot and a tag' => ['lot TC 04, QS-011', ['QS-001', 'QS-002', 'QS-011'], []];
        yield 'twice the same' => ['QS-001 QS-001', ['QS-001'], []];
        yield 'unknown ones' => ['QS-001 QS-404 QS-500..QS-600', ['QS-001'], ['QS-404', 'QS-500..QS-600']];
        yield 'nothing' => ['', [], []];
    }

    /**
     * @param  list<string>  $tags
     * @param  list<string>  $unknown
     */
    #[DataProvider('picks')]
    public function test_cards_are_picked_in_words(string $typed, array $tags, array $unknown): void
    {
        $this->get('/tags?'.http_build_query(['cards' => $typed]))->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Tags', false)
                ->where('sheet.tags', $tags)
                ->where('sheet.unknown', $unknown),
        );
    }

    public function test_a_mistake_gets_a_sentence(): void
    {
        $this->get('/tags/sheet.pdf?cards=QS-404')->assertSessionHasErrors([
            'cards' => 'No card was picked. Write tags, such as QS-014 QS-021..QS-028, or a lot.',
        ]);
        $this->get('/tags?cards=all&sheet=5x5')->assertSessionHasErrors(['sheet' => 'The sheet “5x5” is not one of the list. Choose one.']);
        $this->get('/tags?cards=all&sheet=2x4&begin=9')->assertSessionHasErrors([
            'begin' => 'A sheet of this kind has 8 labels; “9” was given.',
        ]);
        $this->get('/tags?cards=all&begin=none')->assertSessionHasErrors('begin');
    }
}
