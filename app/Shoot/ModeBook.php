<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Models\Kit\Camera;
use App\Models\Kit\CameraMode;
use App\Models\Kit\CameraSlot;
use Illuminate\Support\Facades\DB;
use Tally\Label\Bus;
use Tally\Shoot\Camera as ShootCamera;
use Tally\Shoot\CameraSlot as ShootSlot;
use Tally\Shoot\Mode;
use Tally\Value\NotUsable;

/** Cameras and modes of the books, as an open file has them and back. */
final readonly class ModeBook
{
    /** In one file, which is taken whole within a moment. */
    private const MOST = ['cameras' => 50, 'modes' => 500];

    /** @return list<ShootCamera> those with slots, by tag */
    public static function cameras(): array
    {
        $all = [];
        foreach (Camera::query()->with(['slots', 'modes.calibrations'])->orderBy('tag')->get() as $camera) {
            $slots = [];
            foreach ($camera->slots as $slot) {
                $buses = array_values($slot->buses->all());
                if ($buses !== []) {
                    $slots[] = new ShootSlot($slot->name, $buses);
                }
            }
            if ($slots !== []) {
                $modes = array_values($camera->modes->map(fn (CameraMode $mode): Mode => $mode->asMode())->all());
                $all[] = new ShootCamera($camera->tag, $camera->name, $slots, $modes);
            }
        }

        return $all;
    }

    /**
     * Modes of the same camera and name are replaced, others added; a camera that is not known is entered with its slots.
     *
     * @param  list<ShootCamera>  $cameras
     * @return int modes that were taken
     *
     * @throws NotUsable where a tag or a name is none that the books can hold
     */
    public static function take(array $cameras): int
    {
        $modes = array_sum(array_map(fn (ShootCamera $one): int => count($one->modes), $cameras));
        foreach (['cameras' => count($cameras), 'modes' => $modes] as $what => $count) {
            if ($count > self::MOST[$what]) {
                throw NotUsable::field($what, (string) $count, 'a file may have '.self::MOST[$what].' at most. Send it in parts.');
            }
        }
        array_map(self::mustBeKept(...), $cameras);

        return DB::transaction(function () use ($cameras): int {
            $taken = 0;
            foreach ($cameras as $one) {
                $camera = Camera::query()->where('tag', $one->tag)->first() ?? self::enter($one);
                foreach ($one->modes as $mode) {
                    self::keep($camera, $mode);
                    $taken++;
                }
            }

            return $taken;
        });
    }

    /** @throws NotUsable */
    private static function mustBeKept(ShootCamera $camera): void
    {
        if (preg_match('/^[A-Za-z0-9][A-Za-z0-9-]{0,19}$/D', $camera->tag) !== 1) {
            throw NotUsable::field('tag', $camera->tag, 'give a camera a short code of letters, digits and hyphens, such as C5.');
        }
        foreach ($camera->slots as $slot) {
            self::mustFit('name of a slot', $slot->name, 60);
        }
        self::mustFit('name of the camera', $camera->name === '' ? $camera->tag : $camera->name, 80);
        $names = [];
        foreach ($camera->modes as $mode) {
            self::mustFit('name of a mode', $mode->name, 80);
            if (in_array($mode->name, $names, true)) {
                throw NotUsable::field('name of a mode', $mode->name, "{$camera->tag} has it twice. Give each its own.");
            }
            $names[] = $mode->name;
        }
    }

    /** @throws NotUsable */
    private static function mustFit(string $what, string $name, int $most): void
    {
        if (trim($name) === '' || mb_strlen($name) > $most || ! mb_check_encoding($name, 'UTF-8')) {
            throw NotUsable::field($what, $name, "write 1 to {$most} characters.");
        }
    }

    private static function enter(ShootCamera $one): Camera
    {
        $camera = new Camera();
        $camera->forceFill(['tag' => $one->tag, 'name' => $one->name === '' ? $one->tag : $one->name])->save();
        foreach ($one->slots as $slot) {
            CameraSlot::query()->create([
                'camera_id' => $camera->id,
                'name' => $slot->name,
                'buses' => array_map(fn (Bus $bus): string => $bus->value, $slot->buses),
            ]);
        }

        return $camera;
    }

    public static function keep(Camera $camera, Mode $mode, ?CameraMode $row = null): CameraMode
    {
        $row ??= CameraMode::query()->where(['camera_id' => $camera->id, 'name' => $mode->name])->first() ?? new CameraMode();
        $row
            ->forceFill([
                'camera_id' => $camera->id,
                'name' => $mode->name,
                'kind' => $mode->kind,
                'writes' => $mode->nominal,
                'shot' => $mode->shot,
                'frames' => $mode->frames,
                'clip' => $mode->clip?->seconds,
                'asks_mark' => $mode->demand->mark,
                'asks_guaranteed' => $mode->demand->isGuaranteed,
                'asks_form' => $mode->demand->form,
                'refuses' => $mode->demand->refuses,
                'records' => $mode->recording,
                'proxy_writes' => $mode->proxies,
            ])
            ->save();
        $row->calibrations()->delete();
        foreach ($mode->calibrations as $one) {
            $row->calibrations()->create(['is_clip' => $one->isClip, 'bytes' => $one->size, 'seconds' => $one->length->seconds]);
        }

        return $row;
    }
}
