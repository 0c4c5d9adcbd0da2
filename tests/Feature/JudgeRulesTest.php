<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Evidence\CardEvidence;
use App\Evidence\JudgeRules;
use App\Evidence\RuleDrafts;
use App\Models\Cards\Card;
use App\Models\RuleDraft;
use App\Models\Runs\Run;
use Database\Seeders\DemoCards;
use Database\Seeders\DemoRuns;
use Illuminate\Support\Facades\Artisan;
use Inertia\Testing\AssertableInertia;
use LogicException;
use Tally\Reading\Standing;
use Tally\Reading\Thresholds;
use Tally\Verdict\Judge;
use Tally\Verdict\Step;
use Tally\Verdict\VerdictKind;
use Tests\TestCase;

/** The house’s own rules of judgement reach every place where something is judged, and leave what came in between alone. */
final class JudgeRulesTest extends TestCase
{
    private function judgedOf(RuleDraft $draft): RuleDraft
    {
        for ($slice = 0; ! $draft->isDone() && $slice < 100; $slice++) {
            $draft = RuleDrafts::goOn($draft);
        }
        self::assertTrue($draft->isDone());

        return $draft;
    }

    /** A card whose verdict turns where only half of a claim must be reached. */
    private function turning(): Card
    {
        $this->seed([DemoCards::class, DemoRuns::class]);
        $loose = new Thresholds(near: 0.8, short: 0.5);
        $would = fn (Card $card): VerdictKind => Judge::judge(CardEvidence::of($card, CardEvidence::runs($card), $loose))->kind;
        $card = Card::query()
            ->where('verdict', VerdictKind::Slow)
            ->get()
            ->first(fn (Card $card): bool => $would($card) !== VerdictKind::Slow);
        self::assertInstanceOf(Card::class, $card);

        return $card;
    }

    public function test_a_page_a_run_and_the_terminal_judge_by_the_rules_that_were_kept(): void
    {
        $card = $this->turning();
        $draft = $this->judgedOf(RuleDrafts::begin(new Thresholds(near: 0.8, short: 0.5), 'Wren', 'old stock'));
        RuleDrafts::keep($draft);
        $kind = $card->refresh()->verdict;
        self::assertNotSame(VerdictKind::Slow, $kind);
        $this->get("/measure/{$card->tag}")->assertInertia(
            fn (AssertableInertia $page): AssertableInertia => $page->where('margin.verdict', $kind->value),
        );
        Artisan::call('tally:judge', ['--all' => true]);
        self::assertSame($kind, $card->refresh()->verdict);
        $standings = [];
        foreach (Run::query()->with('card')->where('card_id', $card->id)->get() as $run) {
            foreach ($run->reading()?->ways() ?? [] as $way) {
                $standings[] = $way->standing;
            }
        }
        self::assertNotContains(Standing::WellShort, $standings);
    }

    public function test_what_happened_to_a_card_in_between_is_judged_by_the_new_rules_too(): void
    {
        $card = $this->turning();
        $draft = $this->judgedOf(RuleDrafts::begin(new Thresholds(near: 0.8, short: 0.5), 'Wren', 'old stock'));
        // Somebody enters a card while the list is looked at.
        $late = $this->card(['tag' => 'QS-900']);
        self::assertNotContains('QS-900', array_column($draft->changes, 'tag'));
        RuleDrafts::keep($draft);
        self::assertSame(VerdictKind::Unproven, $late->refresh()->verdict);
        self::assertNotSame(VerdictKind::Slow, $card->refresh()->verdict);
    }

    public function test_a_card_that_a_person_spoke_for_keeps_that_and_its_next_step(): void
    {
        $card = $this->turning();
        $card->forceFill(['overruled' => VerdictKind::Sham])->save();
        $draft = $this->judgedOf(RuleDrafts::begin(new Thresholds(near: 0.8, short: 0.5), 'Wren', 'old stock'));
        RuleDrafts::keep($draft);
        $card->refresh();
        self::assertSame([VerdictKind::Sham, Step::SetAside], [$card->overruled, $card->next_step]);
    }

    public function test_only_one_draft_is_tried_at_a_time_and_none_is_kept_before_it_is_done_or_twice(): void
    {
        $this->card();
        RuleDrafts::begin(new Thresholds(), 'Wren', 'first');
        $second = RuleDrafts::begin(new Thresholds(near: 0.85), 'Moss', 'second');
        self::assertSame(['second'], RuleDraft::query()->pluck('why')->all());
        try {
            RuleDrafts::keep($second);
            self::fail('it was kept before it was done');
        } catch (LogicException) {
            self::assertSame(0.9, JudgeRules::kept()->near);
        }
        RuleDrafts::keep($this->judgedOf($second));
        self::assertSame(0.85, JudgeRules::now()->near);
        $this->expectException(LogicException::class);
        RuleDrafts::keep($second);
    }

    public function test_cards_that_were_taken_out_in_between_are_not_waited_for(): void
    {
        $this->card();
        $this->card(['tag' => 'T-2']);
        $draft = RuleDrafts::begin(new Thresholds(), 'Wren', 'as it is');
        $there = $draft->cards;
        $draft->update(['cards' => $there + 7]);
        $draft = $this->judgedOf($draft);
        self::assertSame($there + 7, $draft->looked);
        self::assertSame($draft->last, Card::query()->max('id'));
    }
}
