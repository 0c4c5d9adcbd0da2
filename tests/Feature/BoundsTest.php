<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Intake\CardField;
use App\Tables\NotATable;
use App\Tables\TableLimits;
use App\Tables\TableReader;
use Illuminate\Support\Facades\Route;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Process\Process;
use Tally\Probe\Screen\ScreenPlan;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;
use Tally\Quantity\Span;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;
use ZipArchive;

/** What is larger, longer or stranger than anything real is answered with a sentence, at the cost of anything else. */
final class BoundsTest extends TestCase
{
    use TemporaryFolder;

    public function test_a_card_of_more_than_a_petabyte_is_refused_at_the_form(): void
    {
        $label = ['tag' => 'BIG-1', 'name' => 'Tindle Vast', 'form' => 'cfexpress-b', 'marks' => []];
        $this->post('/cards', [...$label, 'capacity' => '100 PB'])->assertSessionHasErrors([
            'capacity' => '“100 PB” is more than 1 PB, and no card holds that. Look at its unit again.',
        ]);
        $this->post('/cards', [...$label, 'capacity' => '1 PB'])->assertSessionHasNoErrors();
        foreach (['intake', 'inspect', 'measure', 'prove', 'offload'] as $stage) {
            $this->get("/{$stage}/BIG-1")->assertOk();
        }
    }

    public function test_a_proof_of_next_to_nothing_is_refused_and_says_nothing_of_how_fast_a_card_is(): void
    {
        $card = $this->card();
        foreach (['proof', 'sustained'] as $kind) {
            $this->post('/cards/T-1/runs', ['kind' => $kind, 'slot' => $this->slot('Tray 3')->id, 'size' => '1 B'])->assertSessionHasErrors(
                ['size' => '1 B is too little to tell anything of a card. Give 1 MB or more, or leave it empty for all there is.'],
            );
        }
        // One of before, or from the terminal.
        $this->command('tally:prove', [
            'path' => 'stand-in:honest,size=32GB,write=1MB/s,read=1MB/s',
            '--size' => '1MB',
            '--card' => 'T-1',
        ])->assertExitCode(0);
        self::assertNotSame(VerdictKind::Slow, $card->refresh()->verdict);
    }

    public function test_the_plan_of_a_screen_has_no_more_places_on_a_larger_medium(): void
    {
        $places = fn (string $size): int => count((new ScreenPlan(Bytes::parse($size)))->places());
        self::assertLessThan(4500, max($places('8 TB'), $places('64 TB'), $places('1 PB')));
        // Everywhere a stretch twice as long as from one rung to the next closes the medium.
        foreach (['64 GB', '8 TB', '9 TB', '100 TB', '1 PB'] as $size) {
            $plan = new ScreenPlan(Bytes::parse($size));
            $dense = $plan->size->count - $plan->denseFrom();
            $rungs = $plan->places();
            $gaps = array_map(fn (int $i): int => $rungs[$i] - $rungs[$i - 1], range(1, count($rungs) - 1));
            self::assertLessThanOrEqual($dense, max($gaps), $size);
        }
    }

    private static function cell(string $text, string $times = ''): string
    {
        return '<t:table-cell o:value-type="string" '.$times.'><x:p>'.$text.'</x:p></t:table-cell>';
    }

    /** @return iterable<string, array{string, string}> rows of the sheet, words of the sentence */
    public static function sheets_that_stand_for_more(): iterable
    {
        $cell = self::cell(...);
        yield 'spaces' => [
            '<t:table-row>'.$cell(str_repeat('<x:s x:c="2000000"/>', 4000)).'</t:table-row>',
            'unpacks to more than',
        ];
        yield 'cells' => [
            str_repeat('<t:table-row>'.$cell('a', 't:number-columns-repeated="16384"').'</t:table-row>', 8),
            'filled cells',
        ];
        yield 'rows' => ['<t:table-row t:number-rows-repeated="1048576">'.$cell('a').'</t:table-row>', 'filled cells'];
        yield 'marks' => [str_repeat('<t:table-row/>', TableLimits::MARKS), 'unpacks to more than'];
    }

    #[DataProvider('sheets_that_stand_for_more')]
    public function test_a_few_bytes_of_a_spreadsheet_that_stand_for_gigabytes_are_not_unfolded(string $rows, string $words): void
    {
        $path = $this->folder().'/much.ods';
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE);
        $space = 'urn:oasis:names:tc:opendocument:xmlns';
        $zip->addFromString(
            'content.xml',
            "<o:document-content xmlns:o=\"{$space}:office:1.0\" xmlns:t=\"{$space}:table:1.0\" xmlns:x=\"{$space}:text:1.0\">".
                "<o:body><o:spreadsheet><t:table>{$rows}</t:table></o:spreadsheet></o:body></o:document-content>",
        );
        $zip->close();
        self::assertLessThan(100_000, filesize($path));
        $before = memory_get_peak_usage();
        try {
            iterator_to_array(TableReader::rows($path, 'much.ods'));
            self::fail('It was read.');
        } catch (NotATable $fault) {
            self::assertStringContainsString($words, $fault->getMessage());
        }
        self::assertLessThan(20_000_000, memory_get_peak_usage() - $before);
    }

    public function test_every_process_has_a_limit_of_memory(): void
    {
        $process = new Process([PHP_BINARY, 'artisan', 'tally:label', '64GB', '-v'], base_path(), ['TALLY_MEMORY_TERMINAL' => '48M']);
        $process->mustRun();
        self::assertSame('1G', ini_get('memory_limit'));
    }

    /** @return iterable<string, array{string}> */
    public static function digits(): iterable
    {
        yield 'full-width' => ['６４'];
        yield 'Arabic' => ['٦٤'];
        yield 'Devanagari' => ['६४'];
        yield 'Arabic after Latin' => ['6٤'];
    }

    #[DataProvider('digits')]
    public function test_digits_of_other_scripts_are_answered_with_a_sentence_everywhere(string $digits): void
    {
        foreach ([Bytes::parse(...), Rate::parse(...), Span::parse(...)] as $parse) {
            foreach (['', ' GB', ' MB/s', ' s'] as $unit) {
                try {
                    $parse($digits.$unit);
                    self::fail("“{$digits}{$unit}” was read.");
                } catch (NotAQuantity $fault) {
                    self::assertStringContainsString($digits, $fault->getMessage());
                }
            }
        }
        $card = $this->card();
        // Every field of every form that writes, whatever it is called.
        $fields = [
            ...array_map(fn (CardField $field): string => $field->value, CardField::cases()),
            'count',
            'revision',
            'size',
            'runs',
            'slot',
            'from',
            'block',
            'warm_ups',
            'pause',
            'files',
            'points',
            'kind',
            'by',
            'reason',
            'why',
            'temperature',
            'at',
            'verdict',
            'quoted_on',
            'tier',
            'question',
            'answer',
            'reader',
            'port',
            'drive',
            'day',
            'on',
            'link',
            'measured',
            'free',
            'cache',
            'uplink',
            'line',
            'cards',
            'sheet',
            'source',
            'into',
        ];
        $data = array_fill_keys($fields, $digits);
        $asked = 0;
        foreach (Route::getRoutes()->getRoutes() as $route) {
            $path = str_replace(
                ['{card}', '{kind}', '{key}', '{run}', '{quote}', '{import}', '{inspection}'],
                [$card->tag, 'cables', 'K1', '999999', '999999', 'none', '999999'],
                $route->uri(),
            );
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                $status = $this->call($method, "/{$path}", $data)->getStatusCode();
                self::assertLessThan(500, $status, "{$method} {$path}");
                $asked++;
            }
        }
        self::assertGreaterThan(50, $asked);
    }
}
