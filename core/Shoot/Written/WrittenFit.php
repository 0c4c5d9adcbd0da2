<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Shoot\Camera;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\FitFile;
use Tally\Shoot\MayIt;
use Tally\Shoot\Whole\Question;
use Tally\Value\ByHand;
use Tally\Value\Format;
use Tally\Value\WrongField;

/** Cameras, modes and cards as an open file has them, and perhaps a whole shoot. */
#[ByHand]
#[Format(FitFile::FORMAT, FitFile::VERSION)]
final readonly class WrittenFit
{
    public FitCriterion $criterion;

    /**
     * @param  float  $margin  on what was measured
     * @param  float  $usable  share of a card that a recording may take
     * @param  list<WrittenCamera>  $cameras
     * @param  list<WrittenCard>  $cards
     * @param  WrittenShoot|null  $shoot  null where the file asks for none
     * @param  FitCriterion|null  $school  what decides, as files of before have it
     *
     * @throws WrongField
     */
    public function __construct(
        ?FitCriterion $criterion = null,
        public float $margin = MayIt::MARGIN,
        public float $usable = 1.0,
        public array $cameras = [],
        public array $cards = [],
        public ?WrittenShoot $shoot = null,
        ?FitCriterion $school = null,
    ) {
        $this->criterion = $criterion ?? $school ?? FitCriterion::Measured;
        if ($margin < 1 || $margin > 10) {
            throw new WrongField('margin', 'from 1 to 10; 1.25 is the house rule.');
        }
        if ($usable <= 0 || $usable > 1) {
            throw new WrongField('usable', 'above 0, up to 1: the share of a card that a recording may take.');
        }
        $tags = [];
        foreach ($cards as $i => $card) {
            if (in_array($card->tag, $tags, true)) {
                throw new WrongField("cards[{$i}].tag", 'another card has it already. Give each its own.');
            }
            $tags[] = $card->tag;
        }
        $shoot?->wanted($this);
    }

    /** @param  list<Camera>  $cameras */
    public static function ofCameras(array $cameras): self
    {
        return new self(cameras: array_map(WrittenCamera::of(...), $cameras));
    }

    /** What a shoot asks for, with its cameras and without cards. */
    public static function of(Question $question): self
    {
        $cameras = [];
        foreach ($question->wanted as $one) {
            $modes = [...$cameras["camera {$one->camera->tag}"]->modes ?? [], $one->mode];
            $cameras["camera {$one->camera->tag}"] = new Camera(
                $one->camera->tag,
                $one->camera->name,
                $one->camera->slots,
                array_values(array_column($modes, null, 'name')),
            );
        }

        return new self(
            criterion: $question->criterion,
            margin: $question->margin,
            usable: $question->usable,
            cameras: array_map(WrittenCamera::of(...), array_values($cameras)),
            shoot: WrittenShoot::of($question),
        );
    }

    /** @return list<Camera> */
    public function cameras(): array
    {
        return array_map(fn (WrittenCamera $one): Camera => $one->camera(), $this->cameras);
    }
}
