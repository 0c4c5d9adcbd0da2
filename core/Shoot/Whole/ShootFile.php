<?php

declare(strict_types=1);

namespace Tally\Shoot\Whole;

use Tally\CaseFile\Spelling;
use Tally\Quantity\Bytes;
use Tally\Quantity\NotAQuantity;
use Tally\Quantity\Span;
use Tally\Record\Fields;
use Tally\Record\NotUsable;
use Tally\Shoot\Camera;
use Tally\Shoot\FitCard;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\FitFile;
use Tally\Shoot\Mode;
use Tally\Shoot\ModeFile;
use Tally\Shoot\Recording;

/** A whole shoot as an open file has it: the part `shoot` of docs/fit.schema.json; and its packing for JSON. */
final readonly class ShootFile
{
    /** @throws NotUsable with the field, what was given and what would do */
    public static function read(Fields $shoot, FitFile $file, ?FitCriterion $school = null): Question
    {
        Spelling::check($shoot, 'days', 'home', 'extra', 'wanted');
        $days = $shoot->integer('days');
        $home = $shoot->integer('home', $days);
        $extra = $shoot->number('extra', Question::EXTRA);
        if ($days < 1 || $days > Question::MOST_DAYS) {
            throw $shoot->wrong('days', 'from 1 to '.Question::MOST_DAYS.'.');
        }
        if ($home < 1) {
            throw $shoot->wrong('home', 'cards come home every so many days, 1 or more.');
        }
        if ($extra < 0 || $extra > 1) {
            throw $shoot->wrong('extra', 'from 0 to 1: the share that is recorded on top of what is planned.');
        }
        $wanted = array_map(fn (Fields $one): Wanted => self::wanted($one, $file->cameras, $days), $shoot->rows('wanted'));
        if ($wanted === [] || count($wanted) > Question::MOST_WANTED) {
            throw $shoot->wrong('wanted', 'from 1 to '.Question::MOST_WANTED.' recordings.');
        }

        return new Question(
            $days,
            min($home, $days),
            $extra,
            $wanted,
            $file->cards,
            $school ?? $file->school,
            $file->margin,
            $file->usable,
        );
    }

    /** @param  list<Camera>  $cameras */
    private static function wanted(Fields $one, array $cameras, int $days): Wanted
    {
        Spelling::check($one, 'camera', 'mode', 'daily', 'shots', 'days', 'spare');
        [$camera, $mode] = self::mode($one, $cameras);
        $on = [];
        foreach ($one->list('days') as $day) {
            $on[] = is_int($day) && $day >= 1 && $day <= $days ? $day : throw $one->wrong('days', "days are numbered from 1 to {$days}.");
        }

        return new Wanted(
            $camera,
            $mode,
            self::daily($one, Count::of($mode)),
            $on === [] ? range(1, $days) : array_values(array_unique($on)),
            $one->boolean('spare', $mode->recording === Recording::Relay),
        );
    }

    private static function daily(Fields $one, Count $count): int
    {
        try {
            $daily = $count->isShots && $one->has('shots')
                ? $one->integer('shots')
                : $count->lasting(Span::parse($one->text('daily')));
        } catch (NotAQuantity $fault) {
            throw $one->wrong('daily', $fault->getMessage());
        }

        return $daily > 0 ? $daily : throw $one->wrong($one->has('shots') ? 'shots' : 'daily', 'above nothing, such as "3 h".');
    }

    /**
     * @param  list<Camera>  $cameras
     * @return array{Camera, Mode}
     */
    private static function mode(Fields $one, array $cameras): array
    {
        foreach ($cameras as $camera) {
            foreach ($camera->tag === $one->text('camera') ? $camera->modes : [] as $mode) {
                if ($mode->name === $one->text('mode')) {
                    return [$camera, $mode];
                }
            }
        }
        throw $one->wrong('mode', 'no camera of this file has it. Write camera and mode as they stand there.');
    }

    /** @return array<string, mixed> as a file asks for it, with its cameras and without cards */
    public static function packQuestion(Question $question): array
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

        return [
            'format' => FitFile::FORMAT,
            'version' => FitFile::VERSION,
            'school' => $question->school->value,
            'margin' => $question->margin,
            'usable' => $question->usable,
            'cameras' => array_map(ModeFile::pack(...), array_values($cameras)),
            'cards' => [],
            'shoot' => [
                'days' => $question->days,
                'home' => $question->home,
                'extra' => $question->extra,
                'wanted' => array_map(
                    fn (Wanted $one): array => [
                        'camera' => $one->camera->tag,
                        'mode' => $one->mode->name,
                        ...Count::of($one->mode)->isShots ? ['shots' => $one->daily] : ['daily' => "{$one->daily} s"],
                        'days' => $one->days,
                        'spare' => $one->hasSpare,
                    ],
                    $question->wanted,
                ),
            ],
        ];
    }

    /** @return array<string, mixed> as docs/fit.md says */
    public static function pack(Packing $packing): array
    {
        return [
            'best' => $packing->isBest,
            'could_save_minutes' => $packing->couldSave,
            'places' => array_map(self::packPlace(...), $packing->places),
            'left' => array_map(fn (FitCard $card): string => $card->tag, $packing->left),
            'buy' => array_map(
                fn (Purchase $buy): array => [
                    'place' => $buy->place->name(),
                    'mark' => $buy->mark?->value,
                    'size' => $buy->size->exact(),
                    'cards' => $buy->cards,
                ],
                $packing->buys,
            ),
            'evenings' => array_map(
                fn (Evening $evening): array => [
                    'day' => $evening->day,
                    'home' => $evening->comesHome,
                    'cards' => array_map(fn (Bytes $on): string => $on->exact(), $evening->cards),
                ],
                Evening::of($packing),
            ),
        ];
    }

    /** @return array<string, mixed> */
    private static function packPlace(PackedPlace $one): array
    {
        [$count, $isSpare] = [$one->place->count, $one->place->isSpare()];

        return [
            'place' => $one->place->name(),
            'camera' => $one->place->wanted->camera->tag,
            'mode' => $one->place->wanted->mode->name,
            'kind' => $one->place->kind->value,
            'unit' => $isSpare ? 'card' : ($count->isShots ? 'shot' : 'minute'),
            'need' => $isSpare ? $one->place->need : $count->said($one->place->need),
            'missing' => $isSpare ? $one->missing() : $count->said($count->needed($one->missing())),
            'cards' => array_map(fn (PackedCard $card): array => $card->pack($count), $one->cards),
        ];
    }
}
