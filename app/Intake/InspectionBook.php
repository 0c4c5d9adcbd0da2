<?php

declare(strict_types=1);

namespace App\Intake;

use App\Evidence\CardEvidence;
use App\Evidence\SeenOnCard;
use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use App\Models\Kit\Reader;
use Tally\Inspection\Answer;
use Tally\Inspection\Question;

/** Keeps what was seen on cards, and has the verdicts that it touches derived anew. */
final readonly class InspectionBook
{
    /** @param  string|null  $code  typed with the answer, where it asks for one */
    public static function enter(Card $card, Question $question, Answer $answer, string $by, ?string $code, ?Reader $reader): void
    {
        Inspection::query()->create([
            'card_id' => $card->id,
            'question' => $question,
            'answer' => $answer->key,
            'seen_by' => $by,
            'reader_id' => $reader?->id,
        ]);
        $columns = match (true) {
            $question === Question::ContactRows => ['contact_rows' => self::rows($answer->key)],
            $question === Question::Serial && $code !== null => ['serial' => $code],
            $question === Question::BackCode && $code !== null => ['back_code' => $code],
            default => [],
        };
        CardBook::change($card, $columns, $by);
    }

    /** The answer stays in the books; what was said before it counts again. */
    public static function withdraw(Inspection $inspection, string $reason): void
    {
        $inspection->forceFill(['withdrawn' => $reason])->save();
        $card = Card::query()->findOrFail($inspection->card_id);
        if ($inspection->question === Question::ContactRows) {
            $before = SeenOnCard::of($card)->newestTo(Question::ContactRows);
            CardBook::change($card, ['contact_rows' => $before === null ? null : self::rows($before->answer)], null);
        }
        CardEvidence::refresh($card);
    }

    private static function rows(string $answer): ?int
    {
        return match ($answer) {
            'one' => 1,
            'two' => 2,
            default => null,
        };
    }
}
