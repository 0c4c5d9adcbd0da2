<?php

declare(strict_types=1);

namespace App\Shoot;

use App\Models\Cards\Card;
use App\Models\Runs\Run;
use App\Models\Shoot\LoggedBurst;
use Illuminate\Support\Collection;
use Tally\Quantity\Rate;
use Tally\Shoot\BodyOrCard;
use Tally\Shoot\DrainLimit;
use Tally\Shoot\DrainsOfCard;
use Tally\Verdict\VerdictKind;

/**
 * Bursts in the bodies that a card was in: with it, and with others; and whether the body or the card is the limit.
 *
 * @phpstan-type BodyProps array{ // The bursts in one body: those with this card, and those with others.
 *     camera: string,
 *     name: string,
 *     says: string, // whether the body or the card is the limit, a sentence; empty where it cannot be told
 *     own: list<BurstProps>,
 *     others: list<BurstProps>, //
 * }
 * @phpstan-type BurstProps array{ // A burst that was logged.
 *     id: int,
 *     camera: string,
 *     card: string,
 *     frames: int,
 *     frame: string,
 *     perSecond: float, // frames
 *     lasts: float, // seconds until it slowed
 *     clear: float, // seconds from then on
 *     drain: float, // MB/s
 *     buffer: string,
 *     by: string,
 *     on: string,
 * }
 */
final readonly class Bodies
{
    private const SHOWN = 12;

    /** @return list<BodyProps> by the tag of the camera */
    public static function around(Card $card): array
    {
        $bursts = LoggedBurst::query()
            ->with(['camera', 'card'])
            ->whereIn('camera_id', LoggedBurst::query()->where('card_id', $card->id)->select('camera_id'))
            ->latest('id')
            ->get()
            ->toBase();
        $writes = self::writes($bursts->map(fn (LoggedBurst $one): int => $one->card_id)->unique());

        return array_values(
            $bursts
                ->groupBy('camera_id')
                ->sortBy(fn (Collection $own): string => $own->first()->camera->tag ?? '')
                ->map(fn (Collection $own): array => self::body($card, $own, $writes))
                ->all(),
        );
    }

    /**
     * @param  list<BodyProps>  $bodies
     * @return list<ReasonProps>
     */
    public static function reasons(array $bodies): array
    {
        return array_map(
            fn (array $body): ReasonProps => new ReasonProps(
                VerdictKind::Sound,
                "Bursts in {$body['camera']}.",
                ucfirst($body['says']),
                self::counted($body),
            ),
            array_values(array_filter($bodies, fn (array $body): bool => $body['says'] !== '')),
        );
    }

    /** @param  BodyProps  $body */
    private static function counted(array $body): string
    {
        $cards = array_unique(array_map(fn (array $one): string => $one['card'], [...$body['own'], ...$body['others']]));
        $bursts = count($body['own']) + count($body['others']);

        return "{$bursts} bursts, ".(count($cards) === 1 ? 'one card' : count($cards).' cards').'; it holds for this body and these cards';
    }

    /**
     * @param  Collection<int, LoggedBurst>  $bursts  in one body, the newest first
     * @param  array<int, Rate>  $writes  card → what it was measured to write
     * @return BodyProps
     */
    private static function body(Card $card, Collection $bursts, array $writes): array
    {
        $drains = [];
        foreach ($bursts as $burst) {
            $drains[$burst->card_id][] = $burst->asBurst()->drain->bytesPerSecond;
        }
        $cards = [];
        foreach ($drains as $id => $all) {
            $cards["card {$id}"] = new DrainsOfCard($all, $writes[$id] ?? null);
        }
        $limit = BodyOrCard::of($cards);
        $camera = $bursts->first()?->camera;
        $props = fn (bool $isOwn): array => array_values(
            $bursts
                ->filter(fn (LoggedBurst $one): bool => ($one->card_id === $card->id) === $isOwn)
                ->take(self::SHOWN)
                ->map(self::burst(...))
                ->all(),
        );

        return [
            'camera' => $camera->tag ?? '',
            'name' => $camera->name ?? '',
            'says' => self::says($limit),
            'own' => $props(true),
            'others' => $props(false),
        ];
    }

    private static function says(BodyOrCard $limit): string
    {
        $drain = $limit->drain;
        $spread = $drain?->margin();
        $figure = $drain === null
            ? ''
            : number_format($drain->mean / 1e6, 0).($spread === null ? '' : ' ± '.number_format($spread / 1e6, 0)).' MB/s';

        return match (true) {
            $limit->limit === DrainLimit::Card => 'the card is the limit: others drain at other speeds, so a faster one clears sooner.',
            $limit->limit === null => '',
            $limit->isByTwoCards => "the body drains at {$figure} whatever the card: a faster one clears no sooner.",
            default => "the body drains at {$figure}, far below what the card writes: a faster one clears no sooner.",
        };
    }

    /** @return BurstProps */
    private static function burst(LoggedBurst $one): array
    {
        $burst = $one->asBurst();

        return [
            'id' => $one->id,
            'camera' => $one->camera->tag,
            'card' => $one->card->tag,
            'frames' => $one->frames,
            'frame' => $one->frame->decimal(),
            'perSecond' => $one->per_second,
            'lasts' => $one->frames / $one->per_second,
            'clear' => $one->clear,
            'drain' => $burst->drain->megabytes(),
            'buffer' => $burst->buffer->decimal(),
            'by' => $one->by,
            'on' => $one->logged_at->format('j M'),
        ];
    }

    /**
     * The best trusted median of each card.
     *
     * @param  Collection<int, int>  $cards
     * @return array<int, Rate>
     */
    private static function writes(Collection $cards): array
    {
        $best = [];
        foreach (Run::query()->with(['card', 'slot', 'void'])->whereIn('card_id', $cards)->whereNotNull('result')->get() as $run) {
            $write = $run->counts() ? $run->reading()?->write : null;
            $before = $best[$run->card_id] ?? null;
            if ($write !== null && $write->isTrusted() && ($before === null || $before->isBelow($write->median()))) {
                $best[$run->card_id] = $write->median();
            }
        }

        return $best;
    }
}
