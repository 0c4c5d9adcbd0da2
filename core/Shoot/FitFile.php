<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Shoot\Whole\Question;
use Tally\Shoot\Written\WrittenCard;
use Tally\Shoot\Written\WrittenFit;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Cameras, modes and cards as an open file has them: what may record what, and which goes where. Its schema is docs/fit.schema.json. */
final readonly class FitFile
{
    public const FORMAT = 'gritty-tally-fit';

    public const VERSION = 1;

    /** @var list<Camera> */
    public array $cameras;

    /** @var list<FitCard> */
    public array $cards;

    private function __construct(public WrittenFit $written)
    {
        $this->cameras = $written->cameras();
        $this->cards = array_map(fn (WrittenCard $one): FitCard => $one->card(), $written->cards);
    }

    /**
     * @param  mixed  $given  as JSON gives it
     *
     * @throws NotUsable with the field, what was given and what would do
     */
    public static function read(mixed $given): self
    {
        return new self(Values::read(WrittenFit::class, $given));
    }

    /** What a whole shoot asks for; null where the file asks for none. */
    public function question(?FitCriterion $criterion = null): ?Question
    {
        [$file, $shoot] = [$this->written, $this->written->shoot];

        return $shoot === null ? null : new Question(
            days: $shoot->days,
            home: min($shoot->home ?? $shoot->days, $shoot->days),
            extra: $shoot->extra,
            wanted: $shoot->wanted($file),
            cards: $this->cards,
            criterion: $criterion ?? $file->criterion,
            margin: $file->margin,
            usable: $file->usable,
        );
    }

    /**
     * Every card in every mode.
     *
     * @return list<array<string, mixed>> as docs/fit.md says
     */
    public function answers(?FitCriterion $criterion = null): array
    {
        $decides = ($criterion ?? $this->written->criterion)->value;
        $rows = [];
        foreach ($this->cameras as $camera) {
            foreach ($camera->modes as $mode) {
                $may = new MayIt($mode, $camera->buses(), $this->written->margin);
                foreach ($this->cards as $one) {
                    $card = $one->ability;
                    $answers = $may->all($card);
                    $capacity = $card->capacity();
                    $rows[] = [
                        'camera' => $camera->tag,
                        'mode' => $mode->name,
                        'card' => $one->tag,
                        'may' => $answers[$decides]->isYes(),
                        'words' => $answers[$decides]->words(),
                        'minutes' => $mode->fill->minutes($capacity, $this->written->usable),
                        'shots' => $mode->shots($capacity, $this->written->usable),
                        'capacity' => $capacity->exact(),
                        'proven' => $card->proven !== null,
                        'rate_mbit' => round($mode->fill->rate->megabits(), 1),
                        'rate_from' => $mode->fill->words(),
                        'verdict' => $card->verdict?->value,
                        'least_mark' => LeastMark::of($mode, $camera->buses())?->value,
                        'criteria' => $answers,
                    ];
                }
            }
        }

        return $rows;
    }
}
