<?php

declare(strict_types=1);

namespace Tally\Offload;

use Tally\Offload\Question\Drive;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\Reckon\Network;
use Tally\Offload\Reckon\Placement;

/** What a plan decides, by name: from it and its question anybody can reckon all times again. */
final readonly class Decision
{
    /**
     * @param  array<string, string>  $links  reader or drive → “host port”
     * @param  list<PlacedCard>  $cards  in the order in which hands serve them
     */
    public function __construct(public array $links, public array $cards) {}

    /**
     * @param  array<string, string>  $links
     * @param  list<Placement>  $placements
     */
    public static function of(Network $network, array $links, array $placements): self
    {
        $question = $network->question;
        $orders = [];
        $cards = [];
        foreach ($placements as $placement) {
            $orders[$placement->slot] = ($orders[$placement->slot] ?? 0) + 1;
            $cards[] = new PlacedCard(
                $question->cards[$placement->card]->tag,
                $network->slotNames[$placement->slot],
                $orders[$placement->slot],
                array_map(fn (int $drive): string => $question->drives[$drive]->name, $placement->drives),
                scheme: $placement->scheme,
            );
        }

        return new self($links, $cards);
    }

    public function network(Question $question): Network
    {
        return new Network($question, $this->links);
    }

    /**
     * @return list<Placement>
     *
     * @throws UnusableDecision when it names what the question does not have, or what cannot be
     */
    public function placements(Network $network): array
    {
        $question = $network->question;
        $tags = array_flip(array_map(fn (LadenCard $card): string => $card->tag, $question->cards));
        $slots = array_flip($network->slotNames);
        $drives = array_flip(array_map(fn (Drive $drive): string => $drive->name, $question->drives));
        $placements = [];
        foreach ($this->cards as $card) {
            [$one, $slot] = [$tags[$card->tag] ?? null, $slots[$card->slot] ?? null];
            if ($one === null || $slot === null || ! $network->takes($one, $slot)) {
                throw new UnusableDecision("“{$card->tag}” cannot go into “{$card->slot}”.");
            }
            $onto = [];
            foreach ($card->drives as $name) {
                $drive = $drives[$name] ?? throw new UnusableDecision("“{$name}” is no drive here.");
                if ($network->driveHost[$drive] !== $network->hostOfSlot($slot)) {
                    throw new UnusableDecision("{$name} is not at the host that {$card->slot} hangs on.");
                }
                $onto[] = $drive;
            }
            if ($onto === [] || count(array_unique($onto)) !== count($onto)) {
                throw new UnusableDecision("The copies of {$card->tag} go onto different drives, at least one.");
            }
            $placements[] = new Placement($one, $slot, $onto, $card->scheme);
        }

        return $placements;
    }
}
