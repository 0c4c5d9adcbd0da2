<?php

declare(strict_types=1);

namespace App\SecondOpinion;

use App\EvidenceFile\NotAResult;
use App\EvidenceFile\ResultFile;
use App\EvidenceFile\ResultReader;
use JsonException;
use Tally\CaseFile\CaseOfCard;
use Tally\CaseFile\CaseReader;
use Tally\Value\NotUsable;

/**
 * Figures from anywhere, to be judged without the books: a case, a list of cases, or a result file. The format of a case is
 * docs/case.schema.json.
 */
final readonly class OpinionFile
{
    /** Larger than any result file. Bytes. */
    public const MOST = ResultReader::MOST;

    /** More cases than anybody reads at once. */
    private const MOST_CASES = 2000;

    /**
     * @param  list<CaseOfCard>  $cases
     * @param  bool  $isList  whether a list was given, and a list is to be answered
     */
    private function __construct(public array $cases, public bool $isList) {}

    /** @throws NotAnOpinion with the field, what was given and what would do */
    public static function read(string $json): self
    {
        if (strlen($json) > self::MOST) {
            throw NotAnOpinion::because('it is larger than 64 MB. Give fewer cases at once.');
        }
        try {
            $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $fault) {
            throw NotAnOpinion::because("it is no JSON ({$fault->getMessage()}). Give a case, a list of cases, or a result file.");
        }
        if (! is_array($file) || $file === []) {
            throw NotAnOpinion::because('there is nothing in it. Give a case, a list of cases, or a result file.');
        }
        if (! array_is_list($file)) {
            return new self([self::one($file, '')], false);
        }
        if (count($file) > self::MOST_CASES) {
            throw NotAnOpinion::because('it holds '.count($file).' cases; '.self::MOST_CASES.' at once would do.');
        }

        return new self(array_map(fn (mixed $case, int $i): CaseOfCard => self::one($case, "[{$i}]"), $file, array_keys($file)), true);
    }

    private static function one(mixed $case, string $at): CaseOfCard
    {
        if (! is_array($case)) {
            throw NotAnOpinion::because("“{$at}” is no object. Give a case or a result file there.");
        }
        try {
            return ($case['format'] ?? null) === ResultFile::FORMAT
                ? ResultCase::of(ResultReader::of($case))
                : CaseReader::read($case, $at);
        } catch (NotUsable|NotAResult $fault) {
            throw NotAnOpinion::because($fault->getMessage());
        }
    }
}
