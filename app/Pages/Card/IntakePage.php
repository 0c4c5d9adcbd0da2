<?php

declare(strict_types=1);

namespace App\Pages\Card;

use App\Intake\CardField;
use App\Intake\NextTag;
use App\Kit\ChoiceProps;
use App\Models\Cards\Card;
use App\Models\Cards\FootageAct;
use App\Models\Cards\Photo;
use App\Offload\Carrying\Secured;
use App\Pages\Page;
use Tally\Inspection\Question;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Origin\Provenance;
use Tally\Quantity\Bytes;

/** The label form. */
final readonly class IntakePage extends Page
{
    /** Acts that are shown; the newest. */
    private const ACTS = 8;

    /**
     * @param  list<PhotoProps>  $photos
     */
    public function __construct(
        public ?CardProps $card,
        public IntakeProps $values,
        public ChoicesProps $choices,
        public ?MarginProps $margin,
        public ?ClaimLineProps $claimLine,
        public array $photos,
        public ?int $revision,
        public ?FootageProps $footage,
        public string $person,
    ) {}

    public static function blank(): IntakeProps
    {
        return new IntakeProps(
            NextTag::inHouse()->take(),
            '',
            Form::Sd->value,
            '',
            '',
            '',
            [],
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
            '',
        );
    }

    public static function of(Card $card): IntakeProps
    {
        return new IntakeProps(
            $card->tag,
            $card->name,
            $card->form->value,
            $card->capacity->exact(),
            $card->family->value ?? '',
            $card->bus->value ?? '',
            array_values($card->marks->map(fn (Mark $mark): string => $mark->value)->all()),
            $card->read?->exact() ?? '',
            $card->write?->exact() ?? '',
            $card->sustained?->exact() ?? '',
            $card->times === null ? '' : rtrim(rtrim(number_format($card->times, 1, '.', ''), '0'), '.').'x',
            $card->contact_rows === null ? '' : (string) $card->contact_rows,
            $card->footage->isZero() ? '' : $card->footage->exact(),
            $card->serial ?? '',
            $card->back_code ?? '',
            $card->origin()->price?->print() ?? '',
            $card->seller ?? '',
            $card->order_no ?? '',
            $card->lot ?? '',
            $card->bought_on?->format('Y-m-d') ?? '',
            $card->provenance->value ?? '',
            $card->label_line ?? '',
            '',
            '',
        );
    }

    public static function footage(Card $card): FootageProps
    {
        $home = Secured::of($card);

        return new FootageProps(
            $card->footage->isZero() ? null : $card->footage->decimal(),
            $home === null ? null : Secured::note($home),
            array_values(
                $card
                    ->footageActs()
                    ->limit(self::ACTS)
                    ->get()
                    ->map(
                        fn (FootageAct $act): FootageActProps => new FootageActProps(
                            $act->id,
                            $act->bytes === 0 ? 'cleared' : Bytes::of($act->bytes)->decimal(),
                            $act->created_at->format('j M Y H:i').' UTC',
                            $act->recorded_by,
                            $act->note,
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** @return list<PhotoProps> */
    public static function photos(Card $card): array
    {
        return array_values(
            $card
                ->photos()
                ->get()
                ->map(fn (Photo $photo): PhotoProps => new PhotoProps($photo->side, "/photos/{$photo->id}", $photo->width, $photo->height))
                ->all(),
        );
    }

    public static function choices(): ChoicesProps
    {
        $sd = [Form::Sd->value, Form::MicroSd->value];
        $others = array_values(array_diff(array_map(fn (Form $form): string => $form->value, Form::cases()), $sd));

        return new ChoicesProps(
            array_map(fn (Form $form): ChoiceProps => new ChoiceProps($form->value, $form->label(), []), Form::cases()),
            array_map(fn (Family $family): ChoiceProps => new ChoiceProps($family->value, $family->value, $sd), Family::cases()),
            array_map(
                fn (Bus $bus): ChoiceProps => new ChoiceProps(
                    $bus->value,
                    $bus->label(),
                    array_map(fn (Form $form): string => $form->value, $bus->forms()),
                ),
                Bus::cases(),
            ),
            array_map(
                fn (Mark $mark): ChoiceProps => new ChoiceProps($mark->value, $mark->value, $mark->isSecureDigital() ? $sd : $others),
                Mark::cases(),
            ),
            array_map(fn (Provenance $one): ChoiceProps => new ChoiceProps($one->value, $one->words(), []), Provenance::cases()),
            array_values(
                array_map(
                    fn (Form $form): string => $form->value,
                    array_filter(Form::cases(), fn (Form $form): bool => Question::ContactRows->isAskedOf($form)),
                ),
            ),
            array_map(fn (CardField $field): ChoiceProps => new ChoiceProps($field->value, $field->heading(), []), CardField::cases()),
        );
    }
}
