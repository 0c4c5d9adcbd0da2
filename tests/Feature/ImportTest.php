<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\HouseKnowledge;
use App\Http\ErrorPage;
use App\Intake\CardField;
use App\Intake\Import\WaitingTable;
use App\Models\Cards\Card;
use App\Pages\House\ImportPage;
use App\Tables\NotATable;
use App\Tables\TableProcess;
use App\Tables\TableWriter;
use App\Tables\TooManyCells;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\ViewErrorBag;
use Illuminate\Testing\TestResponse;
use Inertia\Testing\AssertableInertia;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\HttpFoundation\Response;
use Tally\Label\Finding;
use Tally\Label\Form;
use Tally\Verdict\VerdictKind;
use Tests\Support\TemporaryFolder;
use Tests\TestCase;
use ZipArchive;

final class ImportTest extends TestCase
{
    use TemporaryFolder;

    private const TABLE =
        "Tag;Name;Form;Size;Bus;Marks;Read;Serial;Paid;Lot\n".
        "A-1;Marrowick Tideline;SD;128 GB;UHS-II;U3 V60;250 MB/s;SN 1;105,00;L1\n".
        "A-2;Marrowick Tideline;SD;128 Gb;UHS-II;U3 V61;95mb/s;SN 2;105.00;L1\n".
        "\n".
        "A-3;'=Tindle;microSD;64;UHS-I;V30;760 Mb/s;SN 3;9.90 GBP;L1\n";

    /** @return TestResponse<Response> */
    private function send(string $bytes, string $name = 'cards.csv'): TestResponse
    {
        return $this->post('/import', ['table' => UploadedFile::fake()->createWithContent($name, $bytes)]);
    }

    /** Sends a table in and gives the address it waits at. */
    private function waiting(string $bytes, string $name = 'cards.csv'): string
    {
        $address = (string) $this->send($bytes, $name)->assertSessionHasNoErrors()->headers->get('Location');

        return (string) parse_url($address, PHP_URL_PATH);
    }

    public function test_columns_are_matched_and_bad_rows_named_by_row_and_column_before_anything_is_saved(): void
    {
        $address = $this->waiting(self::TABLE);
        $this->get($address)->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->component('Import', false)
                ->where('import.columns.1.field', 'name')
                ->where('import.columns.3.field', 'capacity')
                ->where('import.columns.8.field', 'price')
                ->where('import.good', 2)
                ->where('import.badRows', 1)
                ->has('import.bad', 3)
                ->where('import.bad.0.row', 3)
                ->where('import.bad.0.column', 'Size')
                ->where(
                    'import.bad.0.sentence',
                    '“128 Gb” is in bits. Sizes are in bytes: write GB for gigabytes, or divide gigabits by 8.',
                )
                ->where('import.bad.1.column', 'Marks')
                ->where('import.bad.2.column', 'Read')
                ->where('import.rows.1.row', 5)
                ->where('import.rows.1.name', '=Tindle')
                ->where('import.rows.1.line', '64 GB · microSD UHS-I · V30'),
        );
        $this->assertDatabaseCount('cards', 0);
    }

    public function test_confirmed_the_good_rows_are_entered_and_judged(): void
    {
        $this->post($this->waiting(self::TABLE))->assertRedirect('/intake/A-1');
        self::assertSame(['A-1', 'A-3'], Card::query()->orderBy('tag')->pluck('tag')->all());
        $card = Card::query()->where('tag', 'A-3')->firstOrFail();
        self::assertSame(
            [64_000_000_000, 95e6, 990, 'GBP', 'SN3', 'L1'],
            [$card->capacity->count, $card->read?->bytesPerSecond, $card->price, $card->currency, $card->serial_key, $card->lot_key],
        );
        self::assertSame(VerdictKind::Unproven, $card->verdict);
        $this->assertDatabaseEmpty('waiting_tables');
    }

    public function test_cancelled_nothing_is_saved_and_the_table_is_gone(): void
    {
        $address = $this->waiting(self::TABLE);
        $this->post("{$address}/cancel")->assertRedirect('/import');
        $this->assertDatabaseCount('cards', 0);
        $this->assertDatabaseEmpty('waiting_tables');
        $this->post($address)->assertRedirect('/import')->assertSessionHasErrors('table');
        $this->get($address)->assertRedirect('/import');
    }

    public function test_columns_can_be_matched_by_hand(): void
    {
        $address = $this->waiting("what,how big,shape\nMarrowick,64,SD\n");
        $this->get($address)->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('import.good', 0)
                ->where('import.bad.0.column', 'Maker and series'),
        );
        $this->post($address, ['map' => ['', '', '']])->assertSessionHasErrors('table');
        $this->assertDatabaseCount('cards', 0);
        $map = ['name', 'capacity', 'form'];
        $this->get("{$address}?".http_build_query(['map' => $map]))->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('import.good', 1)->where('import.rows.0.tag', 'QS-001'),
        );
        $this->post($address, ['map' => $map])->assertRedirect('/intake/QS-001');
    }

    public function test_a_column_may_hold_the_whole_line_of_a_label(): void
    {
        $address = $this->waiting(
            "code,label line,capacity\nA-1,Marrowick 128GB SDXC II U3 V60 250MB/s,\nA-2,Marrowick 128GB SDXC II V60,256 ".
            "GB\nA-3,Marrowick 64 Gb SDXC,\n",
        );
        $this->get($address)->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('import.rows.0.line', '128 GB · SDXC UHS-II · V60')
                ->where('import.rows.0.name', 'Marrowick')
                ->where('import.rows.1.line', '256 GB · SDXC UHS-II · V60')
                ->where('import.bad.0.row', 4)
                ->where('import.bad.0.column', 'capacity')
                ->where('import.bad.0.sentence', 'The capacity is empty. Write what is printed, such as 128 GB.'),
        );
        $this->get($this->waiting("code,label line\nA-9,Marrowick 64 Gb SDXC\n"))->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('import.bad.0.column', 'label line')
                ->where(
                    'import.bad.0.sentence',
                    'The capacity is empty. Write what is printed, such as 128 GB. Not understood in the line: “Marrowick 64 Gb”.',
                ),
        );
    }

    public function test_a_column_headed_label_fills_what_has_no_column_of_its_own(): void
    {
        $address = $this->waiting(
            "Tag;Label;Claims to write\nL-1;Osker CFexpress Typ B 512 GB Lesen 1.700 MB/s Schreiben 1.400 MB/s;1200 MB/s\nL-2;128GB ".
            "SDXC II U3 V60 250MB/s;\n",
        );
        $this->post($address)->assertSessionHasNoErrors();
        $card = Card::query()->where('tag', 'L-1')->firstOrFail();
        self::assertSame(
            ['Osker', Form::CFexpressB, 512_000_000_000, 1.7e9, 1.2e9],
            [$card->name, $card->form, $card->capacity->count, $card->read?->bytesPerSecond, $card->write?->bytesPerSecond],
        );
        // Without maker and series, the line itself names the card.
        self::assertSame('128GB SDXC II U3 V60 250MB/s', Card::query()->where('tag', 'L-2')->value('name'));
    }

    public function test_tags_that_are_taken_or_come_twice_are_bad(): void
    {
        $this->card(['tag' => 'A-1']);
        $address = $this->waiting("tag,line\na-1,Tindle 32GB SDHC\nB-1,Tindle 32GB SDHC\nb-1,Tindle 32GB SDHC\n");
        $this->get($address)->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page
                ->where('import.good', 1)
                ->where('import.bad.0.sentence', 'Another card is already tagged “A-1”. Choose another code.')
                ->where('import.bad.1.sentence', 'The tag “B-1” stands in row 3 already. Choose another code.'),
        );
    }

    public function test_a_serial_that_comes_twice_speaks_against_all_that_carry_it(): void
    {
        $this->card(['tag' => 'OLD-1', 'serial' => 'sn-1']);
        $this->post($this->waiting("tag,line,serial\nA-1,Tindle 32GB SDHC,SN1\nA-2,Tindle 32GB SDHC,SN2\n"));
        $met = fn (string $tag): array => array_map(
            fn (Finding $one): string => $one->reason,
            array_filter(
                (new HouseKnowledge())->findings(Card::query()->where('tag', $tag)->firstOrFail()),
                fn (Finding $one): bool => $one->id === 'serial-met-before',
            ),
        );
        self::assertStringContainsString('is on OLD-1 too', implode('', $met('A-1')));
        self::assertStringContainsString('is on A-1 too', implode('', $met('OLD-1')));
        self::assertSame([], $met('A-2'));
    }

    /** @return iterable<string, array{string}> */
    public static function formats(): iterable
    {
        foreach (TableWriter::cases() as $writer) {
            yield $writer->value => [$writer->value];
        }
    }

    #[DataProvider('formats')]
    public function test_what_goes_out_comes_in_again_the_same(string $format): void
    {
        $this->card([
            'tag' => 'A-1',
            'name' => '=cmd|x',
            'seller' => "'+49",
            'capacity' => 31_914_983_424,
            'times' => 633.5,
            'price' => 2490,
            'currency' => 'GBP',
            'bought_on' => '2026-10-14',
            'provenance' => 'sample',
            'serial' => '007',
            'contact_rows' => 2,
        ]);
        $this->card([
            'tag' => 'A-2',
            'form' => 'cfexpress-b',
            'bus' => 'cfexpress-2-b',
            'family' => null,
            'marks' => ['VPG400'],
            'sustained' => 1.4e9,
            'footage' => 7,
        ]);
        $columns = array_diff(
            array_map(fn (CardField $field): string => $field->value, CardField::cases()),
            ['marks', 'bought_on'], // read apart below
        );
        $before = Card::query()
            ->orderBy('tag')
            ->toBase()
            ->get([...$columns, 'marks', 'bought_on'])
            ->all();
        $response = $this->get("/export/cards.{$format}")->assertOk();
        $file = $response->baseResponse;
        self::assertInstanceOf(\Symfony\Component\HttpFoundation\BinaryFileResponse::class, $file);
        $bytes = (string) file_get_contents($file->getFile()->getPathname());
        if ($format === 'csv') {
            self::assertStringContainsString("'=cmd|x", $bytes);
            self::assertStringContainsString("''+49", $bytes);
        }
        Card::query()->delete();
        $this->post($this->waiting($bytes, "cards.{$format}"))->assertRedirect('/intake/A-1');
        self::assertEquals(
            $before,
            Card::query()
                ->orderBy('tag')
                ->toBase()
                ->get([...$columns, 'marks', 'bought_on'])
                ->all(),
        );
    }

    /** @param  array<string, string>  $entries */
    private function packed(array $entries): string
    {
        $path = $this->folder().'/packed';
        $zip = new ZipArchive();
        $zip->open($path, ZipArchive::CREATE);
        foreach ($entries as $name => $bytes) {
            $zip->addFromString($name, $bytes);
        }
        $zip->close();

        return (string) file_get_contents($path);
    }

    private function complaint(string $bytes, string $name): string
    {
        // The page that it leads to tells it.
        $this->get($this->waiting($bytes, $name))->assertRedirect('/import')->assertSessionHasErrors('table');
        $errors = session('errors');
        self::assertInstanceOf(ViewErrorBag::class, $errors);
        $this->assertDatabaseEmpty('waiting_tables');

        return $errors->first('table');
    }

    public function test_what_is_no_table_is_refused_with_a_sentence(): void
    {
        $this->send(str_repeat("A-1,Tindle\n", 4_545_455), 'large.csv')->assertSessionHasErrors([
            'table' => '“large.csv” is 50 MB; a table may be 10 MB at most. Send a part of it.',
        ]);
        self::assertStringContainsString(
            'neither text nor a spreadsheet',
            $this->complaint("\x89PNG\r\n\x1a\n\x00\x00\x00\rIHDR", 'picture.csv'),
        );
        self::assertStringContainsString(
            'neither text nor a spreadsheet',
            $this->complaint($this->packed(['letter.txt' => 'no table']), 'cards.xlsx'),
        );
        self::assertStringContainsString('cannot be read to its end', $this->complaint("PK\x03\x04 and nothing more", 'cards.xlsx'));
        self::assertStringContainsString(
            'cannot be read to its end',
            $this->complaint($this->packed(['xl/workbook.xml' => '<workbook><sheets>']), 'cards.xlsx'),
        );
        self::assertStringContainsString('no rows below its headings', $this->complaint("tag,name\n", 'cards.csv'));
        self::assertStringContainsString('no rows below its headings', $this->complaint('', 'cards.csv'));
        self::assertStringContainsString('more than 80 columns', $this->complaint(str_repeat('a,', 90)."\n1\n", 'cards.csv'));
        self::assertStringContainsString(
            'more than 20 000 rows',
            str_replace("\u{202F}", ' ', $this->complaint("tag\n".str_repeat("A\n", 20_001), 'cards.csv')),
        );
        $this->post('/import')->assertSessionHasErrors(['table' => 'No whole table arrived. Choose a CSV, XLSX or ODS of at most 10 MB.']);
    }

    public function test_a_spreadsheet_that_unpacks_huge_is_refused_before_it_fills_the_memory(): void
    {
        $bomb = $this->packed(['xl/workbook.xml' => '<workbook/>', 'xl/worksheets/sheet1.xml' => str_repeat(' ', 100_000_000)]);
        self::assertLessThan(1_000_000, strlen($bomb));
        self::assertStringContainsString('unpacks to more than 32 MB', $this->complaint($bomb, 'cards.xlsx'));
    }

    /** A workbook whose one sheet is called as a hostile one may be, with so much text that its cells share. */
    private function workbook(string $sheet, string $rows, string $shared = ''): string
    {
        $main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
        $types = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
        $package = 'http://schemas.openxmlformats.org/package/2006/relationships';

        return $this->packed([
            '_rels/.rels' => "<Relationships xmlns='{$package}'><Relationship Id='r1' Type='{$types}/officeDocument' ".
                "Target='xl/workbook.xml'/></Relationships>",
            'xl/_rels/workbook.xml.rels' => "<Relationships xmlns='{$package}'><Relationship Id='r1' Type='{$types}/worksheet' ".
                "Target='{$sheet}'/><Relationship Id='r2' Type='{$types}/sharedStrings' Target='texts.dat'/></Relationships>",
            'xl/workbook.xml' => "<workbook xmlns='{$main}' xmlns:r='{$types}'><sheets><sheet name='A' sheetId='1' r:id='r1'/></sheets>".
                '</workbook>',
            "xl/{$sheet}" => "<worksheet xmlns='{$main}'><sheetData>{$rows}</sheetData></worksheet>",
            'xl/texts.dat' => "<sst xmlns='{$main}'>{$shared}</sst>",
        ]);
    }

    public function test_every_part_of_a_package_counts_whatever_it_is_called(): void
    {
        $cells = str_repeat('<c><v>1</v></c>', 60);
        $bomb = $this->workbook('sheet.bin', str_repeat("<row>{$cells}</row>", 19_000));
        self::assertLessThan(60_000, strlen($bomb));
        self::assertStringContainsString('unpacks to more than 32 MB', $this->complaint($bomb, 'cards.xlsx'));
        $good = $this->workbook('sheet.bin', '<row><c t="s"><v>0</v></c></row><row><c t="s"><v>1</v></c></row>', '<si><t>tag</t></si>'.
            '<si><r><t>A</t></r><r><t>-1</t></r></si>');
        $this->get($this->waiting($good, 'cards.xlsx'))->assertOk();
    }

    public function test_a_text_that_many_cells_share_counts_as_often_as_it_is_used(): void
    {
        $bomb = $this->workbook(
            'sheet.xml',
            str_repeat('<row><c t="s"><v>0</v></c></row>', 20_000),
            '<si><t>'.str_repeat('gritty ', 1_000_000).'</t></si>',
        );
        self::assertLessThan(200_000, strlen($bomb));
        self::assertStringContainsString('characters in its cells', $this->complaint($bomb, 'cards.xlsx'));
    }

    public function test_what_takes_more_than_it_may_ends_with_a_sentence_and_harms_nobody_else(): void
    {
        foreach (['memory' => '$hold = str_repeat("x", 700 << 20);', 'crash' => 'posix_kill(getmypid(), SIGSEGV);'] as $why => $does) {
            $script = $this->folder().'/reads';
            file_put_contents($script, "<?php {$does}");
            $refused = null;
            try {
                iterator_to_array(TableProcess::rows($this->folder(), 'cards.xlsx', $script));
            } catch (NotATable $fault) {
                $refused = $fault->getMessage();
            }
            self::assertStringContainsString('takes more to read than a table of cards does, and was left', (string) $refused, $why);
        }
    }

    public function test_while_it_is_read_its_page_says_so_and_one_whose_reading_died_is_told(): void
    {
        $table = WaitingTable::sent('cards.csv');
        $this->get("/import/{$table->id}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('reading', 'cards.csv')->where('import', null),
        );
        $this->post("/import/{$table->id}")->assertSessionHasErrors('table');
        $this->travel(40)->seconds();
        $this->get("/import/{$table->id}")->assertRedirect('/import')->assertSessionHasErrors([
            'table' => '“cards.csv” did not arrive whole. Send it again.',
        ]);
    }

    public function test_of_two_who_confirm_at_once_one_enters_it(): void
    {
        $address = $this->waiting(self::TABLE);
        $other = $this->waiting(self::TABLE);
        $asked = false;
        DB::connection()->beforeExecuting(function (string $query) use (&$asked, $address): void {
            // Between the look at it and the entering, the other is faster.
            if (! $asked && str_starts_with($query, 'delete from `waiting_tables` where `id`')) {
                $asked = true;
                $this->post($address);
            }
        });
        $this->post($address)->assertRedirect('/import')->assertSessionHasErrors('table');
        self::assertSame(2, Card::query()->count());
        // The same rows of another table.
        $this->get($other)->assertInertia(fn (AssertableInertia $page): AssertableInertia => $page->where('import.good', 0));
    }

    public function test_entities_that_multiply_are_refused(): void
    {
        $laughs = '<!DOCTYPE w [<!ENTITY a "ha"><!ENTITY b "&a;&a;&a;&a;">]><workbook>&b;</workbook>';
        self::assertStringContainsString(
            'document type declarations',
            $this->complaint($this->packed(['xl/workbook.xml' => $laughs]), 'cards.xlsx'),
        );
    }

    public function test_five_thousand_rows_are_previewed_in_bounded_memory(): void
    {
        $table = "tag,line,serial\n";
        for ($i = 0; $i < 5000; $i++) {
            $table .= sprintf("B-%05d,%s 128GB SDXC II U3 V60 250MB/s,S%d\n", $i, $i % 10 === 0 ? '128 Gb' : 'Marrowick', $i);
        }
        $address = $this->waiting($table);
        $waiting = WaitingTable::find(basename($address));
        self::assertNotNull($waiting);
        $before = memory_get_usage();
        memory_reset_peak_usage();
        $page = ImportPage::of($waiting, null);
        self::assertLessThan(16_000_000, memory_get_peak_usage() - $before);
        self::assertSame(5000, $page['good'] + $page['badRows']);
        self::assertLessThanOrEqual(212, count($page['bad']) + count($page['rows']));
    }

    public function test_what_is_too_large_to_be_taken_at_all_gets_a_page_with_a_sentence(): void
    {
        $answer = $this->call('POST', '/import', server: ['CONTENT_LENGTH' => '200000000']);
        $answer->assertStatus(413);
        self::assertStringContainsString('Photos may be 12 MB, tables 10 MB', (string) $answer->getContent());
    }

    public function test_more_cells_than_a_spreadsheet_may_hold_are_said_before_it_fills_the_memory(): void
    {
        try {
            TableWriter::Ods->write($this->folder().'/much.ods', [array_fill(0, 120_001, 'a')]);
            self::fail('It was written.');
        } catch (TooManyCells $fault) {
            $page = ErrorPage::page($fault, request());
            self::assertSame(422, $page?->getStatusCode());
            self::assertStringContainsString('Take them as CSV', (string) $page->getContent());
        }
        self::assertFileDoesNotExist($this->folder().'/much.ods');
    }

    public function test_a_table_that_waited_a_day_is_thrown_away(): void
    {
        $old = basename($this->waiting("tag,line\nA-1,Tindle 32GB SDHC\n"));
        DB::table('waiting_tables')->update(['sent_at' => now()->subHours(25)]);
        $new = basename($this->waiting("tag,line\nA-1,Tindle 32GB SDHC\n"));
        self::assertNull(WaitingTable::find($old));
        self::assertNotNull(WaitingTable::find($new));
        self::assertNull(WaitingTable::find('../../.env'));
    }

    public function test_text_in_other_encodings_is_read(): void
    {
        $table = "tag,name,form,capacity\nA-1,Brøndby,SD,64\n";
        foreach (
            [
                "\xEF\xBB\xBF".$table,
                "\xFF\xFE".mb_convert_encoding($table, 'UTF-16LE'),
                mb_convert_encoding($table, 'Windows-1252'),
            ] as $bytes
        ) {
            $this->get($this->waiting($bytes))->assertInertia(
                fn (AssertableInertia $page): AssertableInertia => $page->where('import.rows.0.name', 'Brøndby'),
            );
        }
    }
}
