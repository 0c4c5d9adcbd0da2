<?php

declare(strict_types=1);

namespace App\Pages\Compare;

use App\Compare\SpeedFigure;
use App\Compare\SpeedFigures;
use App\Models\Cards\Card;
use App\Pages\Page;
use Tally\Buying\Price;
use Tally\Reading\Compare\TwinCandidate;
use Tally\Reading\Compare\TwinGroup;
use Tally\Reading\Compare\TwinGroups;
use Tally\Reading\Limit\HeldBack;
use Tally\Reading\Limit\Limits;
use Tally\Reading\Summary;

/**
 * Cards of different labels that do just the same on one chain.
 *
 * @phpstan-type TwinGroupProps array{ // Cards of different labels that are likely the same card.
 *     chain: string,
 *     members: list<TwinProps>,
 *     sharedBackCode: string|null, // one that at least two of them carry
 *     words: string,
 * }
 * @phpstan-type TwinProps array{ // A card of a group of twins. Speeds in MB/s.
 *     tag: string,
 *     name: string,
 *     seller: string|null,
 *     price: string|null,
 *     backCode: string|null,
 *     write: float,
 *     read: float,
 *     runs: int,
 * }
 */
final readonly class TwinsPage extends Page
{
    /**
     * @param  list<TwinGroupProps>  $groups
     */
    public function __construct(
        public array $groups,
    ) {}

    /** @return list<TwinGroupProps> */
    public static function groups(): array
    {
        $figures = SpeedFigures::all();
        $limits = ['write' => Limits::of(LimitsPage::cells($figures, 'write')), 'read' => Limits::of(LimitsPage::cells($figures, 'read'))];
        [$candidates, $cards] = [[], []];
        foreach (self::byCardAndChain($figures) as $key => $speeds) {
            [$tag, $chain] = [...explode("\n", $key, 2), ''];
            $card = $speeds[0]->run->card;
            $cards[$tag] = $card;
            $rates = fn (string $way): array => array_merge(...array_map(fn (SpeedFigure $speed): array => $speed->rates($way), $speeds));
            $heldBack =
                HeldBack::is($rates('write'), $speeds[0]->usable, $limits['write']->at($tag, $figures->column($speeds[0]) ?? '')?->by) ||
                HeldBack::is($rates('read'), $speeds[0]->usable, $limits['read']->at($tag, $figures->column($speeds[0]) ?? '')?->by);
            $candidates[] = new TwinCandidate(
                $tag,
                $card->name,
                $chain,
                $rates('write'),
                reads: $rates('read'),
                isHeldBack: $heldBack,
                backCode: $card->back_code,
                capacity: $card->capacity,
            );
        }

        return array_map(fn (TwinGroup $group): array => self::props($group, $cards), TwinGroups::among($candidates));
    }

    /** @return array<string, non-empty-list<SpeedFigure>> */
    private static function byCardAndChain(SpeedFigures $figures): array
    {
        $found = [];
        foreach ($figures->speeds as $speed) {
            if ($speed->chain() !== null && $speed->writes !== [] && $speed->reads !== []) {
                $found["{$speed->run->card->tag}\n{$speed->chain()}"][] = $speed;
            }
        }

        return $found;
    }

    /**
     * @param  array<string, Card>  $cards
     * @return TwinGroupProps
     */
    private static function props(TwinGroup $group, array $cards): array
    {
        $members = array_map(function (TwinCandidate $one) use ($cards): array {
            $card = $cards[$one->card];

            return [
                'tag' => $one->card,
                'name' => $one->label,
                'seller' => $card->seller,
                'price' => $card->price === null || $card->currency === null ? null : Price::of($card->price, $card->currency)->print(),
                'backCode' => $one->backCode,
                'write' => Summary::of($one->writes)->mean / 1e6,
                'read' => Summary::of($one->reads)->mean / 1e6,
                'runs' => count($one->writes),
            ];
        }, $group->members);
        $shared = $group->sharedBackCode();

        return [
            'chain' => $group->chain,
            'members' => $members,
            'sharedBackCode' => $shared,
            'words' => 'Likely the same card under different labels: writing and reading are equal within 5 % on the same chain'.
                ($shared === null ? '.' : ", and the back code {$shared} is shared.").
                ' Equal speed alone does not prove it.',
        ];
    }
}
