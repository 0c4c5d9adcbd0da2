<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\CaseFile\CaseReader;
use Tally\CaseFile\Spelling;
use Tally\Record\Fields;
use Tally\Record\NotUsable;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\ShootFile;

/** Cameras, modes and cards as an open file has them: what may record what, and which goes where. Its schema is docs/fit.schema.json. */
final readonly class FitFile
{
    public const FORMAT = 'gritty-tally-fit';

    public const VERSION = 1;

    /**
     * @param  float  $margin  on what was measured
     * @param  float  $usable  share of a card that a recording may take
     * @param  list<Camera>  $cameras
     * @param  list<FitCard>  $cards
     * @param  Fields|null  $shoot  what a whole shoot asks for; null where the file asks for none
     */
    private function __construct(
        public FitCriterion $school,
        public float $margin,
        public float $usable,
        public array $cameras,
        public array $cards,
        private ?Fields $shoot,
    ) {}

    /** @throws NotUsable with the field, what was given and what would do */
    public static function read(Fields $file): self
    {
        Spelling::check($file, 'format', 'version', 'school', 'margin', 'usable', 'cameras', 'cards', 'shoot');
        if ($file->text('format') !== self::FORMAT) {
            throw $file->wrong('format', '“'.self::FORMAT.'” would do.');
        }
        if ($file->integer('version') !== self::VERSION) {
            throw $file->wrong('version', 'this program reads version '.self::VERSION.'.');
        }
        $margin = $file->number('margin', MayIt::MARGIN);
        $usable = $file->number('usable', 1.0);
        if ($margin < 1 || $margin > 10) {
            throw $file->wrong('margin', 'from 1 to 10; 1.25 is the house rule.');
        }
        if ($usable <= 0 || $usable > 1) {
            throw $file->wrong('usable', 'above 0, up to 1: the share of a card that a recording may take.');
        }
        $cards = $tags = [];
        foreach ($file->rows('cards') as $card) {
            $tag = $card->text('tag');
            if (in_array($tag, $tags, true)) {
                throw $card->wrong('tag', 'another card has it already. Give each its own.');
            }
            $case = array_diff_key($card->values, ['tag' => true]);
            $case += ['format' => CaseReader::FORMAT, 'version' => CaseReader::VERSION];
            $tags[] = $tag;
            $cards[] = new FitCard($tag, Ability::of(CaseReader::read(new Fields($case, $card->at))->evidence));
        }

        $read = new self(
            $file->has('school') ? $file->choice('school', FitCriterion::class) : FitCriterion::Measured,
            $margin,
            $usable,
            array_map(ModeFile::camera(...), $file->rows('cameras')),
            $cards,
            $file->has('shoot') ? $file->fields('shoot') : null,
        );
        $read->question();

        return $read;
    }

    /** @throws NotUsable with the field, what was given and what would do */
    public function question(?FitCriterion $school = null): ?Question
    {
        return $this->shoot === null ? null : ShootFile::read($this->shoot, $this, $school);
    }

    /**
     * Every card in every mode.
     *
     * @return list<array<string, mixed>> as docs/fit.md says
     */
    public function answers(?FitCriterion $school = null): array
    {
        $decides = ($school ?? $this->school)->value;
        $rows = [];
        foreach ($this->cameras as $camera) {
            foreach ($camera->modes as $mode) {
                $may = new MayIt($mode, $camera->buses(), $this->margin);
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
                        'minutes' => $mode->fill->minutes($capacity, $this->usable),
                        'shots' => $mode->shots($capacity, $this->usable),
                        'capacity' => $capacity->exact(),
                        'proven' => $card->proven !== null,
                        'rate_mbit' => round($mode->fill->rate->megabits(), 1),
                        'rate_from' => $mode->fill->words(),
                        'verdict' => $card->verdict?->value,
                        'least_mark' => LeastMark::of($mode, $camera->buses())?->value,
                        'schools' => array_map(fn (Answer $answer): array => $answer->pack(), $answers),
                    ];
                }
            }
        }

        return $rows;
    }
}
