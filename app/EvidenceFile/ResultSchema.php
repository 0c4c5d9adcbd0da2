<?php

declare(strict_types=1);

namespace App\EvidenceFile;

use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;

/** Holds a result file against docs/result.schema.json: nothing is taken that is not described there. */
final readonly class ResultSchema
{
    /** @throws NotAResult with where it does not fit */
    public static function mustFit(string $json): void
    {
        $error = (new Validator())
            ->validate(json_decode($json, false, 64), (string) file_get_contents(base_path('docs/result.schema.json')))
            ->error();
        if ($error !== null) {
            $first = (new ErrorFormatter())->format($error, false);
            $where = array_key_first($first);
            $why = $where === null || ! is_string($first[$where]) ? 'it does not fit' : $first[$where];
            throw NotAResult::because(
                'it is not as docs/result.schema.json says, at “'.
                    mb_substr((string) $where, 0, 80).
                    '”: '.
                    mb_substr($why, 0, 200).
                    '.',
            );
        }
    }
}
