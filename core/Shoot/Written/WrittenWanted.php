<?php

declare(strict_types=1);

namespace Tally\Shoot\Written;

use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Shoot\Camera;
use Tally\Shoot\Mode;
use Tally\Shoot\Recording;
use Tally\Shoot\Whole\Count;
use Tally\Shoot\Whole\Wanted;
use Tally\Value\ByHand;
use Tally\Value\WrongField;

/** What a camera is to record on a shoot, as it is written down. */
#[ByHand]
final readonly class WrittenWanted
{
    /**
     * @param  string|null  $daily  a length, such as `3 h`
     * @param  int|null  $shots  of stills, in place of a length
     * @param  list<int>  $days  on which it records; none for every day
     * @param  bool|null  $spare  whether it has one card more than it needs
     */
    public function __construct(
        public string $camera,
        public string $mode,
        public ?string $daily = null,
        public ?int $shots = null,
        public array $days = [],
        public ?bool $spare = null,
    ) {}

    public static function of(Wanted $one): self
    {
        $isShots = Count::of($one->mode)->isShots;

        return new self(
            camera: $one->camera->tag,
            mode: $one->mode->name,
            daily: $isShots ? null : "{$one->daily} s",
            shots: $isShots ? $one->daily : null,
            days: $one->days,
            spare: $one->hasSpare,
        );
    }

    /**
     * @param  list<Camera>  $cameras
     * @param  int  $last  day of the shoot
     * @param  string  $at  where it stands
     *
     * @throws WrongField
     */
    public function wanted(array $cameras, int $last, string $at): Wanted
    {
        [$camera, $mode] = $this->mode($cameras, $at);
        foreach ($this->days as $day) {
            if ($day < 1 || $day > $last) {
                throw new WrongField("{$at}.days", "days are numbered from 1 to {$last}.");
            }
        }

        return new Wanted(
            $camera,
            $mode,
            $this->daily(Count::of($mode), $at),
            $this->days === [] ? range(1, $last) : array_values(array_unique($this->days)),
            hasSpare: $this->spare ?? $mode->recording === Recording::Relay,
        );
    }

    private function daily(Count $count, string $at): int
    {
        $isShots = $count->isShots && $this->shots !== null;
        try {
            $daily = $isShots ? $this->shots : $count->lasting(Span::parse($this->daily ?? ''));
        } catch (NotAQuantity $fault) {
            throw new WrongField("{$at}.daily", $fault->getMessage());
        }

        return $daily > 0 ? $daily : throw new WrongField($at.($isShots ? '.shots' : '.daily'), 'above nothing, such as "3 h".');
    }

    /**
     * @param  list<Camera>  $cameras
     * @return array{Camera, Mode}
     */
    private function mode(array $cameras, string $at): array
    {
        foreach ($cameras as $camera) {
            foreach ($camera->tag === $this->camera ? $camera->modes : [] as $mode) {
                if ($mode->name === $this->mode) {
                    return [$camera, $mode];
                }
            }
        }
        throw new WrongField("{$at}.mode", 'no camera of this file has it. Write camera and mode as they stand there.');
    }
}
