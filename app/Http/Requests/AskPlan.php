<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Models\Cards\Card;
use App\Offload\BooksQuestion;
use App\Offload\FoundPlan;
use App\Offload\PlanRules;
use App\Offload\ShownPlan;
use DateTimeImmutable;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\Date;
use Illuminate\Validation\Rule;
use Tally\Offload\Plan;
use Tally\Offload\Question\Goal;
use Tally\Offload\Question\Rules;
use Tally\Offload\Question\Scheme;
use Tally\Offload\Question\Verify;
use Tally\Offload\Search\Wanted;

/** Which cards come home, and by which rules. What is not said is as the house does it. */
class AskPlan extends FormRequest
{
    /** Cards of one plan at the most. */
    public const MOST = 60;

    /** Seconds of search: while somebody changes what is asked, and when more is asked for. */
    private const SOON = 0.15;

    private const LONGER = 2.0;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'cards' => ['nullable', 'array', 'max:'.self::MOST],
            'cards.*' => ['nullable', 'string', 'max:20'],
            'holds' => ['nullable', 'array', 'max:'.self::MOST],
            'holds.*' => ['bail', 'string', 'regex:/^[^:]{1,20}:\d{1,15}$/D'],
            'plan' => ['nullable', 'string', 'max:40'],
            'goal' => ['nullable', Rule::enum(Goal::class)],
            'copies' => ['nullable', 'integer', 'min:1', 'max:'.Rules::MOST_COPIES],
            'verify' => ['nullable', Rule::enum(Verify::class)],
            'scheme' => ['nullable', Rule::in(['any', ...array_column(Scheme::cases(), 'value')])],
            'hands' => ['nullable', 'integer', 'min:1', 'max:9'],
            'swap' => ['nullable', 'numeric', 'min:0', 'max:3600'],
            'previews' => ['nullable', 'boolean'],
            'begin' => ['nullable', 'date'],
            'longer' => ['nullable', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'cards.array' => 'The cards were not sent as a list of at most '.self::MOST.'. Tick those that come home.',
            'cards.max' => 'A plan takes '.self::MOST.' cards at most. Tick fewer.',
            'cards.*.string' => 'A card was not sent as a tag. Tick those that come home.',
            'cards.*.max' => 'A card was not sent as a tag. Tick those that come home.',
            'holds.array' => 'What cards will hold was not sent as a list of at most '.self::MOST.'.',
            'holds.max' => 'What cards will hold was not sent as a list of at most '.self::MOST.'.',
            'holds.*' => 'What a card will hold was “:input”: give tag and bytes, such as QS-014:64000000000.',
            'plan' => 'Which plan was shown was “:input”: load the page again.',
            'goal' => 'The goal “:input” is not one of the list. Choose one.',
            'copies' => 'The number of copies was “:input”: choose 1, 2 or 3.',
            'verify' => 'Whether to read back was “:input”. Choose one of the list.',
            'scheme' => 'The scheme “:input” is not one of the list. Choose one.',
            'hands' => 'The pairs of hands were “:input”: give a whole number from 1 to 9.',
            'swap' => 'The time of a swap was “:input”: give seconds, up to an hour.',
            'previews' => 'Whether the import builds previews was “:input”: say yes or no.',
            'begin' => 'The beginning was “:input”: give a day and a time, such as 2026-11-27 21:58.',
            'longer' => 'Whether to search longer was “:input”: say yes or no.',
        ];
    }

    /** @return list<string> `QS-014:64000000000`: what a card will hold, as a shoot that is planned has it */
    public function holds(): array
    {
        return array_values(array_filter((array) $this->input('holds', []), is_string(...)));
    }

    /** @return Collection<int, Card> those that were ticked, or all with footage where nothing was said; at most MOST */
    public function cards(): Collection
    {
        $tags = array_values(array_filter((array) $this->input('cards', []), is_string(...)));

        return ShownPlan::cards($this->has('cards') ? $tags : null, $this->holds(), self::MOST);
    }

    /** Whether imports build previews, where a host was timed doing so. */
    public function buildsPreviews(): bool
    {
        return $this->boolean('previews');
    }

    public function asked(): BooksQuestion
    {
        return BooksQuestion::of($this->cards(), $this->planRules(), $this->buildsPreviews());
    }

    public function begins(): DateTimeImmutable
    {
        return ($this->filled('begin') ? Date::parse($this->string('begin')->value()) : Date::now())->toDateTimeImmutable();
    }

    /** The one that a page showed, where it says which; else one that is searched for now: the same question gives the same one. */
    public function shownOrFound(): Plan
    {
        $key = $this->string('plan')->value();

        return $key === '' ? $this->plan($this->asked()) : ShownPlan::of($key)->plan();
    }

    /** The plan that is asked for: the same question gives the same one. */
    public function plan(BooksQuestion $asked, bool $isLong = false): Plan
    {
        $seconds = $isLong || $this->isLong() ? self::LONGER : self::SOON;

        return FoundPlan::of($asked->question, $this->goal(), $seconds, app(Wanted::class));
    }

    public function isLong(): bool
    {
        return $this->boolean('longer');
    }

    public function goal(): Goal
    {
        return Goal::tryFrom($this->string('goal')->value()) ?? Goal::Safe;
    }

    public function planRules(): Rules
    {
        $house = PlanRules::now();

        return new Rules(
            $this->integer('copies', $house->copies),
            Verify::tryFrom($this->string('verify')->value()) ?? $house->verify,
            Scheme::tryFrom($this->string('scheme')->value()),
            $this->filled('swap') ? $this->float('swap') : $house->swap,
            first: $house->first,
            overhead: $house->overhead,
            hands: $this->integer('hands', $house->hands),
        );
    }
}
