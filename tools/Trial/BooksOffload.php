<?php

declare(strict_types=1);

namespace Tools\Trial;

use App\Models\Cards\Card;
use App\Offload\BooksQuestion;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Question\Rules;

/** An offload of any size from the books: their kit and their rates, and their cards with footage, as often over as it takes. */
final readonly class BooksOffload
{
    /** @return Question|null null where no card of the books carries footage that can be planned */
    public static function of(int $cards): ?Question
    {
        $laden = Card::query()->where('footage', '>', 0)->orderBy('tag')->get()->toBase();
        $books = BooksQuestion::of($laden, new Rules())->question;
        if ($books->cards === []) {
            return null;
        }
        $more = [];
        for ($i = 0; $i < $cards; $i++) {
            $card = $books->cards[$i % count($books->cards)];
            $round = intdiv($i, count($books->cards)) + 1;
            $more[] = new LadenCard(
                "{$card->tag} {$round}",
                $card->bytes,
                $card->files,
                $card->read,
                buses: $card->buses,
                readIn: $card->readIn,
            );
        }

        return new Question($books->hosts, $books->readers, $books->drives, $more, links: $books->links, rules: $books->rules);
    }
}
