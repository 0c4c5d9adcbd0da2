<?php

declare(strict_types=1);

namespace Tests\Support;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Tally\Label\Bus;
use Tally\Label\Family;
use Tally\Label\Form;
use Tally\Label\Label;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Shoot\Ability;
use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\FitCard;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;
use Tally\Verdict\VerdictKind;

/** Shoots and houses of cards, made up from a seed. */
final readonly class RandomShoot
{
    private const MARKS = [Mark::V30, Mark::V30, Mark::V60, Mark::V90];

    /** @param  float  $full  about how much of what the cards hold is wanted; above 1, more than all */
    public static function of(int $seed, int $cards, int $places, float $full): Question
    {
        $chance = new Randomizer(new Mt19937($seed));
        $one = fn (int $of): int => $chance->getInt(0, $of - 1);
        $house = [];
        for ($card = 0; $card < $cards; $card++) {
            $size = [32, 64, 64, 128, 128, 256][$one(6)];
            $bytes = (int) ($size * 1e9 * (1 - $chance->getInt(0, 1) / 100));
            $label = new Label(Form::Sd, Bytes::gigabytes($size), Family::Sdxc, Bus::UhsII, marks: [self::MARKS[$one(4)]]);
            $isProven = $chance->getInt(0, 3) > 0;
            $house[] = new FitCard(
                "K{$card}",
                new Ability($label, $isProven ? VerdictKind::Sound : VerdictKind::Unproven, $isProven ? Bytes::of($bytes) : null),
            );
        }
        $wanted = [];
        for ($place = 0; $place < $places; $place++) {
            $rate = [100, 150, 200, 240, 280, 400, 500, 600][$one(8)];
            $mode = $chance->getInt(0, 5) === 0
                ? Mode::stills("m{$place}", Bytes::of(24_600_000), [0.5, 1.0, 3.0][$one(3)])
                : new Mode("m{$place}", ModeKind::LongGop, Rate::bytesPerSecond($rate * 125_000.0), recording: Recording::cases()[$one(4)]);
            $slots = [new CameraSlot('A', [Bus::UhsII]), new CameraSlot('B', [[Bus::UhsII, Bus::UhsI][$one(2)]])];
            $share = ($full * $chance->getInt(30, 130)) / 100;
            $minutes = max(1, (int) round(($share * $cards * 100e9) / $places / $mode->fill->rate->bytesPerSecond / 60));
            $daily = (int) ($minutes * 60 * ($mode->shot === null ? 1.0 : $mode->frames ?? 1.0));
            $wanted[] = new Wanted(new Camera("C{$place}", '', $slots, [$mode]), $mode, $daily, [1], hasSpare: $chance->getInt(0, 3) === 0);
        }

        return new Question(1, 1, 0.1, $wanted, cards: $house, criterion: FitCriterion::Mark);
    }
}
