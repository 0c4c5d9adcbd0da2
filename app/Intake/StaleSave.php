<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\Cards\Card;
use App\Models\Cards\Correction;
use App\Models\When;
use Illuminate\Validation\ValidationException;

/**
 * A page that was loaded before somebody else saved must not undo what they changed: nothing of it is saved, and it is told
 * what the other did.
 */
final readonly class StaleSave
{
    /**
     * @param  Card  $card  as it stands in the books, locked
     * @param  int|null  $seen  the revision that the page was loaded with
     *
     * @throws ValidationException
     */
    public static function mustNotBe(Card $card, ?int $seen): void
    {
        if ($seen === null) {
            throw ValidationException::withMessages([
                'revision' => 'Which state of the card this corrects was not said, so that it might undo what somebody else saved. '.
                'Load the page again.',
            ]);
        }
        if ($seen !== $card->revision) {
            throw ValidationException::withMessages(['revision' => self::told($card, $seen)]);
        }
    }

    private static function told(Card $card, int $seen): string
    {
        $done = [];
        foreach (
            Correction::query()->where('card_id', $card->id)->where('revision', '>', $seen)->orderBy('revision')->get() as $correction
        ) {
            $who = $correction->recorded_by ?? 'Somebody';
            foreach ($correction->changes as $field => [$before, $after]) {
                $what = CardField::from($field)->heading();
                $done[] =
                    "{$who} changed {$what} from ".
                    ($before === '' ? 'nothing' : $before).
                    ' to '.
                    ($after === '' ? 'nothing' : $after).
                    " on {$correction->created_at->format(When::THESE_DAYS)} UTC";
            }
        }

        return 'Since this page was loaded, '.
            ($done === [] ? 'this card was saved' : implode('; ', $done)).
            '. Nothing of yours was saved yet.';
    }
}
