<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Evidence\DueBook;
use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Models\Shoot\Shoot;
use App\Models\Shoot\ShootCard;
use DateTimeInterface;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;
use Tally\Shoot\Camera;
use Tally\Shoot\CameraSlot;
use Tally\Shoot\FitCard;
use Tally\Shoot\Whole\Packing;
use Tally\Shoot\Whole\Question;
use Tally\Shoot\Whole\Wanted;
use Tally\Shoot\Written\WrittenFit;
use Tally\Value\Values;

/** Whole shoots from the books, and those that are kept. */
final readonly class ShootBook
{
    /** Cards that are chosen among, at the most. */
    public const MOST_CARDS = 60;

    /** The mode as the core has it, in its camera; null where that has no slots. */
    public static function camera(CameraMode $mode): ?Camera
    {
        $slots = [];
        foreach ($mode->camera->slots as $slot) {
            $buses = array_values($slot->buses->all());
            if ($buses !== []) {
                $slots[] = new CameraSlot($slot->name, $buses);
            }
        }

        return $slots === [] ? null : new Camera($mode->camera->tag, $mode->camera->name, $slots, [$mode->asMode()]);
    }

    /**
     * @param  list<Wanted>  $wanted
     * @param  Collection<int, Card>  $cards
     */
    public static function question(int $days, int $home, float $extra, array $wanted, Collection $cards): Question
    {
        $rules = FitRules::now();
        $abilities = Abilities::of($cards);
        $fit = $cards->map(fn (Card $card): FitCard => new FitCard($card->tag, $abilities[$card->id], self::remark($card)));

        return new Question(
            $days,
            min($home, $days),
            $extra,
            $wanted,
            cards: array_values($fit->all()),
            criterion: $rules->criterion,
            margin: $rules->margin,
            usable: $rules->usable,
        );
    }

    private static function remark(Card $card): string
    {
        return $card->footage->isZero() ? '' : 'footage on it';
    }

    /** A shoot that is dropped asks none of its cards to be proven for it. */
    public static function drop(Shoot $shoot): void
    {
        DB::transaction(function () use ($shoot): void {
            $cards = Card::query()->whereIn('id', $shoot->cards()->pluck('card_id'))->get();
            $shoot->delete();
            $cards->each(fn (Card $card) => DueBook::refresh($card));
        });
    }

    public static function keep(string $name, DateTimeInterface $begins, Packing $packing, string $by): Shoot
    {
        $ids = Card::query()->pluck('id', 'tag');

        return DB::transaction(function () use ($name, $begins, $packing, $by, $ids): Shoot {
            $shoot = Shoot::query()->create([
                'name' => $name,
                'begins' => $begins,
                'days' => $packing->question->days,
                'question' => Values::write(WrittenFit::of($packing->question)),
                'recorded_by' => $by,
                'created_at' => now(),
            ]);
            $tags = [];
            foreach ($packing->places as $place => $one) {
                foreach ($one->cards as $turn => $card) {
                    $tags[] = $card->tag;
                    ShootCard::query()->create([
                        'shoot_id' => $shoot->id,
                        'card_id' => $ids[$card->tag],
                        'place' => $place,
                        'turn' => $turn,
                        'at' => mb_substr($one->place->name(), 0, 200),
                        'packed' => $card->kept($one->place->count),
                    ]);
                }
            }

            Card::query()->whereIn('tag', $tags)->get()->each(fn (Card $card) => DueBook::refresh($card));

            return $shoot;
        });
    }
}
