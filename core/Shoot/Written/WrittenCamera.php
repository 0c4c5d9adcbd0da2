<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\Mode;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** A camera with its slots and modes as it is written down. */
#[ByHand]
final readonly class WrittenCamera
{
    /** @var non-empty-list<WrittenSlot> */
    private array $has;

    /**
     * @param  list<WrittenSlot>  $slots
     * @param  list<WrittenMode>  $modes
     *
     * @throws WrongField
     */
    public function __construct(public string $tag, public string $name = '', public array $slots = [], public array $modes = [])
    {
        $this->has = $slots === []
            ? throw new WrongField('slots', 'give at least one, such as {"name": "A", "buses": ["UHS-II"]}.')
            : $slots;
    }

    public static function of(Camera $camera): self
    {
        return new self(
            $camera->tag,
            $camera->name,
            array_map(WrittenSlot::of(...), $camera->slots),
            array_map(WrittenMode::of(...), $camera->modes),
        );
    }

    public function camera(): Camera
    {
        return new Camera(
            $this->tag,
            $this->name,
            array_map(fn (WrittenSlot $one): CameraSlot => $one->slot(), $this->has),
            array_map(fn (WrittenMode $one): Mode => $one->mode, $this->modes),
        );
    }
}
