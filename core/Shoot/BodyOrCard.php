<?php

declare(strict_types=1);

namespace Tally\Shoot;

use Tally\Quantity\Rate;
use Tally\Reading\Summary;

/**
 * Whether the body or the card limits how fast a buffer drains: the same drain from two cards of different speed is the body's,
 * and so is a drain far below what the card was measured to write. Handbook § 7. It holds for that body, and for those cards.
 */
final readonly class BodyOrCard
{
    /** Two cards are of different speed from here on; a drain is far below a card from its inverse on: house rule. */
    private const APART = 1.25;

    /** Drains nearer than this are the same, where single bursts leave no interval to tell by: house rule. */
    private const SAME = 1.1;

    /**
     * @param  DrainLimit|null  $limit  null where it cannot be told yet
     * @param  Summary|null  $drain  of all bursts in the body, where it is the limit
     */
    private function __construct(public ?DrainLimit $limit, public ?Summary $drain, public bool $isByTwoCards) {}

    /** @param  array<string, DrainsOfCard>  $cards  tag → what was logged with it in one body */
    public static function of(array $cards): self
    {
        $all = array_merge(...array_map(fn (DrainsOfCard $card): array => $card->drains, array_values($cards)));
        if ($all === []) {
            return new self(null, null, false);
        }
        $cards = array_values($cards);
        foreach ($cards as $i => $one) {
            foreach (array_slice($cards, $i + 1) as $other) {
                $isApart = self::areApart($one->write, $other->write);
                if (! self::areSame($one, $other)) {
                    return new self(DrainLimit::Card, null, true);
                }
                if ($isApart) {
                    return new self(DrainLimit::Body, Summary::of($all), true);
                }
            }
        }
        foreach ($cards as $card) {
            $most = self::most($card);
            if ($card->write !== null && $most * self::APART <= $card->write->bytesPerSecond) {
                return new self(DrainLimit::Body, Summary::of($all), false);
            }
        }

        return new self(null, null, false);
    }

    private static function areApart(?Rate $one, ?Rate $other): bool
    {
        if ($one === null || $other === null) {
            return false;
        }
        $ratio = $one->over($other);

        return $ratio >= self::APART || $ratio <= 1 / self::APART;
    }

    /** The same within their intervals, or where one has none, within a tenth. */
    private static function areSame(DrainsOfCard $one, DrainsOfCard $other): bool
    {
        [$a, $b] = [$one->summary(), $other->summary()];
        [$left, $right] = [$a->margin(), $b->margin()];
        if ($left !== null && $right !== null) {
            return abs($a->mean - $b->mean) <= max($left + $right, (self::SAME - 1) * min($a->mean, $b->mean));
        }

        return max($a->mean, $b->mean) <= self::SAME * min($a->mean, $b->mean);
    }

    /** What the drain is at the most, by its interval. */
    private static function most(DrainsOfCard $card): float
    {
        return $card->summary()->mean + ($card->summary()->margin() ?? 0.0);
    }
}
