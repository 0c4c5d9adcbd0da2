<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Intake\CardField;
use App\Intake\NextTag;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Cards\Photo;
use App\Models\When;
use App\Offload\Carrying\Secured;
use App\Pages\Page;
use Tally\Inspection\Question;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Origin\Provenance;
use Tally\Quantity\Bytes;

/**
 * The label form.
 *
 * @phpstan-import-type CardProps from CardHeading
 * @phpstan-import-type ClaimLineProps from ClaimPicture
 * @phpstan-import-type MarginProps from Margin
 *
 * @phpstan-type ChoicesProps array{ // What the label form offers.
 *     forms: list<ChoiceProps>,
 *     families: list<ChoiceProps>,
 *     buses: list<ChoiceProps>,
 *     marks: list<ChoiceProps>,
 *     provenances: list<ChoiceProps>,
 *     twoRowForms: list<string>, // forms of which some cards have a second row of contacts
 *     fields: list<ChoiceProps>, // all fields of a card by their headings
 * }
 * @phpstan-type FootageActProps array{ // That somebody said a card carries footage, or cleared it.
 *     id: int,
 *     what: string, // a size, or “cleared”
 *     on: string,
 *     person: string,
 *     note: string|null,
 * }
 * @phpstan-type FootageProps array{ // What of a card must come home before anything is erased.
 *     now: string|null, // how much is on it; null when it is clear
 *     secured: string|null, // where two copies of it were read back; null where it is not secured here
 *     acts: list<FootageActProps>, // the newest first
 * }
 * @phpstan-type PhotoProps array{ // A picture of one side of a card.
 *     side: string,
 *     url: string,
 *     width: int,
 *     height: int,
 * }
 */
final readonly class IntakePage extends Page
{
    /** Acts that are shown; the newest. */
    private const ACTS = 8;

    /**
     * @param  list<PhotoProps>  $photos
     * @param  CardProps|null  $card
     * @param  ChoicesProps  $choices
     * @param  MarginProps|null  $margin
     * @param  ClaimLineProps|null  $claimLine
     * @param  FootageProps|null  $footage
     */
    public function __construct(
        public ?array $card,
        public IntakeProps $values,
        public array $choices,
        public ?array $margin,
        public ?array $claimLine,
        public array $photos,
        public ?int $revision,
        public ?array $footage,
        public string $person,
    ) {}

    public static function blank(): IntakeProps
    {
        return new IntakeProps(
            NextTag::inHouse()->take(),
            '',
            Form::Sd->value,
            '',
            family: '',
            bus: '',
            marks: [],
            read: '',
            write: '',
            sustained: '',
            times: '',
            contact_rows: '',
            footage: '',
            serial: '',
            back_code: '',
            price: '',
            seller: '',
            order_no: '',
            lot: '',
            bought_on: '',
            provenance: '',
            label_line: '',
            count: '',
            serials: '',
        );
    }

    public static function of(Card $card): IntakeProps
    {
        return new IntakeProps(
            $card->tag,
            $card->name,
            $card->form->value,
            $card->capacity->exact(),
            family: $card->family->value ?? '',
            bus: $card->bus->value ?? '',
            marks: array_values($card->marks->map(fn (Mark $mark): string => $mark->value)->all()),
            read: $card->read?->exact() ?? '',
            write: $card->write?->exact() ?? '',
            sustained: $card->sustained?->exact() ?? '',
            times: $card->times === null ? '' : rtrim(rtrim(number_format($card->times, 1, '.', ''), '0'), '.').'x',
            contact_rows: $card->contact_rows === null ? '' : (string) $card->contact_rows,
            footage: $card->footage->isZero() ? '' : $card->footage->exact(),
            serial: $card->serial ?? '',
            back_code: $card->back_code ?? '',
            price: $card->origin()->price?->print() ?? '',
            seller: $card->seller ?? '',
            order_no: $card->order_no ?? '',
            lot: $card->lot ?? '',
            bought_on: $card->bought_on?->format(When::ISO_DAY) ?? '',
            provenance: $card->provenance->value ?? '',
            label_line: $card->label_line ?? '',
            count: '',
            serials: '',
        );
    }

    /** @return FootageProps */
    public static function footage(Card $card): array
    {
        $home = Secured::of($card);

        return [
            'now' => $card->footage->isZero() ? null : $card->footage->decimal(),
            'secured' => $home === null ? null : Secured::note($home),
            'acts' => array_values(
                $card
                    ->footageActs()
                    ->limit(self::ACTS)
                    ->get()
                    ->map(
                        fn (FootageAct $act): array => [
                            'id' => $act->id,
                            'what' => $act->bytes === 0 ? 'cleared' : Bytes::of($act->bytes)->decimal(),
                            'on' => $act->created_at->format(When::MOMENT).' UTC',
                            'person' => $act->recorded_by,
                            'note' => $act->note,
                        ],
                    )
                    ->all(),
            ),
        ];
    }

    /** @return list<PhotoProps> */
    public static function photos(Card $card): array
    {
        return array_values(
            $card
                ->photos()
                ->get()
                ->map(fn (Photo $photo): array => [
                    'side' => $photo->side,
                    'url' => "/photos/{$photo->id}",
                    'width' => $photo->width,
                    'height' => $photo->height,
                ])
                ->all(),
        );
    }

    /** @return ChoicesProps */
    public static function choices(): array
    {
        $sd = [Form::Sd->value, Form::MicroSd->value];
        $others = array_values(array_diff(array_map(fn (Form $form): string => $form->value, Form::cases()), $sd));

        return [
            'forms' => array_map(fn (Form $form): ChoiceProps => new ChoiceProps($form->value, $form->label(), []), Form::cases()),
            'families' => array_map(
                fn (Family $family): ChoiceProps => new ChoiceProps($family->value, $family->value, $sd),
                Family::cases(),
            ),
            'buses' => array_map(
                fn (Bus $bus): ChoiceProps => new ChoiceProps(
                    $bus->value,
                    $bus->label(),
                    array_map(fn (Form $form): string => $form->value, $bus->forms()),
                ),
                Bus::cases(),
            ),
            'marks' => array_map(
                fn (Mark $mark): ChoiceProps => new ChoiceProps($mark->value, $mark->value, $mark->isSecureDigital() ? $sd : $others),
                Mark::cases(),
            ),
            'provenances' => array_map(
                fn (Provenance $one): ChoiceProps => new ChoiceProps($one->value, $one->words(), []),
                Provenance::cases(),
            ),
            'twoRowForms' => array_values(
                array_map(
                    fn (Form $form): string => $form->value,
                    array_filter(Form::cases(), fn (Form $form): bool => Question::ContactRows->isAskedOf($form)),
                ),
            ),
            'fields' => array_map(
                fn (CardField $field): ChoiceProps => new ChoiceProps($field->value, $field->heading(), []),
                CardField::cases(),
            ),
        ];
    }
}
