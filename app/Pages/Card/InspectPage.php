<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Evidence\SeenOnCard;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Kit\Reader;
use App\Pages\House\SeenProps;
use App\Pages\Page;
use Tally\Inspection\Answer;
use Tally\Inspection\Question;

/** The guided look at a card. */
final readonly class InspectPage extends Page
{
    /**
     * @param  list<QuestionProps>  $questions
     * @param  list<SeenProps>  $history
     * @param  list<ChoiceProps>  $readers
     */
    public function __construct(
        public CardProps $card,
        public array $questions,
        public array $history,
        public array $readers,
        public string $person,
        public MarginProps $margin,
    ) {}

    /** @return list<QuestionProps> */
    public static function questions(Card $card, SeenOnCard $seen): array
    {
        return array_map(
            fn (Question $question): QuestionProps => self::question($card, $question, $seen->newestTo($question)),
            Question::for($card->label()),
        );
    }

    /** @return list<SeenProps> the newest first */
    public static function history(Card $card, SeenOnCard $seen): array
    {
        return array_values($seen->all->reverse()->map(fn (Inspection $one): SeenProps => self::seen($card->tag, $one))->all());
    }

    public static function seen(string $tag, Inspection $one): SeenProps
    {
        $said = $one->said();

        return new SeenProps(
            $one->id,
            $tag,
            $one->question->asks(),
            $said->words,
            $one->reader?->tag,
            $one->seen_by,
            $one->created_at->format('j M Y, H:i'),
            $said->isTrouble(),
            $one->withdrawn,
        );
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

    private static function question(Card $card, Question $question, ?Inspection $newest): QuestionProps
    {
        $said = $newest?->said();

        return new QuestionProps(
            $question->value,
            $question->asks(),
            $question->how(),
            $question->source(),
            $question->isInReader(),
            array_map(
                fn (Answer $answer): AnswerProps => new AnswerProps($answer->key, $answer->words, $answer->asksCode),
                $question->answers(),
            ),
            $said?->key,
            $newest === null || $said === null
                ? null
                : "{$said->words}, {$newest->seen_by}, {$newest->created_at->format('j M Y')}".
                    ($newest->reader === null ? '' : " in {$newest->reader->tag}"),
            $said?->isTrouble() ?? false,
            match ($question) {
                Question::Serial => $card->serial ?? '',
                Question::BackCode => $card->back_code ?? '',
                default => '',
            },
        );
    }
}
