<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Evidence\CardEvidence;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Cards\PriceQuote;
use App\Models\Kit\Reader;
use Illuminate\Database\Seeder;
use Tally\Buying\Price;
use Tally\Inspection\Question;
use Tally\Label\Form;

/** What cards of a kind cost, what was seen on the survey's cards, and the verdicts that come of all of it. */
final class DemoInspections extends Seeder
{
    public function run(): void
    {
        $this->quotes();
        foreach (['QS-014', 'QS-015', 'QS-022', 'QS-024', 'QS-027', 'QS-028'] as $tag) {
            $this->look($tag, []);
        }
        $this->look('QS-026', [Question::Print->value => 'smudged']);
        $this->look('QS-041', [Question::Seating->value => 'pressed']);
        $this->answer(Card::query()->where('tag', 'QS-041')->firstOrFail(), Question::Seating, 'found', 'R6');
        $this->answer(Card::query()->where('tag', 'QS-023')->firstOrFail(), Question::Seating, 'not-found', 'R3');
        Card::query()->orderBy('id')->get()->each(CardEvidence::refresh(...));
        // Once more: a card is also judged by how its sisters were.
        Card::query()->orderBy('id')->get()->each(CardEvidence::refresh(...));
    }

    private function quotes(): void
    {
        $quotes = [
            [Form::Sd, 30, [[64, '22.90'], [128, '41.00'], [256, '79.00'], [64, '20.50']]],
            [Form::Sd, 60, [[128, '105.00'], [256, '199.00'], [128, '118.00']]],
            [Form::Sd, 90, [[128, '215.00'], [256, '399.00'], [128, '229.00']]],
            [Form::MicroSd, 10, [[32, '9.90'], [64, '16.00'], [32, '11.20']]],
            [Form::MicroSd, 30, [[64, '18.50'], [128, '33.00'], [256, '62.00']]],
            [Form::CFexpressA, 400, [[160, '400.00'], [80, '215.00']]],
            [Form::CFexpressB, 400, [[325, '640.00'], [512, '940.00'], [128, '260.00']]],
        ];
        foreach ($quotes as [$form, $tier, $prices]) {
            foreach ($prices as $i => [$gb, $price]) {
                PriceQuote::query()->create([
                    'form' => $form,
                    'tier' => $tier,
                    'capacity' => $gb * 1_000_000_000,
                    'price' => Price::parse($price, 'EUR')->minor,
                    'currency' => 'EUR',
                    'quoted_on' => '2026-'.(9 + ($i % 3)).'-0'.(3 + $i),
                    'source' => ['Quay Street Photo', 'Rigging & Lens', 'Pier Electrics', 'Fathom Goods'][$i % 4],
                    'recorded_by' => 'demo',
                ]);
            }
        }
    }

    /** @param  array<string, string>  $odd  question → answer, where it was not the usual one */
    private function look(string $tag, array $odd): void
    {
        $card = Card::query()->where('tag', $tag)->firstOrFail();
        foreach (Question::for($card->label()) as $question) {
            $usual = match ($question) {
                Question::ContactRows => $card->contact_rows === 2 ? 'two' : 'one',
                Question::Outline => match ($card->form) {
                    Form::CFexpressA => 'a',
                    Form::CFexpressC => 'c',
                    default => 'b',
                },
                Question::Serial => $card->serial === null ? 'none' : 'typed',
                Question::BackCode => $card->back_code === null ? 'none' : 'typed',
                default => $question->answers()[0]->key,
            };
            $this->answer($card, $question, $odd[$question->value] ?? $usual, $question->isInReader() ? 'R1' : null);
        }
    }

    private function answer(Card $card, Question $question, string $answer, ?string $reader): void
    {
        Inspection::query()->create([
            'card_id' => $card->id,
            'question' => $question,
            'answer' => $answer,
            'seen_by' => 'Wren, bench A',
            'reader_id' => $reader === null ? null : Reader::query()->where('tag', $reader)->value('id'),
        ]);
    }
}
