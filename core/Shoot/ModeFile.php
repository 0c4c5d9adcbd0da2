<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\CaseFile\GearNames;
use Tally\CaseFile\Spelling;
use Tally\Label\Bus;
use Tally\Label\Form;
use Tally\Label\Mark;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Record\Fields;
use Tally\Record\NotUsable;

/** Cameras and their modes as an open file has them; its schema is docs/fit.schema.json. */
final readonly class ModeFile
{
    /** @throws NotUsable with the field, what was given and what would do */
    public static function camera(Fields $camera): Camera
    {
        Spelling::check($camera, 'tag', 'name', 'slots', 'modes');
        $slots = array_map(self::slot(...), $camera->rows('slots'));
        if ($slots === []) {
            throw $camera->wrong('slots', 'give at least one, such as {"name": "A", "buses": ["UHS-II"]}.');
        }

        return new Camera($camera->text('tag'), $camera->text('name', ''), $slots, array_map(self::mode(...), $camera->rows('modes')));
    }

    private static function slot(Fields $slot): CameraSlot
    {
        Spelling::check($slot, 'name', 'buses');
        $buses = array_map(
            fn (string $name): Bus => GearNames::bus($name) ?? throw $slot->wrong('buses', "“{$name}” is no bus; UHS-II would do."),
            $slot->texts('buses'),
        );

        return new CameraSlot(
            $slot->text('name', 'A'),
            $buses === [] ? throw $slot->wrong('buses', 'say what the slot speaks, such as ["UHS-II"].') : $buses,
        );
    }

    /** @throws NotUsable */
    public static function mode(Fields $mode): Mode
    {
        Spelling::check($mode, 'name', 'kind', 'writes', 'shot', 'frames', 'clip', 'asks', 'records', 'proxies', 'says', 'clips');
        $shot = $mode->has('shot') ? $mode->size('shot') : null;
        $frames = $mode->numberOrNull('frames');
        if ($frames !== null && ($frames <= 0 || $frames > 1000)) {
            throw $mode->wrong('frames', 'give frames a second, above nothing and up to 1000.');
        }
        $demand = self::demand($mode->fields('asks'));
        $recording = $mode->has('records') ? $mode->choice('records', Recording::class) : Recording::OneSlot;
        if ($shot !== null && ! $mode->has('writes')) {
            if ($shot->isZero()) {
                throw $mode->wrong('shot', 'a still of no bytes fills nothing; 24.6 MB would do.');
            }
            $perSecond = $frames ?? throw $mode->wrong('frames', 'say how many shots a second, such as 0.5.');
            $one = Mode::stills($mode->text('name'), $shot, $perSecond, $demand, $recording);
        } else {
            $one = new Mode(
                $mode->text('name'),
                $mode->has('kind') ? $mode->choice('kind', ModeKind::class) : ModeKind::LongGop,
                self::typed($mode, 'writes', fn (string $text) => Mode::rate($text)),
                $shot,
                $frames,
                $demand,
                $recording,
                $mode->has('clip') ? self::typed($mode, 'clip', fn (string $text) => Span::parse($text)) : null,
                [...self::calibrations($mode, 'says'), ...self::calibrations($mode, 'clips')],
                $mode->has('proxies') ? self::typed($mode, 'proxies', fn (string $text) => Mode::rate($text)) : null,
            );
        }
        $complaint = $one->complaint();

        return $complaint === null ? $one : throw $mode->wrong('writes', $complaint);
    }

    private static function demand(Fields $asks): Demand
    {
        Spelling::check($asks, 'mark', 'guaranteed', 'form', 'refuses');

        return new Demand(
            $asks->has('mark') ? $asks->choice('mark', Mark::class) : null,
            $asks->boolean('guaranteed'),
            $asks->has('form') ? $asks->choice('form', Form::class) : null,
            $asks->boolean('refuses', true),
        );
    }

    /** @return list<Calibration> */
    private static function calibrations(Fields $mode, string $key): array
    {
        return array_map(function (Fields $row) use ($key): Calibration {
            $length = self::typed($row, '1', fn (string $text) => Span::parse($text));
            $size = $row->size('0');
            if ($size->isZero() || $length->seconds <= 0) {
                throw $row->wrong('0', 'size and length are above nothing, such as ["160 GB", "79 min"].');
            }

            return $key === 'says' ? Calibration::says($size, $length) : Calibration::clip($size, $length);
        }, $mode->rows($key));
    }

    /**
     * @template T
     *
     * @param  callable(string): T  $read
     * @return T
     *
     * @throws NotUsable
     */
    private static function typed(Fields $fields, string $key, callable $read): mixed
    {
        try {
            return $read($fields->text($key));
        } catch (NotAQuantity $fault) {
            throw $fields->wrong($key, $fault->getMessage());
        }
    }

    /** @return array<string, mixed> as `camera` reads it */
    public static function pack(Camera $camera): array
    {
        return [
            'tag' => $camera->tag,
            'name' => $camera->name,
            'slots' => array_map(
                fn (CameraSlot $slot): array => [
                    'name' => $slot->name,
                    'buses' => array_map(fn (Bus $bus): string => $bus->value, $slot->buses),
                ],
                $camera->slots,
            ),
            'modes' => array_map(self::packMode(...), $camera->modes),
        ];
    }

    /** @return array<string, mixed> */
    private static function packMode(Mode $mode): array
    {
        $rows = fn (bool $isClip): array => array_map(
            fn (Calibration $one): array => [$one->size->exact(), "{$one->length->seconds} s"],
            array_values(array_filter($mode->calibrations, fn (Calibration $one): bool => $one->isClip === $isClip)),
        );
        $packed = [
            'name' => $mode->name,
            'kind' => $mode->kind->value,
            'writes' => $mode->nominal->exact(),
            'shot' => $mode->shot?->exact(),
            'frames' => $mode->frames,
            'clip' => $mode->clip === null ? null : "{$mode->clip->seconds} s",
            'asks' => array_filter([
                'mark' => $mode->demand->mark?->value,
                'guaranteed' => $mode->demand->isGuaranteed ? true : null,
                'form' => $mode->demand->form?->value,
                'refuses' => $mode->demand->refuses ? null : false,
            ], fn (mixed $value): bool => $value !== null),
            'records' => $mode->recording->value,
            'proxies' => $mode->proxies?->exact(),
            'says' => $rows(false),
            'clips' => $rows(true),
        ];

        return array_filter($packed, fn (mixed $value): bool => $value !== null && $value !== []);
    }
}
