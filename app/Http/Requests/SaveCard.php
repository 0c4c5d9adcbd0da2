<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Intake\CardEntry;
use App\Intake\TagSeries;
use App\Models\Cards\Card;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;
use InvalidArgumentException;

/** A card's label as typed, or several of one lot at once. */
final class SaveCard extends FormRequest
{
    private ?CardEntry $entry = null;

    /** @var list<string> */
    private array $tags = [];

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [];
    }

    /** @return list<callable(Validator): void> */
    public function after(): array
    {
        return [
            function (Validator $validator): void {
                foreach ($this->entry()->errors as $field => $sentence) {
                    $validator->errors()->add($field, $sentence);
                }
                if ($validator->errors()->isEmpty()) {
                    $this->checkTags($validator);
                }
            },
        ];
    }

    /** @return list<array<string, mixed>> columns of each card */
    public function cards(): array
    {
        $serials = $this->serials();

        return array_map(
            fn (string $tag, int $i): array => [
                ...$this->entry()->columns,
                'tag' => $tag,
                // A serial is printed once: of several cards each gets its own, or none.
                ...count($this->tags) > 1 ? ['serial' => $serials[$i] ?? null] : [],
            ],
            $this->tags,
            array_keys($this->tags),
        );
    }

    private function entry(): CardEntry
    {
        return $this->entry ??= CardEntry::read($this->all(), config()->string('tally.currency'));
    }

    private function checkTags(Validator $validator): void
    {
        $card = $this->route('card');
        $first = $this->entry()->columns['tag'];
        $tag = is_string($first) ? $first : '';
        $count = $this->input('count');
        try {
            $this->tags = $card instanceof Card ? [$tag] : TagSeries::of($tag, is_scalar($count) ? trim((string) $count) : '');
        } catch (InvalidArgumentException $fault) {
            $validator->errors()->add('count', $fault->getMessage());

            return;
        }
        $taken = Card::query()
            ->whereIn('tag', $this->tags)
            ->when($card instanceof Card, fn ($query) => $query->whereKeyNot($card instanceof Card ? $card->id : 0))
            ->orderBy('tag')
            ->toBase()
            ->pluck('tag')
            ->all();
        if ($taken !== []) {
            $shown = implode(', ', array_map(fn (mixed $one): string => is_string($one) ? $one : '', array_slice($taken, 0, 3)));
            $validator
                ->errors()
                ->add(
                    'tag',
                    count($this->tags) === 1
                        ? "Another card is already tagged “{$tag}”. Choose another code."
                        : "Of the series {$this->tags[0]} to {$this->tags[count($this->tags) - 1]}, {$shown} ".
                            (count($taken) === 1 ? 'is' : 'are').
                            ' taken already. Begin it elsewhere.',
                );
        }
        $serials = count($this->serials());
        if (count($this->tags) > 1 && $serials > count($this->tags)) {
            $validator
                ->errors()
                ->add(
                    'serials',
                    "{$serials} serials were given for ".count($this->tags).' cards. Give one to a line, at most one for each card.',
                );
        }
        foreach ($this->serials() as $serial) {
            if (mb_strlen($serial) > 60) {
                $validator
                    ->errors()
                    ->add('serials', 'The serial “'.mb_substr($serial, 0, 40).'…” is longer than 60 characters. Give one to a line.');
            }
        }
    }

    /** @return list<string> one to a line, in the order of the tags */
    private function serials(): array
    {
        $given = $this->input('serials');
        $lines = preg_split('/\R/u', is_string($given) ? $given : '');

        return array_values(array_filter(array_map(trim(...), $lines === false ? [] : $lines), fn (string $line): bool => $line !== ''));
    }
}
