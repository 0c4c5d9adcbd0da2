<?php

declare(strict_types=1);

namespace App\Pages\House;

use App\Pages\Card\Margin;
use App\Pages\Page;
use App\SecondOpinion\OpinionFile;
use Tally\CaseFile\CaseOfCard;
use Tally\Verdict\Judge;

/** A second opinion as a page shows it; nothing of it is kept. */
final readonly class OpinionPage extends Page
{
    /** More than this nobody reads on a page; the command answers all of them. */
    private const SHOWN = 100;

    public function __construct(
        public ?OpinionsProps $opinions,
    ) {}

    public static function of(OpinionFile $file, string $name): OpinionsProps
    {
        $opinions = array_map(self::one(...), $file->cases, array_keys($file->cases));
        $differing = count(array_filter($opinions, fn (OpinionProps $one): bool => $one->differs !== []));
        usort($opinions, fn (OpinionProps $a, OpinionProps $b): int => ($b->differs !== []) <=> ($a->differs !== []));
        $expected = count(array_filter($file->cases, fn (CaseOfCard $case): bool => $case->expects !== null));

        return new OpinionsProps(
            $name,
            array_slice($opinions, 0, self::SHOWN),
            count($opinions),
            $expected === 0 ? null : $expected,
            $differing,
        );
    }

    private static function one(CaseOfCard $case, int $place): OpinionProps
    {
        $verdict = Judge::judge($case->evidence);

        return new OpinionProps(
            $case->name === '' ? 'case '.($place + 1) : $case->name,
            $case->evidence->label->line(),
            $verdict->kind,
            $verdict->next->words(),
            array_map(Margin::reason(...), [...$verdict->reasons, ...$verdict->notes]),
            $case->expects?->differences($verdict) ?? [],
            $case->because,
        );
    }
}
