<?php

declare(strict_types=1);

namespace App\Evidence;

use App\Models\Cards\Card;
use App\Models\Cards\Inspection;
use Illuminate\Support\Collection;
use Tally\Inspection\Question;
use Tally\Inspection\Seen;
use Tally\Label\Label;

/** All that was ever seen on a card, the oldest first, and what of it counts. */
final readonly class SeenOnCard
{
    /** @param  Collection<int, Inspection>  $all */
    private function __construct(public Collection $all) {}

    public static function of(Card $card): self
    {
        return new self($card->inspections()->with('reader')->get()->toBase());
    }

    /**
     * Of a question that was answered again the newest answer counts. Trouble in a reader is not undone by a later try
     * that went well; a mistaken answer is withdrawn.
     *
     * @return list<Seen>
     */
    public function counted(): array
    {
        $newest = $this->newest();

        return array_values(
            $this->standing()
                ->filter(fn (Inspection $one): bool => $one->question->isInReader() || ($newest[$one->question->value] ?? null) === $one)
                ->map(fn (Inspection $one): Seen => $one->seen())
                ->all(),
        );
    }

    /** The newest answer to a question that still stands. */
    public function newestTo(Question $question): ?Inspection
    {
        return $this->newest()[$question->value] ?? null;
    }

    public function isComplete(Label $label): bool
    {
        $newest = $this->newest();

        return array_filter(Question::for($label), fn (Question $question): bool => ! isset($newest[$question->value])) === [];
    }

    /** @return array<string, Inspection> by question */
    private function newest(): array
    {
        $newest = [];
        foreach ($this->standing() as $one) {
            $newest[$one->question->value] = $one;
        }

        return $newest;
    }

    /** @return Collection<int, Inspection> */
    private function standing(): Collection
    {
        return $this->all->filter(fn (Inspection $one): bool => $one->withdrawn === null);
    }
}
