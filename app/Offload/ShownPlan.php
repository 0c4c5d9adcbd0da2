<?php

declare(strict_types=1);

namespace App\Offload;

use App\Models\Cards\Card;
use App\Models\Offload\SavedPlan;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Tally\Offload\Basis\KnownRate;
use Tally\Offload\Decision;
use Tally\Offload\PlacedCard;
use Tally\Offload\Plan;
use Tally\Offload\PlanFile;
use Tally\Offload\Question\Drive;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\LadenCard;
use Tally\Offload\Question\Question;
use Tally\Offload\UnusableDecision;
use Tally\Quantity\Bytes;
use Tally\Value\Key;
use Tally\Value\Values;

/**
 * A plan as a page showed it, known by the sum of all that it says: what is begun, kept or printed is that one, and not what a new
 * search would find.
 */
final readonly class ShownPlan
{
    private const DAYS = 7;

    /**
     * @param  string  $question  a plan file: all that was asked for, and what was known of it
     * @param  list<KnownRate>  $rates  that it rests on
     * @param  list<string>  $tags  of the cards that were ticked
     * @param  list<string>  $holds  `QS-014:64000000000`: what a shoot will leave on them
     */
    private function __construct(
        private string $question,
        private Goal $goal,
        private Decision $decision,
        public array $rates,
        private array $tags,
        private array $holds,
        #[Key('withPreviews')]
        private bool $withPreviews = false,
    ) {}

    /**
     * @param  list<string>  $tags
     * @param  list<string>  $holds
     * @return string the key by which the page names it
     */
    public static function keep(Plan $plan, BooksQuestion $asked, array $tags, array $holds, bool $withPreviews): string
    {
        return (new self(
            PlanFile::write($asked->question, $plan->goal),
            $plan->goal,
            $plan->decision,
            $asked->rates,
            tags: $tags,
            holds: $holds,
            withPreviews: $withPreviews,
        ))->put();
    }

    /** @return string the key of one that was kept in the books, as it was made */
    public static function kept(SavedPlan $saved): string
    {
        $question = PlanFile::read($saved->question)->question;

        return (new self(
            PlanFile::write($question, $saved->goal),
            $saved->goal,
            $saved->decision,
            $saved->rates,
            tags: array_map(fn (LadenCard $card): string => $card->tag, $question->cards),
            holds: [],
            withPreviews: $question->buildsPreviews(),
        ))->put();
    }

    private function put(): string
    {
        $json = Values::json($this);
        $key = substr(hash('sha256', $json), 0, 24);
        DB::table('shown_plans')->upsert([['key' => $key, 'plan' => $json, 'shown_at' => now()]], ['key'], ['shown_at']);
        if (random_int(0, 199) === 0) {
            DB::table('shown_plans')->where('shown_at', '<', now()->subDays(self::DAYS))->delete();
        }

        return $key;
    }

    /** @throws ValidationException where no page showed such a one lately */
    public static function of(string $key): self
    {
        $json = preg_match('/^[0-9a-f]{24}$/D', $key) === 1 ? DB::table('shown_plans')->where('key', $key)->value('plan') : null;
        $said = is_string($json) ? json_decode($json, true) : null;
        if (! is_array($said)) {
            throw ValidationException::withMessages([
                'plan' => $key === ''
                    ? 'Which plan is meant was not said. Look at the plan, and begin the one that is shown.'
                    : 'The plan that was shown is not kept any more. Look at it again, and begin what is shown then.',
            ]);
        }

        return Values::read(self::class, $said, 'plan');
    }

    /** As it was shown. */
    public function plan(): Plan
    {
        return $this->decided(PlanFile::read($this->question)->question);
    }

    /** @throws UnusableDecision */
    private function decided(Question $question): Plan
    {
        $tags = array_flip(array_map(fn (PlacedCard $card): string => $card->tag, $this->decision->cards));
        $planned = $question->withCards(
            array_values(array_filter($question->cards, fn (LadenCard $card): bool => isset($tags[$card->tag]))),
        );

        return Plan::decided($planned, $this->goal, $this->decision);
    }

    /** The same question, asked of the books as they are now. */
    public function today(): BooksQuestion
    {
        return BooksQuestion::of(
            self::cards($this->tags, $this->holds),
            PlanFile::read($this->question)->question->rules,
            $this->withPreviews,
        );
    }

    /**
     * @param  list<string>|null  $tags  null for every card with footage
     * @param  list<string>  $holds
     * @return Collection<int, Card> with what a shoot will leave on them, which is planned and never saved
     */
    public static function cards(?array $tags, array $holds, int $most = 60): Collection
    {
        $cards = Card::query()
            ->when($tags === null, fn ($query) => $query->where('footage', '>', 0), fn ($query) => $query->whereIn('tag', $tags ?? []))
            ->orderBy('tag')
            ->limit($most)
            ->get()
            ->toBase();
        foreach ($holds as $held) {
            [$tag, $bytes] = explode(':', $held);
            $cards->firstWhere('tag', $tag)?->forceFill(['footage' => (int) $bytes, 'footage_files' => 0]);
        }

        return $cards;
    }

    /**
     * The plan that is to be carried out: the one that was shown, where all that it rests on still is so.
     *
     * @param  bool  $asShown  whether somebody who saw what has changed wants it all the same
     * @return Plan as it was shown, reckoned with what is known now
     *
     * @throws ValidationException with what has changed; or where it cannot be carried out any more
     */
    public function toCarryOut(bool $asShown): Plan
    {
        $now = $this->today()->question;
        if (PlanFile::write($now, $this->goal) === PlanFile::write(PlanFile::read($this->question)->question, $this->goal)) {
            return $this->plan();
        }
        $changed = implode(' ', $this->changes($now));
        try {
            $plan = $this->decided($now);
        } catch (UnusableDecision $fault) {
            throw ValidationException::withMessages([
                'plan' => "{$changed} It cannot be carried out as it was shown: {$fault->getMessage()} What is planned now stands on ".
                    'the page.',
            ]);
        }
        if (! $asShown) {
            session()->flash('shown', ['key' => $this->put(), 'done' => $plan->course->done, 'hands' => $plan->course->hands]);
            throw ValidationException::withMessages([
                'plan' => "Since this plan was shown something has changed. {$changed} Choose: the plan as it was shown, or the one that ".
                    'the page shows now.',
            ]);
        }

        return $plan;
    }

    /** @return non-empty-list<string> what is another than when it was shown, a sentence each */
    private function changes(Question $now): array
    {
        $then = PlanFile::read($this->question)->question;
        $size = fn (float $bytes): string => is_finite($bytes) ? Bytes::of((int) $bytes)->decimal() : 'no limit';
        $cards = array_column(array_map(fn (LadenCard $card): array => [$card->tag, $card->bytes], $now->cards), 1, 0);
        $free = array_column(array_map(fn (Drive $drive): array => [$drive->name, $drive->free], $now->drives), 1, 0);
        $changes = [];
        foreach ($then->cards as $card) {
            $is = $cards[$card->tag] ?? null;
            if ($is === null) {
                $changes[] = "{$card->tag} can be in no plan any more: it carries nothing, or is struck out.";
            } elseif ($is !== $card->bytes) {
                $changes[] = "{$card->tag} had {$size($card->bytes)}, and has {$size($is)} now.";
            }
        }
        foreach ($then->drives as $drive) {
            $is = $free[$drive->name] ?? null;
            if ($is === null) {
                $changes[] = "{$drive->name} is not in service any more.";
            } elseif ($is !== $drive->free) {
                $changes[] = "{$drive->name} had {$size($drive->free)} free, and has {$size($is)} now.";
            }
        }

        return $changes === [] ? ['Rates, readers, hosts or ports of the kit are others now.'] : $changes;
    }
}
