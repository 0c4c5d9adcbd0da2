<?php

declare(strict_types=1);

namespace Tally\Offload\Search;

use Tally\Offload\LeftOut;
use Tally\Offload\Missing;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Quantity\Bytes;

/** Which cards of a question can be planned at all, and what is missing for the others. */
final readonly class Plannable
{
    /**
     * @param  Question  $question  with the cards that can be planned
     * @param  list<LeftOut>  $leftOut
     */
    private function __construct(public Question $question, public array $leftOut) {}

    public static function of(Question $question): self
    {
        $boards = array_map(fn (array $links): Board => new Board($question, $links), Cabling::beginnings($question));
        $kept = $leftOut = [];
        foreach ($question->cards as $i => $card) {
            $fits = array_filter($boards, fn (Board $board): bool => $board->slots[$i] !== []) !== [];
            if ($fits) {
                $kept[] = $card;
            } else {
                $leftOut[] = self::missing($question, $card);
            }
        }
        [$kept, $noRoom] = self::withRoom($question, $kept);

        return new self($question->withCards($kept), [...$leftOut, ...$noRoom]);
    }

    private static function missing(Question $question, LadenCard $card): LeftOut
    {
        $readers = [];
        foreach ($question->readers as $reader) {
            foreach ($reader->slots as $slot) {
                if (array_intersect($card->buses, array_keys($slot->buses)) !== []) {
                    $readers[] = $reader->name;
                }
            }
        }
        $copies = $question->rules->copies;
        $isPlugged = fn (string $name): bool => isset($question->links[$name]) || Cabling::freePorts($question) !== [];

        return match (true) {
            $readers === [] => new LeftOut(
                $card->tag,
                Missing::Slot,
                "{$card->tag} fits no slot here: it speaks ".implode(', ', $card->buses).', and no reader does. Bring one that takes it.',
            ),
            array_filter($readers, $isPlugged) === [] => new LeftOut(
                $card->tag,
                Missing::Port,
                "{$card->tag} fits ".implode(', ', array_unique($readers)).', but no port is left for it. Free one, or add a hub.',
            ),
            count($question->drives) < $copies => new LeftOut(
                $card->tag,
                Missing::Drives,
                "{$copies} copies of {$card->tag} need {$copies} drives, and there ".
                    (count($question->drives) === 1 ? 'is 1' : 'are '.count($question->drives)).
                    '. Add a drive, or order fewer copies.',
            ),
            default => new LeftOut(
                $card->tag,
                Missing::Drives,
                "{$card->tag} cannot be copied {$copies} times at one host: too few drives are plugged in where its reader is. Move ".
                    'one there, or order fewer copies.',
            ),
        };
    }

    /**
     * As many cards as the drives have room for, the smallest first.
     *
     * @param  list<LadenCard>  $cards
     * @return array{list<LadenCard>, list<LeftOut>}
     */
    private static function withRoom(Question $question, array $cards): array
    {
        if ($cards === [] || self::starts($question->withCards($cards))) {
            return [$cards, []];
        }
        $smallest = $cards;
        usort($smallest, fn (LadenCard $one, LadenCard $other): int => [$one->bytes, $one->tag] <=> [$other->bytes, $other->tag]);
        $kept = $leftOut = [];
        foreach ($smallest as $card) {
            if (self::starts($question->withCards([...$kept, $card]))) {
                $kept[] = $card;

                continue;
            }
            if (self::hasRoom($question->withCards([...$kept, $card]))) {
                $leftOut[] = new LeftOut(
                    $card->tag,
                    Missing::Port,
                    "{$card->tag} finds no place beside the others: the ports do not suffice for its reader and ".
                        "{$question->rules->copies} drives at one host. Free a port, add a hub, or bring it home by itself.",
                );

                continue;
            }
            $free = array_map(
                fn (Drive $drive): string => "{$drive->name} ".($drive->free < 9e18 ? Bytes::of((int) $drive->free)->decimal() : 'enough'),
                $question->drives,
            );
            $leftOut[] = new LeftOut(
                $card->tag,
                Missing::Room,
                "There is no room for {$question->rules->copies} copies of {$card->tag} (".
                    Bytes::of((int) $card->bytes)->decimal().
                    ') beside the others. Free now: '.
                    implode(', ', $free).
                    '. Make room, or add a drive.',
            );
        }
        $tags = array_map(fn (LadenCard $card): string => $card->tag, $kept);

        return [array_values(array_filter($cards, fn (LadenCard $card): bool => in_array($card->tag, $tags, true))), $leftOut];
    }

    /** Whether the drives could hold all copies, wherever they are. */
    private static function hasRoom(Question $question): bool
    {
        $bytes = array_sum(array_map(fn (LadenCard $card): float => $card->bytes, $question->cards));
        $room = 0.0;
        foreach ($question->drives as $drive) {
            // A drive holds one copy of a card at the most.
            $room += min($bytes, $drive->free);
        }
        $largest = $question->cards === [] ? 0.0 : max(array_map(fn (LadenCard $card): float => $card->bytes, $question->cards));
        $holders = array_filter($question->drives, fn (Drive $drive): bool => $drive->free >= $largest);

        return $room >= $question->rules->copies * $bytes && count($holders) >= $question->rules->copies;
    }

    private static function starts(Question $question): bool
    {
        foreach (Cabling::beginnings($question) as $links) {
            if (Start::canBe(new Board($question, $links))) {
                return true;
            }
        }

        return false;
    }
}
