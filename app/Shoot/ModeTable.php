<?php

declare(strict_types=1);

namespace App\Shoot;

use Tally\Label\Bus;
use Tally\Shoot\Calibration;
use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\Mode;
use Tally\Shoot\Written\WrittenCamera;
use Tally\Shoot\Written\WrittenMode;
use Tally\Value\NotUsable;
use Tally\Value\Values;

/** Cameras and their modes as a table: a row for each mode. */
final readonly class ModeTable
{
    private const COLUMNS = [
        'Camera',
        'Camera name',
        'Slots',
        'Mode',
        'Kind',
        'Writes',
        'Stills of',
        'Frames a second',
        'Takes up to',
        'Asks for class',
        'Asks for guaranteed medium',
        'Asks for form',
        'Without it',
        'Records',
        'Proxies write',
        'Camera says',
        'Clips',
    ];

    /**
     * @param  list<Camera>  $cameras
     * @return list<list<string>> the headings first
     */
    public static function rows(array $cameras): array
    {
        $rows = [self::COLUMNS];
        foreach ($cameras as $camera) {
            foreach ($camera->modes as $mode) {
                $rows[] = self::row($camera, $mode);
            }
        }

        return $rows;
    }

    /** @return list<string> */
    private static function row(Camera $camera, Mode $mode): array
    {
        $readings = fn (bool $isClip): string => implode(
            '; ',
            array_map(
                fn (Calibration $one): string => "{$one->size->exact()} = {$one->length->seconds} s",
                array_values(array_filter($mode->calibrations, fn (Calibration $one): bool => $one->isClip === $isClip)),
            ),
        );
        $slots = array_map(
            fn (CameraSlot $slot): string => "{$slot->name}: ".implode(', ', array_map(fn (Bus $bus): string => $bus->value, $slot->buses)),
            $camera->slots,
        );

        return [
            $camera->tag,
            $camera->name,
            implode('; ', $slots),
            $mode->name,
            $mode->kind->value,
            $mode->nominal->exact(),
            $mode->shot?->exact() ?? '',
            $mode->frames === null ? '' : (string) $mode->frames,
            $mode->clip === null ? '' : "{$mode->clip->seconds} s",
            $mode->demand->mark->value ?? '',
            $mode->demand->isGuaranteed ? 'yes' : '',
            $mode->demand->form->value ?? '',
            $mode->demand->refuses ? 'refuses' : 'warns',
            $mode->recording->value,
            $mode->proxies?->exact() ?? '',
            $readings(false),
            $readings(true),
        ];
    }

    /**
     * @param  iterable<int, list<string>>  $rows  number in the sheet → cells; the headings first
     * @return list<Camera>
     *
     * @throws NotUsable with the row, what was given and what would do
     */
    public static function read(iterable $rows): array
    {
        $columns = null;
        $cameras = [];
        foreach ($rows as $number => $cells) {
            if ($columns === null) {
                $columns = self::columns($cells);

                continue;
            }
            $cell = fn (string $column): string => trim($cells[$columns[$column] ?? -1] ?? '');
            $tag = strtoupper($cell('Camera'));
            $key = "camera {$tag}";
            if (! isset($cameras[$key])) {
                $camera = ['tag' => $tag, 'name' => $cell('Camera name'), 'slots' => self::slots($cell('Slots'))];
                $cameras[$key] = [$camera, $number, []];
            }
            $cameras[$key][2][] = Values::read(WrittenMode::class, self::mode($cell, $number), "row {$number}")->mode;
        }

        return array_map(function (array $one): Camera {
            $camera = Values::read(WrittenCamera::class, $one[0], "row {$one[1]}")->camera();

            return new Camera($camera->tag, $camera->name, $camera->slots, $one[2]);
        }, array_values($cameras));
    }

    /**
     * @param  list<string>  $cells
     * @return array<string, int> heading → its place
     *
     * @throws NotUsable
     */
    private static function columns(array $cells): array
    {
        $known = array_combine(array_map(strtolower(...), self::COLUMNS), self::COLUMNS);
        $columns = [];
        foreach ($cells as $place => $cell) {
            $heading = $known[strtolower(trim($cell))] ?? null;
            if ($heading !== null) {
                $columns[$heading] = $place;
            }
        }
        foreach (['Camera', 'Slots', 'Mode'] as $needed) {
            if (! isset($columns[$needed])) {
                $known = implode(', ', self::COLUMNS);
                throw NotUsable::field('headings', implode(', ', $cells), "there is no column “{$needed}”. Known: {$known}.");
            }
        }

        return $columns;
    }

    /**
     * @param  callable(string): string  $cell
     * @return array<string, mixed> as WrittenMode is read
     */
    private static function mode(callable $cell, int $number): array
    {
        $frames = str_replace(',', '.', $cell('Frames a second'));
        $mode = [
            'name' => $cell('Mode'),
            'kind' => $cell('Kind'),
            // Of stills it follows from the size of one.
            'writes' => $cell('Stills of') === '' ? $cell('Writes') : '',
            'shot' => $cell('Stills of'),
            'frames' => is_numeric($frames) ? (float) $frames : ($frames === '' ? null : $frames),
            'clip' => $cell('Takes up to'),
            'asks' => array_filter([
                'mark' => $cell('Asks for class'),
                'guaranteed' => in_array(strtolower($cell('Asks for guaranteed medium')), ['yes', '1', 'true'], true) ? true : null,
                'form' => $cell('Asks for form'),
                'refuses' => strtolower($cell('Without it')) === 'warns' ? false : null,
            ], fn (mixed $value): bool => $value !== null && $value !== ''),
            'records' => $cell('Records'),
            'proxies' => $cell('Proxies write'),
            'says' => self::readings($cell('Camera says')),
            'clips' => self::readings($cell('Clips')),
        ];

        return array_filter($mode, fn (mixed $value): bool => $value !== null && $value !== '' && $value !== []);
    }

    /** @return list<list<string>> `160 GB = 79 min; …`: sizes and lengths */
    private static function readings(string $cell): array
    {
        $all = $cell === '' ? [] : explode(';', $cell);

        return array_map(fn (string $one): array => array_map(trim(...), explode('=', "{$one}=", 3)), $all);
    }

    /** @return list<array{name: string, buses: list<string>}> of `A: UHS-II; B: UHS-II, CFexpress A` */
    private static function slots(string $cell): array
    {
        $slots = [];
        foreach ($cell === '' ? [] : explode(';', $cell) as $one) {
            [$name, $buses] = str_contains($one, ':') ? explode(':', $one, 2) : ['A', $one];
            $slots[] = ['name' => trim($name), 'buses' => array_map(trim(...), explode(',', $buses))];
        }

        return $slots;
    }
}
