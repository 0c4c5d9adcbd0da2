<?php

declare(strict_types=1);

namespace App\Intake\Import;

use App\Intake\CardEntry;
use App\Intake\CardField;
use App\Intake\LineFields;
use App\Intake\NextTag;
use App\Models\Cards\Card;
use App\Tables\Neutral;
use Generator;
use Tally\Label\Line\LabelReader;
use Tally\Label\Line\LabelReading;
use Tally\Label\Mark;

/**
 * Reads the rows of a table as cards. It is done anew for each look and for the confirmation: nothing is kept between.
 */
final class ImportReading
{
    /** @var array<string, int> tags of the house and of this table → the row it stands in, 0 for the house */
    private array $taken;

    private NextTag $next;

    private readonly string $currency;

    /** @var array<string, LabelReading> the same lines come again and again */
    private array $lines = [];

    /** @param  list<string>  $headings */
    private function __construct(private readonly array $headings, private readonly ColumnMatch $match)
    {
        $tags = array_filter(Card::query()->toBase()->pluck('tag')->all(), is_string(...));
        $this->taken = array_fill_keys(array_map(strtoupper(...), $tags), 0);
        $this->next = NextTag::after(array_values($tags));
        $this->currency = config()->string('tally.currency');
    }

    /**
     * @param  list<string>  $headings
     * @param  iterable<int, list<string>>  $rows
     * @return Generator<int, CardEntry|list<BadCell>> row number → a card that can be entered, or why not
     */
    public static function of(array $headings, ColumnMatch $match, iterable $rows): Generator
    {
        $reading = new self($headings, $match);
        foreach ($rows as $number => $cells) {
            yield $number => $reading->row($number, $cells);
        }
    }

    /**
     * @param  list<string>  $cells
     * @return CardEntry|list<BadCell>
     */
    private function row(int $number, array $cells): CardEntry|array
    {
        $given = [];
        foreach ($this->match->fields as $column => $field) {
            $given[$field] = Neutral::in($cells[$column] ?? '');
        }
        $line = $given[ColumnMatch::LINE] ?? '';
        if ($line !== '') {
            $given = [...$this->fromLine($line), ...array_filter($given, fn (string $cell): bool => $cell !== '')];
        }
        if (! $this->match->has(CardField::Tag)) {
            $given[CardField::Tag->value] = $this->next->take();
        }
        $entry = CardEntry::read($given, $this->currency);
        $errors = $entry->errors;
        $tag = $entry->columns['tag'];
        if (is_string($tag) && ! isset($errors['tag'])) {
            $before = $this->taken[$tag] ?? null;
            if ($before !== null) {
                $errors['tag'] =
                    $before === 0
                        ? "Another card is already tagged “{$tag}”. Choose another code."
                        : "The tag “{$tag}” stands in row {$before} already. Choose another code.";
            } else {
                $this->taken[$tag] = $number;
            }
        }

        return $errors === [] ? $entry : $this->bad($number, $errors, $line === '' ? [] : $this->lines[$line]->unknown);
    }

    /** @return array<string, string> field → as it would be typed */
    private function fromLine(string $line): array
    {
        $reading = $this->lines[$line] ??= LabelReader::read($line);
        // Maker and series are what no standard knows; where nothing else is printed, the line itself names the card.
        $name = implode(' ', array_filter($reading->unknown, fn (string $part): bool => preg_match('/\p{L}/u', $part) === 1));
        $name = mb_substr($name === '' ? trim($line) : $name, 0, 80);

        $marks = implode(' ', array_map(fn (Mark $mark): string => $mark->value, $reading->marks));

        $fields = [...LineFields::of($reading), 'label_line' => mb_substr($line, 0, 300)];

        return [...$fields, 'name' => $name, ...$marks === '' ? [] : ['marks' => $marks]];
    }

    /**
     * @param  array<string, string>  $errors  field → sentence
     * @param  list<string>  $unknown  what was not understood of the label's line
     * @return list<BadCell>
     */
    private function bad(int $number, array $errors, array $unknown): array
    {
        $cells = [];
        foreach ($errors as $field => $sentence) {
            $field = explode('.', $field)[0];
            $column = array_search($field, $this->match->fields, true);
            // What has no column of its own was to be read from the label's line.
            if ($column === false) {
                $column = array_search(ColumnMatch::LINE, $this->match->fields, true);
                $sentence .=
                    $column === false || $unknown === [] ? '' : ' Not understood in the line: “'.implode('”, “', $unknown).'”.';
            }
            $cells[] = new BadCell(
                $number,
                $column === false ? CardField::from($field)->heading() : $this->headings[$column] ?? '',
                $sentence,
            );
        }

        return $cells;
    }
}
