<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\SeenOnCard;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Kit\Reader;
use App\Models\When;
use App\Pages\Page;
use Tally\Inspection\Answer;
use Tally\Inspection\Question;

/**
 * The guided look at a card.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type MarginProps from Margin
 *
 * @phpstan-type AnswerProps array{ // One of the things that can be seen.
 *     key: string,
 *     words: string,
 *     asksCode: bool,
 * }
 * @phpstan-type QuestionProps array{ // One thing to look at, with the answer that stands.
 *     key: string,
 *     asks: string,
 *     how: string,
 *     source: string,
 *     inReader: bool,
 *     answers: list<AnswerProps>,
 *     given: string|null, // key of the answer that stands
 *     seen: string|null, // the same in words, by whom and when
 *     trouble: bool,
 *     code: string, // what is known of the code that it asks for
 * }
 * @phpstan-type SeenProps array{ // An answer as it is kept.
 *     id: int,
 *     card: string,
 *     question: string,
 *     answer: string,
 *     reader: string|null,
 *     by: string,
 *     on: string,
 *     trouble: bool,
 *     withdrawn: string|null, // why it counts no longer
 * }
 */
final readonly class InspectPage extends Page
{
    /**
     * @param  list<QuestionProps>  $questions
     * @param  list<SeenProps>  $history
     * @param  list<ChoiceProps>  $readers
     * @param  CardProps  $card
     * @param  MarginProps  $margin
     */
    public function __construct(
        public array $card,
        public array $questions,
        public array $history,
        public array $readers,
        public string $person,
        public array $margin,
    ) {}

    /** @return list<QuestionProps> */
    public static function questions(Card $card, SeenOnCard $seen): array
    {
        return array_map(
            fn (Question $question): array => self::question($card, $question, $seen->newestTo($question)),
            Question::for($card->label()),
        );
    }

    /** @return list<SeenProps> the newest first */
    public static function history(Card $card, SeenOnCard $seen): array
    {
        return array_values($seen->all->reverse()->map(fn (Inspection $one): array => self::seen($card->tag, $one))->all());
    }

    /** @return SeenProps */
    public static function seen(string $tag, Inspection $one): array
    {
        $said = $one->said();

        return [
            'id' => $one->id,
            'card' => $tag,
            'question' => $one->question->asks(),
            'answer' => $said->words,
            'reader' => $one->reader?->tag,
            'by' => $one->seen_by,
            'on' => $one->created_at->format(When::MOMENT),
            'trouble' => $said->isTrouble(),
            'withdrawn' => $one->withdrawn,
        ];
    }

    /** @return list<ChoiceProps> readers that take the card first; any other may still be tried with an adapter */
    public static function readers(Card $card): array
    {
        $label = $card->label();

        return array_values(
            Reader::query()
                ->with('slots')
                ->orderBy('tag')
                ->get()
                ->sortByDesc(fn (Reader $reader): bool => $label->settleIn($reader->buses()) !== null)
                ->map(fn (Reader $reader): ChoiceProps => new ChoiceProps($reader->tag, "{$reader->tag} {$reader->name}", []))
                ->all(),
        );
    }

    /** @return QuestionProps */
    private static function question(Card $card, Question $question, ?Inspection $newest): array
    {
        $said = $newest?->said();

        return [
            'key' => $question->value,
            'asks' => $question->asks(),
            'how' => $question->how(),
            'source' => $question->source(),
            'inReader' => $question->isInReader(),
            'answers' => array_map(
                fn (Answer $answer): array => ['key' => $answer->key, 'words' => $answer->words, 'asksCode' => $answer->asksCode],
                $question->answers(),
            ),
            'given' => $said?->key,
            'seen' => $newest === null || $said === null
                ? null
                : "{$said->words}, {$newest->seen_by}, {$newest->created_at->format(When::DAY)}".
                    ($newest->reader === null ? '' : " in {$newest->reader->tag}"),
            'trouble' => $said?->isTrouble() ?? false,
            'code' => match ($question) {
                Question::Serial => $card->serial ?? '',
                Question::BackCode => $card->back_code ?? '',
                default => '',
            },
        ];
    }
}
