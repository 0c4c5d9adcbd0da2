<?php

declare(strict_types=1);

namespace App\Intake;

use App\Rules\Choice;
use App\Rules\CurrencyCode;
use App\Rules\DayUpToToday;
use App\Rules\MarkList;
use App\Rules\PriceText;
use App\Rules\Quantity;
use App\Rules\Text;
use Tally\Buying\NotAPrice;
use Tally\Buying\Price;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Origin\Provenance;

/** What may be typed into each field of a card, in a form or in a row of a table. The same rules serve thousands of rows. */
final class CardRules
{
    /** @var array<string, self> */
    private static array $known = [];

    /** @var Choice<Form> */
    public readonly Choice $forms;

    /** @var Choice<Family> */
    public readonly Choice $families;

    /** @var Choice<Bus> */
    public readonly Choice $buses;

    /** @var Choice<Provenance> */
    public readonly Choice $provenances;

    /** @var array<string, list<mixed>> as Laravel's validator has them */
    public readonly array $rules;

    /** @param  string  $currency  ISO 4217, of prices that name none */
    private function __construct(?Form $form, public readonly string $currency)
    {
        $this->forms = self::forms();
        $this->families = self::families();
        $this->buses = self::buses($form);
        $this->provenances = self::provenances();
        $this->rules = $this->rules();
    }

    /**
     * @param  array<string, mixed>  $typed  field → as typed; what may stand in one can hang on another
     * @param  string  $houseCurrency  ISO 4217
     */
    public static function of(array $typed, string $houseCurrency): self
    {
        $form = (self::$known[''] ??= new self(null, $houseCurrency))->forms->meant($typed['form'] ?? null);
        $currency = self::currency($typed['currency'] ?? null) ?? $houseCurrency;

        return self::$known["{$form?->value} {$currency}"] ??= new self($form, $currency);
    }

    /** @return array<string, list<mixed>> */
    private function rules(): array
    {
        $printed = fn (int $most): array => [Text::upTo($most, self::tooLong($most))];

        return [
            'tag' => [
                'bail',
                'required',
                Text::upTo(20, 'The tag is longer than 20 characters. Use a short code, such as QS-014.'),
                'regex:/^[A-Za-z0-9][A-Za-z0-9-]*$/D',
            ],
            'name' => ['bail', 'required', Text::upTo(80, 'The name is longer than 80 characters. Keep to maker and series.')],
            'label_line' => $printed(300),
            'form' => ['bail', 'required', $this->forms],
            'capacity' => ['bail', 'required', Quantity::capacity()],
            'family' => [$this->families],
            'bus' => [$this->buses],
            'footage' => [Quantity::amount()],
            'contact_rows' => ['in:1,2'],
            'marks' => [new MarkList()],
            'read' => [Quantity::rate()],
            'write' => [Quantity::rate()],
            'sustained' => [Quantity::rate()],
            'times' => ['bail', Text::upTo(20, self::tooLong(20)), 'regex:/^(?=.*[1-9])[0-9]{1,5}(?:[.,][0-9])?\s*[x×]?$/u'],
            'serial' => $printed(60),
            'back_code' => $printed(60),
            'lot' => $printed(60),
            'seller' => $printed(80),
            'order_no' => $printed(60),
            'currency' => [new CurrencyCode()],
            'price' => [new PriceText($this->currency)],
            'bought_on' => [new DayUpToToday()],
            'provenance' => [$this->provenances],
        ];
    }

    /** @return array<string, string> */
    public static function messages(): array
    {
        return [
            'tag.required' => 'The tag is empty. Give the card a short code, such as QS-014.',
            'tag.regex' => 'The tag “:input” has a character that labels and addresses cannot carry. Use letters, digits and hyphens.',
            'name.required' => 'The name is empty. Write what is printed on the card, such as its maker and series.',
            'form.required' => 'Choose the form of the card.',
            'capacity.required' => 'The capacity is empty. Write what is printed, such as 128 GB.',
            'contact_rows.in' => 'Rows of contacts are one or two; “:input” was given.',
            'times.regex' => 'The ×-rating “:input” is not a number with an x, such as 1066x.',
        ];
    }

    /** @return string|null ISO 4217; null where none can be read */
    public static function currency(mixed $typed): ?string
    {
        try {
            return is_string($typed) ? Price::currency($typed) : null;
        } catch (NotAPrice) {
            return null;
        }
    }

    /** @return Choice<Form> */
    private static function forms(): Choice
    {
        return new Choice('The form', array_map(fn (Form $form): array => [$form, [$form->value, $form->label()]], Form::cases()));
    }

    /** @return Choice<Family> */
    private static function families(): Choice
    {
        $words = fn (Family $family): array => [$family, [$family->value, "micro{$family->value}"]];

        return new Choice('The family', array_map($words, Family::cases()));
    }

    /**
     * @param  Form|null  $form  whose buses are meant first: some forms call theirs alike
     * @return Choice<Bus>
     */
    private static function buses(?Form $form): Choice
    {
        $own = array_values(array_filter(Bus::cases(), fn (Bus $bus): bool => $form !== null && in_array($form, $bus->forms(), true)));

        return new Choice('The bus', array_map(fn (Bus $bus): array => [$bus, [$bus->value, $bus->label()]], [...$own, ...Bus::cases()]));
    }

    /** @return Choice<Provenance> */
    private static function provenances(): Choice
    {
        return new Choice('The provenance', array_map(fn (Provenance $one): array => [$one, [$one->value]], Provenance::cases()));
    }

    private static function tooLong(int $most): string
    {
        return "This is longer than a label can be ({$most} characters). Shorten it.";
    }
}
