<?php

declare(strict_types=1);

namespace App\Intake;

use Closure;
use DateTimeImmutable;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Origin\Provenance;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Rate;

/**
 * A card as somebody typed it, in a form or in a row of a table: the columns it gives, or a sentence for each field that
 * cannot be taken. Whether its tag is taken is the business of whoever saves it.
 */
final class CardEntry
{
    private const LONGEST = 40;

    /** @var array<string, mixed> columns of the card */
    public array $columns = [];

    /** @var array<string, string> field → what was given and what would do */
    public array $errors = [];

    /** @param  array<array-key, mixed>  $given  field → as typed */
    private function __construct(private readonly array $given, private readonly string $houseCurrency) {}

    /** @param  array<array-key, mixed>  $given  field → as typed; what is missing counts as empty */
    public static function read(array $given, string $houseCurrency): self
    {
        $entry = new self($given, $houseCurrency);
        $entry->names();
        $entry->label();
        $entry->speeds();
        $entry->origin();

        return $entry;
    }

    public function isGood(): bool
    {
        return $this->errors === [];
    }

    private function names(): void
    {
        $tag = $this->text('tag', 20, 'The tag is longer than 20 characters. Use a short code, such as QS-014.');
        if ($tag === '' && ! isset($this->errors['tag'])) {
            $this->errors['tag'] = 'The tag is empty. Give the card a short code, such as QS-014.';
        } elseif ($tag !== '' && preg_match('/^[A-Za-z0-9][A-Za-z0-9-]*$/D', $tag) !== 1) {
            $this->errors[
                'tag'
            ] = "The tag “{$tag}” has a character that labels and addresses cannot carry. Use letters, digits and hyphens.";
        }
        $name = $this->text('name', 80, 'The name is longer than 80 characters. Keep to maker and series.');
        if ($name === '' && ! isset($this->errors['name'])) {
            $this->errors['name'] = 'The name is empty. Write what is printed on the card, such as its maker and series.';
        }
        $this->columns['tag'] = strtoupper($tag);
        $this->columns['name'] = $name;
    }

    private function label(): void
    {
        $form = $this->choice(
            'form',
            array_map(fn (Form $form): array => [$form, [$form->value, $form->label()]], Form::cases()),
            'The form',
        );
        if ($form === null && ! isset($this->errors['form'])) {
            $this->errors['form'] = 'Choose the form of the card.';
        }
        $capacity = $this->quantity(
            'capacity',
            fn (string $text): Bytes => match (true) {
                ($bytes = Bytes::parse($text, 'GB'))->isZero() => throw NotAQuantity::notPositive($text),
                $bytes->count > Label::MOST => throw NotAQuantity::moreThan($text, Bytes::of(Label::MOST)->decimal()),
                default => $bytes,
            },
        );
        if ($capacity === null && ! isset($this->errors['capacity'])) {
            $this->errors['capacity'] = 'The capacity is empty. Write what is printed, such as 128 GB.';
        }
        $family = $this->choice(
            'family',
            array_map(fn (Family $family): array => [$family, [$family->value, "micro{$family->value}"]], Family::cases()),
            'The family',
        );
        $buses = array_values(array_filter(Bus::cases(), fn (Bus $bus): bool => $form === null || in_array($form, $bus->forms(), true)));
        $bus = $this->choice(
            'bus',
            array_map(fn (Bus $bus): array => [$bus, [$bus->value, $bus->label()]], [...$buses, ...Bus::cases()]),
            'The bus',
        );
        if ($form !== null && $bus !== null && ! in_array($form, $bus->forms(), true)) {
            $this->errors['bus'] = "{$bus->label()} does not exist on {$form->label()} cards. Choose another bus, or none.";
        }
        if ($form !== null && $family !== null && ! $form->isSecureDigital()) {
            $this->errors['family'] = "{$form->label()} cards have no family mark. Leave it empty.";
        }
        $footage = $this->quantity('footage', fn (string $text): Bytes => Bytes::parse($text, 'GB'));
        if ($capacity !== null && $footage !== null && $footage->count > $capacity->count) {
            $this->errors['footage'] = "{$footage->decimal()} of footage cannot be on a card of {$capacity->decimal()}.";
        }
        $rows = $this->text('contact_rows', self::LONGEST);
        if (! in_array($rows, ['', '1', '2'], true)) {
            $this->errors['contact_rows'] = "Rows of contacts are one or two; “{$rows}” was given.";
        }
        $this->columns = [
            ...$this->columns,
            'form' => $form,
            'capacity' => $capacity?->count,
            'family' => $family,
            'bus' => $bus,
            'marks' => $this->marks(),
            'footage' => $footage->count ?? 0,
            'contact_rows' => $rows === '' ? null : (int) $rows,
        ];
    }

    /** @return list<Mark> */
    private function marks(): array
    {
        $given = $this->given['marks'] ?? [];
        if (is_string($given)) {
            $given = preg_split('/[\s,;\/]+/', trim($given), -1, PREG_SPLIT_NO_EMPTY);
        }
        if (! is_array($given) || count($given) > 12) {
            $this->errors['marks'] = 'The marks were not sent as a list. Tick the ones that are printed.';

            return [];
        }
        $marks = [];
        foreach (array_values($given) as $i => $one) {
            $mark = is_string($one) ? Mark::tryFrom(strtoupper($one)) : null;
            $words = is_string($one) ? mb_substr($one, 0, self::LONGEST) : '';
            if ($mark === null) {
                $this->errors["marks.{$i}"] = "The mark “{$words}” is not one of the list. Tick the ones that are printed.";
            } elseif (in_array($mark, $marks, true)) {
                $this->errors["marks.{$i}"] = "The mark “{$words}” was given twice.";
            } else {
                $marks[] = $mark;
            }
        }

        return $marks;
    }

    private function speeds(): void
    {
        foreach (['read', 'write', 'sustained'] as $field) {
            $this->columns[$field] = $this->quantity($field, Rate::parse(...))?->bytesPerSecond;
        }
        $times = $this->text('times', 20);
        $isRating = preg_match('/^([0-9]{1,5}(?:[.,][0-9])?)\s*[x×]?$/u', $times, $m) === 1 && (float) str_replace(',', '.', $m[1]) > 0;
        if ($times !== '' && ! $isRating) {
            $this->errors['times'] = "The ×-rating “{$times}” is not a number with an x, such as 1066x.";
        }
        $this->columns['times'] = $isRating ? (float) str_replace(',', '.', $m[1]) : null;
    }

    private function origin(): void
    {
        foreach (['serial' => 60, 'back_code' => 60, 'lot' => 60, 'seller' => 80, 'order_no' => 60] as $field => $most) {
            $text = $this->text($field, $most);
            $this->columns[$field] = $text === '' ? null : $text;
        }
        $price = $this->price();
        $this->columns['price'] = $price?->minor;
        $this->columns['currency'] = $price?->currency;
        $day = $this->text('bought_on', self::LONGEST);
        $date = $day === '' ? null : Day::read($day);
        if ($day !== '' && $date === null) {
            $this->errors['bought_on'] = "“{$day}” is not a day. Write it as 2026-11-25 or 25 Nov 2026.";
        } elseif ($date !== null && $date > new DateTimeImmutable('tomorrow')) {
            $this->errors['bought_on'] = "{$date->format('j M Y')} is still to come. Write the day it was bought.";
        }
        $this->columns['bought_on'] = $date?->format('Y-m-d');
        $this->columns['provenance'] = $this->choice(
            'provenance',
            array_map(fn (Provenance $one): array => [$one, [$one->value]], Provenance::cases()),
            'The provenance',
        );
    }

    private function price(): ?Price
    {
        $text = $this->text('price', self::LONGEST);
        $currency = $this->text('currency', self::LONGEST);
        if ($currency !== '') {
            try {
                $currency = Price::currency($currency);
            } catch (NotAPrice $fault) {
                $this->errors['currency'] = $fault->getMessage();

                return null;
            }
        }
        try {
            $price = $text === '' ? null : Price::parse($text, $currency === '' ? $this->houseCurrency : $currency);
        } catch (NotAPrice $fault) {
            $this->errors['price'] = $fault->getMessage();

            return null;
        }
        if ($price !== null && $currency !== '' && $price->currency !== $currency) {
            $this->errors['price'] = "“{$text}” is in {$price->currency}, the currency beside it says {$currency}. Keep one of the two.";
        }

        return $price;
    }

    private function text(string $field, int $most, string $tooLong = ''): string
    {
        $value = $this->given[$field] ?? '';
        if (! is_scalar($value)) {
            $this->errors[$field] = 'Text was expected here.';

            return '';
        }
        $text = trim((string) $value);
        if (! mb_check_encoding($text, 'UTF-8')) {
            $this->errors[$field] = 'This is not readable text. Save the table as UTF-8, or type it anew.';

            return '';
        }
        if (mb_strlen($text) > $most) {
            $this->errors[$field] = $tooLong !== '' ? $tooLong : "This is longer than a label can be ({$most} characters). Shorten it.";

            return '';
        }

        return $text;
    }

    /**
     * @template T
     *
     * @param  list<array{T, list<string>}>  $choices  each with the words that mean it
     * @return T|null
     */
    private function choice(string $field, array $choices, string $what): mixed
    {
        $text = $this->text($field, self::LONGEST);
        $plain = fn (string $words): string => mb_strtolower((string) preg_replace('/[\s.-]+/u', '', $words));
        foreach ($text === '' ? [] : $choices as [$choice, $words]) {
            if (in_array($plain($text), array_map($plain, $words), true)) {
                return $choice;
            }
        }
        if ($text !== '') {
            $this->errors[$field] = "{$what} “{$text}” is not one of the list. Choose one, or none.";
        }

        return null;
    }

    /**
     * @template T
     *
     * @param  Closure(string): T  $parse
     * @return T|null
     */
    private function quantity(string $field, Closure $parse): mixed
    {
        $text = $this->text($field, self::LONGEST);
        try {
            return $text === '' ? null : $parse($text);
        } catch (NotAQuantity $fault) {
            $this->errors[$field] = $fault->getMessage();

            return null;
        }
    }
}
