<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Card\Margin;
use App\Pages\Page;
use App\SecondOpinion\OpinionFile;
use App\Shoot\ReasonProps;
use Tally\CaseFile\CaseOfCard;
use Tally\Verdict\Judge;
use Tally\Verdict\VerdictKind;

/**
 * A second opinion as a page shows it; nothing of it is kept.
 *
 * @phpstan-type OpinionProps array{ // What is said of one case.
 *     name: string, // of the case, or its place in the list
 *     label: string, // capacity, bus, top mark
 *     verdict: VerdictKind,
 *     next: string, // what would be done next
 *     reasons: list<ReasonProps>, // the notes behind them
 *     differs: list<string>, // where it is not what the file expects
 *     because: string, // why the file expects it
 * }
 * @phpstan-type OpinionsProps array{ // The answer to a file of cases.
 *     file: string, // its name
 *     cases: list<OpinionProps>, // as many as are shown; those that differ first
 *     count: int, // how many there are
 *     expected: int|null, // of how many an answer is expected; null where of none
 *     differing: int, // how many differ from it
 * }
 */
final readonly class OpinionPage extends Page
{
    /** More than this nobody reads on a page; the command answers all of them. */
    private const SHOWN = 100;

    /** @param  OpinionsProps|null  $opinions */
    public function __construct(
        public ?array $opinions,
    ) {}

    /** @return OpinionsProps */
    public static function of(OpinionFile $file, string $name): array
    {
        $opinions = array_map(self::one(...), $file->cases, array_keys($file->cases));
        $differing = count(array_filter($opinions, fn (array $one): bool => $one['differs'] !== []));
        usort($opinions, fn (array $a, array $b): int => ($b['differs'] !== []) <=> ($a['differs'] !== []));
        $expected = count(array_filter($file->cases, fn (CaseOfCard $case): bool => $case->expects !== null));

        return [
            'file' => $name,
            'cases' => array_slice($opinions, 0, self::SHOWN),
            'count' => count($opinions),
            'expected' => $expected === 0 ? null : $expected,
            'differing' => $differing,
        ];
    }

    /** @return OpinionProps */
    private static function one(CaseOfCard $case, int $place): array
    {
        $verdict = Judge::judge($case->evidence);

        return [
            'name' => $case->name === '' ? 'case '.($place + 1) : $case->name,
            'label' => $case->evidence->label->line(),
            'verdict' => $verdict->kind,
            'next' => $verdict->next->words(),
            'reasons' => array_map(Margin::reason(...), [...$verdict->reasons, ...$verdict->notes]),
            'differs' => $case->expects?->differences($verdict) ?? [],
            'because' => $case->because,
        ];
    }
}
