<?php

declare(strict_types=1);

namespace Tally\Offload\Question;

use Tally\Value\Alterable;

/** What a plan is asked for: the gear at hand, the cards that come home, and the rules they do it by. */
final readonly class Question
{
    use Alterable;

    /**
     * @param  list<Host>  $hosts
     * @param  list<Reader>  $readers
     * @param  list<Drive>  $drives
     * @param  list<LadenCard>  $cards
     * @param  array<string, string>  $links  reader or drive → “host port” that it stays in; the others the planner places
     *
     * @throws UnusableQuestion when it contradicts itself
     */
    public function __construct(
        public array $hosts,
        public array $readers,
        public array $drives,
        public array $cards,
        public array $links = [],
        public Rules $rules = new Rules(),
    ) {
        QuestionCheck::of($this);
    }

    /** @return list<string> “host port” of every port */
    public function ports(): array
    {
        $names = [];
        foreach ($this->hosts as $host) {
            foreach ($host->ports as $port) {
                $names[] = "{$host->name} {$port->name}";
            }
        }

        return $names;
    }

    /** @return list<string> readers, and drives that are not built into a host */
    public function plugged(): array
    {
        return [
            ...array_map(fn (Reader $reader): string => $reader->name, $this->readers),
            ...array_map(
                fn (Drive $drive): string => $drive->name,
                array_values(array_filter($this->drives, fn (Drive $drive): bool => $drive->inside === null)),
            ),
        ];
    }

    /** Whether some import would have to build previews of something. */
    public function buildsPreviews(): bool
    {
        $hosts = array_filter($this->hosts, fn (Host $host): bool => $host->previews < INF);
        $cards = array_filter($this->cards, fn (LadenCard $card): bool => $card->files > 0);

        return $hosts !== [] && $cards !== [];
    }

    /** @param  list<LadenCard>  $cards */
    public function withCards(array $cards): self
    {
        return $this->with(cards: $cards);
    }

    public function withRules(Rules $rules): self
    {
        return $this->with(rules: $rules);
    }

    /** @param  array<string, string>  $links */
    public function withLinks(array $links): self
    {
        return $this->with(links: $links);
    }
}
