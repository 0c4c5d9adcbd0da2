<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Models\Cards\Card;
use App\Models\Kit\CameraMode;
use App\Pages\Card\FitPage;
use App\Pages\Page;
use App\Shoot\Abilities;
use App\Shoot\FitRules;
use App\Shoot\ModeWords;
use Illuminate\Database\Eloquent\Builder;
use Tally\Shoot\FitCriterion;
use Tally\Shoot\LeastMark;
use Tally\Shoot\MayIt;
use Tally\Verdict\VerdictKind;

/**
 * What can be put into a camera for a mode: every card of the house.
 *
 * @phpstan-import-type CriterionProps from FitPage
 * @phpstan-import-type CriterionWordProps from FitPage
 *
 * @phpstan-type FitCardProps array{ // A card, and whether it may record a mode.
 *     tag: string,
 *     line: string,
 *     verdict: VerdictKind,
 *     floor: float|null, // MB/s, the lowest window of its long writes; null where none was measured
 *     mark: float|null, // MB/s that its marks promise
 *     lasts: string, // minutes or shots
 *     isProven: bool, // whether its capacity was
 *     may: bool,
 *     words: string,
 *     criteria: list<CriterionWordProps>, //
 * }
 */
final readonly class FitModePage extends Page
{
    private const CARDS = 60;

    /**
     * @param  string  $writes  such as `240 Mb/s, long-GOP`
     * @param  float  $rate  MB/s
     * @param  float  $need  MB/s, with the margin
     * @param  list<FitCardProps>  $cards  those that may first, the best proven first
     * @param  int  $more  that are not shown
     * @param  list<CriterionProps>  $criteria
     * @param  string|null  $least  the least mark that opens it
     */
    public function __construct(
        public int $id,
        public string $camera,
        public string $name,
        public string $writes,
        public float $rate,
        public float $need,
        public array $cards,
        public int $more,
        public array $criteria,
        public string $decides,
        public ?string $least,
        public string $asks,
    ) {}

    public static function of(CameraMode $mode): self
    {
        $rules = FitRules::now();
        $mode->load(['camera.slots', 'calibrations']);
        $one = $mode->asMode();
        $slot = $mode->camera->buses();
        $asks = new MayIt($one, $slot, $rules->margin);
        // Those that keep up enough come first, the slowest of them before others: nobody reads on to the thousandth.
        $serving = fn (): Builder => Card::query()->whereNull('retired_on')->orderBy('keeps_up')->orderBy('tag')->limit(self::CARDS);
        $need = $asks->need()->bytesPerSecond;
        $cards = $serving()->where('keeps_up', '>=', $need)->get()->toBase();
        foreach ([$serving()->where('keeps_up', '<', $need), $serving()->whereNull('keeps_up')] as $others) {
            $cards = $cards->concat($cards->count() < self::CARDS ? $others->limit(self::CARDS - $cards->count())->get() : []);
        }
        $abilities = Abilities::of($cards);
        $may = array_fill_keys(array_column(FitCriterion::cases(), 'value'), 0);
        $rows = [];
        foreach ($cards as $card) {
            $ability = $abilities[$card->id];
            $answers = $asks->all($ability);
            foreach ($answers as $criterion => $answer) {
                $may[$criterion] += $answer->isYes() ? 1 : 0;
            }
            $decides = $answers[$rules->criterion->value];
            $rows[] = [
                'tag' => $card->tag,
                'line' => $card->line,
                'verdict' => $card->overruled ?? $card->verdict,
                'floor' => $ability->lowest()?->rate->megabytes(),
                'mark' => $ability->label->topMark()?->floor()->megabytes(),
                'lasts' => FitPage::lasts($one, $ability, $rules),
                'isProven' => $ability->proven !== null,
                'may' => $decides->isYes(),
                'words' => $decides->words(),
                'criteria' => FitPage::criteria($answers),
            ];
        }
        usort($rows, fn (array $a, array $b): int => self::rank($a) <=> self::rank($b));

        return new self(
            id: $mode->id,
            camera: "{$mode->camera->tag} {$mode->camera->name}",
            name: $mode->name,
            writes: ModeWords::writes($one),
            rate: $one->fill->rate->megabytes(),
            need: $asks->need()->megabytes(),
            cards: $rows,
            more: max(0, Card::query()->whereNull('retired_on')->count() - count($rows)),
            criteria: array_map(
                fn (FitCriterion $criterion): array => FitPage::criterion($criterion, $rules, $may[$criterion->value], count($rows)),
                FitCriterion::cases(),
            ),
            decides: $rules->criterion->value,
            least: LeastMark::of($one, $slot)?->value,
            asks: $one->demand->words(),
        );
    }

    /**
     * Those that may first, and of those the one that keeps up least: a faster one is kept for harder work.
     *
     * @param  FitCardProps  $card
     * @return array{bool, bool, float, string}
     */
    private static function rank(array $card): array
    {
        return [
            ! $card['may'],
            $card['may'] && ! $card['isProven'],
            $card['may'] ? $card['floor'] ?? INF : -($card['floor'] ?? 0.0),
            $card['tag'],
        ];
    }
}
