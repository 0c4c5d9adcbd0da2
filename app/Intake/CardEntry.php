<?php

declare(strict_types=1);

namespace App\Intake;

use App\Models\When;
use App\Rules\Day;
use App\Rules\MarkList;
use Illuminate\Support\Facades\Validator;
use Tally\Buying\Price;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Line\LabelReader;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;

/**
 * A card as somebody typed it, in a form or in a row of a table: the columns it gives, or a sentence for each field that
 * cannot be taken. Whether its tag is taken is the business of whoever saves it.
 */
final readonly class CardEntry
{
    /**
     * @param  array<string, mixed>  $columns  of the card; null where a field is empty or cannot be taken
     * @param  array<string, string>  $errors  field → what was given and what would do
     */
    private function __construct(public array $columns, public array $errors) {}

    /** @param  array<array-key, mixed>  $given  field → as typed; what is missing counts as empty */
    public static function read(array $given, string $houseCurrency): self
    {
        $typed = self::trimmed($given);
        $rules = CardRules::of($typed, $houseCurrency);
        // A row of a table fills a few fields of many, and there are thousands of rows.
        $isAsked = fn (array $rule, string $field): bool => isset($typed[$field]) || in_array('required', $rule, true);
        $validator = Validator::make($typed, array_filter($rules->rules, $isAsked, ARRAY_FILTER_USE_BOTH), CardRules::messages());
        $errors = [];
        foreach ($validator->errors()->keys() as $field) {
            $errors[$field] = $validator->errors()->first($field);
        }
        $columns = self::columns($validator->valid(), $typed['marks'] ?? null, $rules);

        return new self($columns, $errors + self::contradictions($columns, $typed));
    }

    public function isGood(): bool
    {
        return $this->errors === [];
    }

    /**
     * @param  array<array-key, mixed>  $given
     * @return array<string, mixed> field → text without spaces around it, or what is no text as it came
     */
    private static function trimmed(array $given): array
    {
        $typed = [];
        foreach ([...array_column(CardField::cases(), 'value'), 'label_line'] as $field) {
            $value = $given[$field] ?? '';
            $value = is_scalar($value) && $field !== CardField::Marks->value ? trim((string) $value) : $value;
            if ($value !== '') {
                $typed[$field] = $value;
            }
        }

        return $typed;
    }

    /**
     * @param  array<array-key, mixed>  $valid  field → as typed, each of which can be taken
     * @return array<string, mixed>
     */
    private static function columns(array $valid, mixed $marks, CardRules $rules): array
    {
        $text = fn (string $field): ?string => is_string($valid[$field] ?? null) ? $valid[$field] : null;
        $bytes = fn (string $field): ?int => ($typed = $text($field)) === null ? null : Bytes::parse($typed, 'GB')->count;
        $rate = fn (string $field): ?float => ($typed = $text($field)) === null ? null : Rate::parse($typed)->bytesPerSecond;
        $price = $text('price') === null
            ? null
            : Price::parse($text('price'), $rules->currency);

        return [
            'tag' => strtoupper($text('tag') ?? ''),
            'name' => $text('name') ?? '',
            'label_line' => $text('label_line'),
            ...self::printed($text('label_line'), $text('capacity')),
            'form' => $rules->forms->meant($text('form')),
            'capacity' => $bytes('capacity'),
            'family' => $rules->families->meant($text('family')),
            'bus' => $rules->buses->meant($text('bus')),
            'marks' => MarkList::good($marks),
            'footage' => $bytes('footage') ?? 0,
            'contact_rows' => $text('contact_rows') === null ? null : (int) $text('contact_rows'),
            'read' => $rate('read'),
            'write' => $rate('write'),
            'sustained' => $rate('sustained'),
            'times' => $text('times') === null ? null : (float) str_replace(',', '.', $text('times')),
            'serial' => $text('serial'),
            'back_code' => $text('back_code'),
            'lot' => $text('lot'),
            'seller' => $text('seller'),
            'order_no' => $text('order_no'),
            'price' => $price?->minor,
            'currency' => $price?->currency,
            'bought_on' => $text('bought_on') === null ? null : Day::read($text('bought_on'))?->format(When::ISO_DAY),
            'provenance' => $rules->provenances->meant($text('provenance')),
        ];
    }

    /**
     * What the print leaves open: a capacity in binary units, and a figure that may be a speed.
     *
     * @param  string|null  $capacity  that can be read
     * @return array{in_decimal: int|null, has_unread: bool}
     */
    private static function printed(?string $line, ?string $capacity): array
    {
        $reading = $line === null ? null : LabelReader::read($line);
        $typed = preg_match('/^([\d.,\s]+)([KMGTP])i(B)$/i', $capacity ?? '', $units) === 1 ? "{$units[1]} {$units[2]}{$units[3]}" : null;

        return [
            'in_decimal' => ($typed === null ? $reading?->inDecimal : Bytes::parse($typed))?->count,
            'has_unread' => $reading?->speedUnread === true,
        ];
    }

    /**
     * @param  array<string, mixed>  $columns
     * @param  array<string, mixed>  $typed
     * @return array<string, string> field → what of it cannot be beside another
     */
    private static function contradictions(array $columns, array $typed): array
    {
        ['form' => $form, 'bus' => $bus, 'family' => $family, 'capacity' => $capacity, 'footage' => $footage] = $columns;
        $currency = CardRules::currency($typed['currency'] ?? null);
        $found = [];
        if ($form instanceof Form && $bus instanceof Bus && ! in_array($form, $bus->forms(), true)) {
            $found['bus'] = "{$bus->label()} does not exist on {$form->label()} cards. Choose another bus, or none.";
        }
        if ($form instanceof Form && $family instanceof Family && ! $form->isSecureDigital()) {
            $found['family'] = "{$form->label()} cards have no family mark. Leave it empty.";
        }
        if (is_int($capacity) && is_int($footage) && $footage > $capacity) {
            $of = [Bytes::of($footage)->decimal(), Bytes::of($capacity)->decimal()];
            $found['footage'] = "{$of[0]} of footage cannot be on a card of {$of[1]}.";
        }
        if (is_string($columns['currency']) && $currency !== null && $columns['currency'] !== $currency) {
            $price = is_string($typed['price'] ?? null) ? $typed['price'] : '';
            $found['price'] = "“{$price}” is in {$columns['currency']}, the currency beside it says {$currency}. Keep one of the two.";
        }

        return $found;
    }
}
