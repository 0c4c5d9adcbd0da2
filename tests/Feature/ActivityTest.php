<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Evidence\LedgerRules;
use App\Intake\CardBook;
use App\Models\Ledger\BookLine;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;
use Inertia\Testing\AssertableInertia;
use LogicException;
use Tests\TestCase;

/** Every change of the books is a line that is only ever added. */
final class ActivityTest extends TestCase
{
    public function test_what_is_entered_changed_and_deleted_has_its_line_with_who_and_of_which_card(): void
    {
        $card = $this->card();
        $card->forceFill(['seller' => 'Fathom Goods'])->save();
        $this->post('/incidents', ['line' => 'T-1 stuck in R3', 'by' => 'Moss']);
        $lines = BookLine::query()->where('card_id', $card->id)->orderBy('id')->get();
        self::assertSame(
            [['created', 'card T-1'], ['updated', 'card T-1'], ['created', 'card incident']],
            $lines->map(fn (BookLine $line): array => [$line->event, $line->description])->all(),
        );
        self::assertSame(['seller' => 'Fathom Goods'], data_get($lines[1], 'properties.attributes'));
        // Who changed the seller nobody said; who logged the incident signed it.
        self::assertSame([null, 'Moss'], [$lines[1]?->who, $lines[2]?->who]);
        $this->post('/cards/T-1/retire', ['why' => 'worn', 'by' => 'Teal'])->assertSessionHasNoErrors();
        self::assertSame('Teal', BookLine::query()->where('card_id', $card->id)->latest('id')->firstOrFail()->who);
        LedgerRules::keep(['ledger.fills' => 9], 'Wren');
        $rule = BookLine::query()->latest('id')->firstOrFail();
        self::assertSame(['house rule ledger.fills', 'Wren'], [$rule->description, $rule->who]);
        $this->get('/activity/T-1')->assertInertia(
            fn (AssertableInertia $page) => $page
                ->component('Activity')
                ->where('count', 4)
                ->where('lines.2.did', 'changed')
                ->where('lines.2.changes.0.is', 'Fathom Goods')
                ->where('lines.2.changes.0.was', 'nothing')
                ->etc(),
        );
        $this->get('/activity?before=x')->assertOk();
    }

    public function test_what_is_derived_has_none(): void
    {
        $card = $this->card();
        $before = BookLine::query()->count();
        CardEvidence::refresh($card);
        self::assertSame($before, BookLine::query()->count());
    }

    public function test_many_lines_come_in_pages(): void
    {
        $card = $this->card();
        for ($i = 0; $i < 130; $i++) {
            $card->forceFill(['seller' => "seller {$i}"])->save();
        }
        DB::enableQueryLog();
        $page = $this->get('/activity/T-1')->viewData('page');
        self::assertLessThan(30, count(DB::getQueryLog()));
        self::assertCount(60, (array) data_get($page, 'props.lines'));
        $older = data_get($page, 'props.older');
        self::assertIsInt($older);
        self::assertCount(60, (array) data_get($this->get("/activity/T-1?before={$older}")->viewData('page'), 'props.lines'));
    }

    public function test_no_line_is_changed_or_deleted(): void
    {
        $this->card();
        $line = BookLine::query()->firstOrFail();
        try {
            $line->delete();
            self::fail('it was deleted');
        } catch (LogicException $refusal) {
            self::assertStringContainsString('only ever added', $refusal->getMessage());
        }
        $this->expectException(QueryException::class);
        DB::table('activity_log')->update(['who' => 'somebody else']);
    }

    public function test_cards_that_are_entered_many_at_once_have_their_lines_too(): void
    {
        $columns = fn (string $tag): array => [
            'tag' => $tag,
            'name' => 'Selkie Spate',
            'form' => 'sd',
            'capacity' => 64_000_000_000,
            'marks' => [],
            'footage' => 0,
            'seller' => 'Fathom Goods',
        ];
        CardBook::enter([$columns('B-1'), $columns('B-2')], 'Teal');
        $lines = BookLine::query()->whereNotNull('card_id')->orderBy('id')->get();
        self::assertSame(['card B-1', 'card B-2'], $lines->map(fn (BookLine $line): string => $line->description)->all());
        self::assertSame('Fathom Goods', data_get($lines[0], 'properties.attributes.seller'));
        self::assertNull(data_get($lines[0], 'properties.attributes.verdict'));
        self::assertSame('Teal', $lines[1]?->who);
        $this->get('/activity/B-2')->assertInertia(
            fn (AssertableInertia $page) => $page->where('count', 1)->where('lines.0.did', 'entered')->where('lines.0.who', 'Teal')->etc(),
        );
    }
}
