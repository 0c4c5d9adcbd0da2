<?php

declare(strict_types=1);

namespace Database\Seeders;

use App\Models\Cards\Card;
use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\BodyTrial;
use App\Models\Shoot\LoggedBurst;
use App\Models\Shoot\StoppedRecording;
use App\Shoot\StopBook;
use Illuminate\Database\Seeder;
use Illuminate\Support\Facades\Date;
use Tally\Label\Mark;
use Tally\Quantity\Bytes;
use Tally\Quantity\Rate;
use Tally\Shoot\BodyAnswer;
use Tally\Shoot\ModeKind;
use Tally\Shoot\Recording;
use Tally\Shoot\StopCause;

/** What the cameras of the demo record, a body whose buffer is its own limit, and recordings that stopped. All of it is invented. */
final class DemoModes extends Seeder
{
    public function run(): void
    {
        $this->modes();
        $this->bursts();
        $this->stops();
        $this->bodies();
    }

    /** What the cameras record alone, where there are no cards of the demo. */
    public function modes(): void
    {
        $refuses = fn (?Mark $mark, bool $isGuaranteed = false): array => ['asks_mark' => $mark, 'asks_guaranteed' => $isGuaranteed];
        $warns = fn (Mark $mark): array => ['asks_mark' => $mark, 'refuses' => false];
        $this->mode('C1', '4K long-GOP', ModeKind::LongGop, 200, frames: 25, more: $warns(Mark::V30));
        $this->mode(
            'C1',
            '4K 60',
            ModeKind::LongGop,
            240,
            frames: 59.94,
            more: $warns(Mark::V60),
            says: [['160 GB', 79 * 60], ['80 GB', 39.5 * 60]],
        );
        $this->mode('C1', '4K all-intra', ModeKind::AllIntra, 400, frames: 25, more: ['records' => Recording::Both]);
        $this->mode('C1', '4K 120', ModeKind::AllIntra, 600, frames: 119.88, more: $refuses(Mark::V90));
        $this->mode('C2', '4K 60', ModeKind::LongGop, 280, frames: 59.94, more: ['records' => Recording::Relay]);
        $this->mode('C2', '6K raw light', ModeKind::Raw, 1100, frames: 25, more: $refuses(null, true));
        $this->mode('C2', '6K raw', ModeKind::Raw, 2600, frames: 25, more: $refuses(null, true));
        $this->mode('C3', 'survey 4K', ModeKind::LongGop, 100, frames: 29.97, more: $warns(Mark::U3));
        $this->stills('C3', 'mapping stills', 38, 0.5);
        $this->stills('C4', 'scan stills, tethered', 72, 0.125);
        $this->mode('C4', 'pan master', ModeKind::Raw, 1800, frames: 24, more: ['clip' => 12 * 60]);
    }

    /**
     * @param  int  $megabits  a second
     * @param  array<string, mixed>  $more
     * @param  list<array{string, float|int}>  $says  size, seconds
     */
    private function mode(
        string $camera,
        string $name,
        ModeKind $kind,
        int $megabits,
        float $frames,
        array $more = [],
        array $says = [],
    ): void {
        $mode = CameraMode::query()->create([
            'camera_id' => Camera::query()->where('tag', $camera)->valueOrFail('id'),
            'name' => $name,
            'kind' => $kind,
            'writes' => Rate::megabitsPerSecond($megabits),
            'frames' => $frames,
            'records' => Recording::OneSlot,
            ...$more,
        ]);
        foreach ($says as [$size, $seconds]) {
            $mode->calibrations()->create(['is_clip' => false, 'bytes' => Bytes::parse($size), 'seconds' => $seconds]);
        }
    }

    private function stills(string $camera, string $name, int $megabytes, float $perSecond): void
    {
        CameraMode::query()->create([
            'camera_id' => Camera::query()->where('tag', $camera)->valueOrFail('id'),
            'name' => $name,
            'kind' => ModeKind::Stills,
            'writes' => Rate::megabytesPerSecond($megabytes * $perSecond),
            'shot' => Bytes::of($megabytes * 1_000_000),
            'frames' => $perSecond,
            'records' => Recording::OneSlot,
        ]);
    }

    /** Two cards of different speed, and the same drain: the body is the limit. */
    private function bursts(): void
    {
        $bursts = [
            ['QS-024', 51, 23.4],
            ['QS-014', 49, 23.1],
            ['QS-014', 48, 23.6],
            ['QS-022', 49, 22.9],
            ['QS-022', 50, 23.8],
            ['QS-014', 49, 23.0],
        ];
        foreach ($bursts as $i => [$tag, $frames, $clear]) {
            LoggedBurst::query()->create([
                'camera_id' => Camera::query()->where('tag', 'C1')->valueOrFail('id'),
                'card_id' => Card::query()->where('tag', $tag)->valueOrFail('id'),
                'frames' => $frames,
                'frame' => Bytes::of(46_200_000),
                'per_second' => 12,
                'clear' => $clear,
                'by' => 'Wren',
                'logged_at' => Date::parse('2026-11-24 16:00')->addMinutes(5 * $i),
            ]);
        }
    }

    private function bodies(): void
    {
        $trials = [
            ['QS-015', 'C1', BodyAnswer::Took, '2.1'],
            ['QS-022', 'C1', BodyAnswer::Warned, '2.1'],
            ['QS-028', 'C2', BodyAnswer::Refused, '1.0.4'],
        ];
        foreach ($trials as [$tag, $camera, $answer, $firmware]) {
            BodyTrial::query()->create([
                'camera_id' => Camera::query()->where('tag', $camera)->valueOrFail('id'),
                'card_id' => Card::query()->where('tag', $tag)->valueOrFail('id'),
                'answer' => $answer,
                'firmware' => $firmware,
                'by' => 'Wren',
                'tried_at' => Date::parse('2026-11-23 10:00'),
            ]);
        }
    }

    private function stops(): void
    {
        $stops = [
            ['QS-014', 'C1', StopCause::Heat, 22],
            ['QS-047', 'C1', StopCause::Card, 9],
            ['QS-047', 'C1', StopCause::Card, 11],
        ];
        foreach ($stops as [$tag, $camera, $cause, $minutes]) {
            $stop = StoppedRecording::query()->create([
                'camera_id' => Camera::query()->where('tag', $camera)->valueOrFail('id'),
                'card_id' => Card::query()->where('tag', $tag)->valueOrFail('id'),
                'cause' => $cause,
                'after' => 60 * $minutes,
                'by' => 'Moss',
                'logged_at' => Date::parse('2026-11-24 17:00'),
            ]);
            StopBook::enter($stop);
        }
    }
}
