<?php

declare(strict_types=1);

namespace App\Ledger;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Shoot\FitRules;
use Illuminate\Support\Carbon;
use Tally\Reading\Trend;
use Tally\Shoot\MayIt;

/** Whether a card gets slower, and when it would fall under what a camera of this house asks for. */
final readonly class Fading
{
    /** Days of a month, for a pace that is said by the month. */
    public const MONTH = 30.44;

    /**
     * @param  array{string, float}|null  $floor  the next one that it would meet: camera and mode, MB/s
     * @param  array{Carbon, Carbon|null, Carbon|null}|null  $meets  when: by the line, at the earliest, at the latest
     */
    private function __construct(public Trend $trend, public ?array $floor, public ?array $meets) {}

    public static function of(Card $card, LifeFigures $figures): ?self
    {
        $trend = $figures->trend();
        if ($trend === null) {
            return null;
        }
        $now = $trend->at(LifeFigures::day(Carbon::now()));
        $floor = $meets = null;
        foreach ($trend->isTold() && $trend->slope < 0 ? self::floors($card) : [] as $name => $rate) {
            $days = $rate < $now ? $trend->meets($rate) : null;
            if ($days !== null && ($floor === null || $rate > $floor[1])) {
                $floor = [$name, $rate];
                $meets = [LifeFigures::at($days[0]), self::day($days[1]), self::day($days[2])];
            }
        }

        return new self($trend, $floor, $meets);
    }

    /** `loses 2.3 MB/s a month` */
    public function words(): string
    {
        $month = $this->trend->slope * self::MONTH;

        return ($month < 0 ? 'loses ' : 'gains ').number_format(abs($month), 1, '.', '').' MB/s a month';
    }

    /** @return array<string, float> camera and mode → MB/s that a card must never fall under there; of modes that it goes into */
    public static function floors(Card $card): array
    {
        $margin = FitRules::now()->margin;
        $floors = [];
        foreach (Camera::query()->with(['slots', 'modes.calibrations'])->orderBy('tag')->get() as $camera) {
            if ($card->label()->settleIn($camera->buses()) === null) {
                continue;
            }
            foreach ($camera->modes as $mode) {
                $floors["{$camera->tag} {$mode->name}"] = self::need($mode, $camera, $margin);
            }
        }

        return $floors;
    }

    private static function need(CameraMode $mode, Camera $camera, float $margin): float
    {
        return (new MayIt($mode->asMode(), $camera->buses(), $margin))->need()->megabytes();
    }

    /** Nothing that is said of a day hundreds of years away. */
    private static function day(float $day): ?Carbon
    {
        return is_finite($day) && $day < 80_000 ? LifeFigures::at($day) : null;
    }
}
